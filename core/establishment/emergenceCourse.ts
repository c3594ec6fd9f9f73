import { countShares } from '../seed/blends'
import { grassByCode, type GrassCode } from '../grass/grasses'
import { emergedShare } from './germination'
import { quantile } from './season'
import { coverOn, seedlingsPerCm2, type ComingUp } from './stand'
import type { Judged } from './sowingDay'

/** Followed for so many days after sowing. */
const COURSE_DAYS = 70
/** A slow and a fast year of the weather years. */
const [SLOW, FAST] = [0.1, 0.9]
/** The same day of the year a year on, which knows nothing of the weather of this one. */
const YEAR = 365

/** What comes up of a bed that is sown, day by day. */
export interface EmergenceCourse {
  /** Share of those that will emerge, 0-1, at the end of each day after sowing, the day itself first; in a slow, a middle and a fast year. */
  slow: number[]
  middle: number[]
  fast: number[]
  /** Of a mixture, each seed by itself in the middle year, with days after sowing by which 5, 50 and 95 % of it are up. */
  parts: {
    grass: GrassCode
    countShare: number
    middle: number[]
    up05: number | null
    up50: number | null
    up95: number | null
  }[]
  /** Days to half of them in the weather of this season, and of a usual one; null where they are not up in half of the years. */
  up50: number | null
  usual50: number | null
  /** Ground that is green, the old grass with it, 0-1, at the end of each day in the middle year; null where it is not known what stands. */
  cover: number[] | null
  /** Seedlings to be counted on in the end, per cm²; null where it is not known what was sown. */
  perCm2: number | null
}

const middleOf = (days: number[]): number | null => {
  const day = quantile(days, 0.5)
  return Number.isFinite(day) ? day : null
}

/**
 * Emergence of what was sown on one day: thermal time at the seed in each weather year, each seed of a mixture by its number.
 * @param sown index of the sowing day in the season
 * @throws RangeError for a day outside of it
 * @source own, over hydrothermal time
 */
export function emergenceCourse({ years, blend, stand, soils }: Judged, sown: number): EmergenceCourse {
  const length = years[0]!.parts[0]!.germinatedCd.length
  if (!(sown >= 0 && sown < length)) throw new RangeError(`No day ${sown} in this season.`)
  const days = Math.min(COURSE_DAYS, length - sown)
  const counts = countShares(blend)
  const shares = blend.map(({ grass }, part) =>
    years.map(({ parts }) => {
      const { germinatedCd } = parts[part]!
      const before = sown > 0 ? germinatedCd[sown - 1]! : 0
      return Float64Array.from({ length: days }, (_, d) =>
        emergedShare(grassByCode(grass), germinatedCd[sown + d]! - before),
      )
    }),
  )
  const over = (of: (year: number, day: number) => number, share: number) =>
    Array.from({ length: days }, (_, d) => {
      const value = quantile(
        years.map((_year, y) => of(y, d)),
        share,
      )
      return Math.round(value * 1000) / 1000
    })
  const whole = (year: number, day: number) =>
    counts.reduce((sum, count, part) => sum + count * shares[part]![year]![day]!, 0)
  const comingUp = years.map(({ parts }): ComingUp =>
    parts.map(({ up50 }, part) => ({
      grass: grassByCode(blend[part]!.grass),
      countShare: counts[part]!,
      up50: up50[sown]!,
    })),
  )
  const half = (at: number) =>
    at < years[0]!.whole.up50.length ? middleOf(years.map((year) => year.whole.up50[at]! - at)) : null
  return {
    slow: over(whole, SLOW),
    middle: over(whole, 0.5),
    fast: over(whole, FAST),
    parts: blend.map(({ grass }, part) => {
      const up = (key: 'up05' | 'up50' | 'up95') => middleOf(years.map(({ parts }) => parts[part]![key][sown]! - sown))
      return {
        grass,
        countShare: counts[part]!,
        middle: over((year, day) => shares[part]![year]![day]!, 0.5),
        up05: up('up05'),
        up50: up('up50'),
        up95: up('up95'),
      }
    }),
    up50: half(sown),
    usual50: half(sown + YEAR),
    cover: stand ? over((year, day) => coverOn(stand, soils[year]!, comingUp[year]!, sown + day), 0.5) : null,
    perCm2: stand ? seedlingsPerCm2(stand) : null,
  }
}
