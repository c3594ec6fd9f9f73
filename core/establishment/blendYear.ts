import { errorFunction } from 'simple-statistics'
import { countShares, standShares, type Blend } from '../seed/blends'
import { grassByCode, type Grass } from '../grass/grasses'
import type { BedWater } from './moisture'
import type { SeasonYear } from './season'
import { judgeYear, type Cause, type SeedbedRisk, type SeedYear, type YearOutlook } from './sowing'

/**
 * Share of a full stand that has to come through for the stand to be good. @source own, asked of emergence;
 * of mixtures ours
 */
const ENOUGH_OF_STAND = 0.6

/** One weather year for a mixture: each seed by itself, and all of them together. */
export interface BlendYear {
  whole: SeedYear
  /** In the order of the mixture. */
  parts: YearOutlook[]
}

/** Standard normal distribution. */
export const normalShare = (z: number): number => (1 + errorFunction(z * Math.SQRT1_2)) / 2

/**
 * Share of those of one grass that will emerge that have, by thermal time collected since sowing. @source own
 */
export const emergedShare = ({ thermal }: Grass, collectedCd: number): number =>
  collectedCd > 0 ? normalShare((Math.log(collectedCd) - Math.log(thermal.medianCd)) / thermal.spread) : 0

interface Counted {
  grass: Grass
  outlook: YearOutlook
  count: number
}

const collected = ({ outlook: { germinatedCd } }: Counted, sown: number, day: number): number =>
  germinatedCd[day]! - (sown > 0 ? germinatedCd[sown - 1]! : 0)

/**
 * Day on which the mixture's seedlings reach a share of their number, between the days of its quickest and its
 * slowest seed.
 */
function dayUp(parts: readonly Counted[], key: 'up05' | 'up50' | 'up95', share: number, sown: number): number {
  const days = parts.map(({ outlook }) => outlook[key][sown]!)
  const last = parts[0]!.outlook.germinatedCd.length - 1
  let low = Math.min(...days)
  if (!Number.isFinite(low)) return Infinity
  const emerged = (day: number) =>
    parts.reduce((sum, part) => sum + part.count * emergedShare(part.grass, collected(part, sown, day)), 0)
  let high = Math.min(last, Math.max(...days))
  // The days of single shares are exact, the distribution is not: a hair's breadth must not cost a day.
  const wanted = share - 1e-6
  if (emerged(high) < wanted) return Infinity
  while (low < high) {
    const middle = (low + high) >> 1
    if (emerged(middle) >= wanted) high = middle
    else low = middle + 1
  }
  return low
}

/** Good where the seeds that come through make enough of a stand; else what takes most of the stand. */
function together(causes: readonly (Cause | null | undefined)[], shares: readonly number[]): Cause | null {
  const lost = new Map<Cause, number>()
  let stands = 0
  causes.forEach((cause, i) => {
    if (cause) lost.set(cause, (lost.get(cause) ?? 0) + shares[i]!)
    else stands += shares[i]!
  })
  if (stands >= ENOUGH_OF_STAND) return null
  return [...lost].reduce((worst, one) => (one[1] > worst[1] ? one : worst))[0]
}

/**
 * Follows a mixture sown on every day of one weather year: emergence added by number of seeds, the stand by what each seed
 * makes of a full one.
 * @param water of the bed in this year; kept moist where left out
 * @source own
 */
export function judgeBlend(year: SeasonYear, blend: Blend, risk: SeedbedRisk, water?: BedWater): BlendYear {
  const outlooks = blend.map(({ grass }) => judgeYear(year, grassByCode(grass), risk, water))
  if (outlooks.length === 1) return { whole: outlooks[0]!, parts: outlooks }
  const [counts, stands] = [countShares(blend), standShares(blend)]
  const counted = outlooks.map((outlook, i): Counted => ({
    outlook,
    grass: grassByCode(blend[i]!.grass),
    count: counts[i]!,
  }))
  const days = outlooks[0]!.cause.length
  const up = (key: 'up05' | 'up50' | 'up95', share: number) =>
    Float64Array.from({ length: days }, (_, sown) => dayUp(counted, key, share, sown))
  return {
    parts: outlooks,
    whole: {
      cause: Array.from({ length: days }, (_, i) =>
        together(
          outlooks.map(({ cause }) => cause[i]),
          stands,
        ),
      ),
      dormant: Array.from({ length: days }, (_, i) =>
        outlooks.some(({ dormant }) => dormant[i] === undefined)
          ? undefined
          : together(
              outlooks.map(({ dormant }) => dormant[i]),
              stands,
            ),
      ),
      up05: up('up05', 0.05),
      up50: up('up50', 0.5),
      up95: up('up95', 0.95),
    },
  }
}
