import { countShares, type Blend } from '../seed/blends'
import { grassByCode, type GrassCode } from '../grass/grasses'
import { rootDepthMm } from '../water/rootZone'
import type { BlendYear } from './blendYear'
import type { DryHours, DryHoursCount, GivenWater } from './moisture'
import { dayReached, mowingDays, mowingsCd, RELEASING_MOWINGS, thermalTimeToHeight } from './growth'
import { quantile, type Season } from './season'
import { causeOf, type SeedYear } from './sowing'
import {
  COVER_AFTER_DAYS,
  coverOn,
  denseIndex,
  oldMowIndex,
  type ComingUp,
  type SoilCourse50,
  type Stand,
} from './stand'
import type { Weed } from './weeds'
import type { DayOdds } from './window'

/** Seed sown on one day, in days after sowing; null where it does not happen in half of the years. */
export interface SowingDay extends DayOdds {
  /** Mean of the day at seed depth (5 mm), middle of the years, °C. */
  seedbedC: number
  /** Coolest and warmest hour of that day there, middle of the years, °C. */
  seedbedSwing: { lowC: number; highC: number }
  up05: number | null
  up50: number | null
  up95: number | null
  /** The same median in an early and a late year. */
  up50Early: number | null
  up50Late: number | null
  mow: { early: number; middle: number; late: number } | null
  /** Days until leaves stand at 25 mm, from which on water is stepped down. */
  tall: SowingDay['mow']
  /** What keeps the top layer moist from sowing until nearly all is up, a day in the middle year. */
  water: { mmADay: number; timesADay: number } | null
  /**
   * When the bed is too dry from sowing until nearly all is up, watered as the client will; null where water is not
   * followed.
   */
  dry: DryHours | null
  /** Years of all in which seed that lies here until spring makes a stand; null where the soil is too warm for that. */
  dormantGood: number | null
  /**
   * Ground covered six weeks after sowing, 0-1, and days until the old grass wants mowing and until the bed is dense, in the
   * middle year; null where the stand is not known.
   */
  stand: { cover: number; oldMow: number | null; dense: number | null } | null
  /** Days until the fourth mowing, which releases the lawn, in the middle year. */
  fourthMow: number | null
  /** Depth of roots six weeks after sowing, mm, in the middle year; 0 where it is not up by then. */
  rootsMm: number
  /** Weeds that sprout in its open bed within four weeks. */
  weeds: Weed[]
  /** Of a mixture, each seed by itself, in its order; empty for a single grass. */
  parts: { grass: GrassCode; good: number; up50: number | null }[]
}

/** Nearest-rank quantiles of waits of which some never end; null where one falls among those. */
function waitQuantiles(waits: readonly number[], shares: readonly number[]): (number | null)[] {
  const sorted = new Float64Array(waits).sort()
  return shares.map((share) => {
    const wait = sorted[Math.round(share * (waits.length - 1))]!
    return Number.isFinite(wait) ? wait : null
  })
}
const threeOf = (waits: readonly number[], shares: readonly [number, number, number]) =>
  waitQuantiles(waits, shares) as [number | null, number | null, number | null]
const middleWait = (waits: readonly number[]): number | null => waitQuantiles(waits, [0.5])[0]!

/** Mean, coolest and warmest hour of a day at seed depth, each in the middle of the years. */
function seedbedOn({ years }: Season, day: number): Pick<SowingDay, 'seedbedC' | 'seedbedSwing'> {
  const [means, lows, highs]: [number[], number[], number[]] = [[], [], []]
  for (const { soil } of years) {
    let [sum, low, high] = [0, Infinity, -Infinity]
    for (let h = day * 24; h < day * 24 + 24; h++) {
      const hourC = soil.seedbedHourlyC[h]!
      sum += hourC
      if (hourC < low) low = hourC
      if (hourC > high) high = hourC
    }
    means.push(sum / 24)
    lows.push(low)
    highs.push(high)
  }
  const middle = (values: readonly number[], parts: number) => Math.round(quantile(values, 0.5) * parts) / parts
  return { seedbedC: middle(means, 100), seedbedSwing: { lowC: middle(lows, 10), highC: middle(highs, 10) } }
}

/** Days of the wet phase that are looked at where seed does not come up within them. */
export const WET_PHASE_DAYS = 28

/**
 * Water that keeps a bed moist from a sowing day on, in the middle year. @param told courses of the years, watered as
 * told
 */
function waterNeed(told: readonly GivenWater[], years: readonly SeedYear[], i: number): SowingDay['water'] {
  const needs = told.map(({ givenMm, times }, y) => {
    const until = Math.min(
      givenMm.length,
      Number.isFinite(years[y]!.up95[i]!)
        ? Math.max(i + 1, Math.min(years[y]!.up95[i]!, i + WET_PHASE_DAYS))
        : i + WET_PHASE_DAYS,
    )
    let [mm, count] = [0, 0]
    for (let d = i; d < until; d++) {
      mm += givenMm[d]!
      count += times[d]!
    }
    return { mm: mm / (until - i), times: count / (until - i) }
  })
  if (!needs.length) return null
  return {
    mmADay:
      Math.round(
        quantile(
          needs.map(({ mm }) => mm),
          0.5,
        ) * 10,
      ) / 10,
    timesADay:
      Math.round(
        quantile(
          needs.map(({ times }) => times),
          0.5,
        ) * 10,
      ) / 10,
  }
}

/** Seed that makes less of a mixture does not bring the first mowing. @source own */
const MOWN_FOR_SHARE = 0.1

/** What every sowing day is read from. What only some read of it is worked out when it is first read. */
export interface Judged {
  season: Season
  blend: Blend
  years: readonly BlendYear[]
  told: readonly GivenWater[]
  /** Days of each year so far on which roots grow. */
  readonly rooting: readonly Uint16Array[]
  /** Too dry hours as the client waters; not followed where left out. */
  dryHours: DryHoursCount['told'] | undefined
  keptMm: number
  /** The first mowing is low at once. */
  lowAtOnce: boolean
  readonly weeds: readonly Weed[][]
  stand: Stand | undefined
  /** Leaves of each part of the mixture, and of the old grass, in each year; and soil. */
  readonly leaves: readonly (readonly Float64Array[])[]
  readonly oldLeaves: readonly Float64Array[]
  readonly soils: readonly SoilCourse50[]
}

/** Leaves that shade their bed, and roots that reach below what dries, mm. @source trade: about an inch */
const TALL_MM = 25

/**
 * Days until leaves stand at 25 mm, and until the first and the fourth mowing, of the first of the mixture's seedlings, in
 * each year.
 */
function mowWaits(
  { blend, years, keptMm, lowAtOnce, leaves }: Judged,
  i: number,
): { tall: number[]; first: number[]; fourth: number[] } {
  const seen = blend.flatMap(({ grass, massShare }, part) =>
    massShare >= MOWN_FOR_SHARE
      ? [
          {
            part,
            growthsCd: mowingsCd(grassByCode(grass), keptMm, RELEASING_MOWINGS, lowAtOnce),
            tallCd: thermalTimeToHeight(grassByCode(grass), TALL_MM),
          },
        ]
      : [],
  )
  const [tall, first, fourth]: [number[], number[], number[]] = [[], [], []]
  years.forEach(({ parts }, y) => {
    let [days, stands] = [[Infinity], Infinity]
    for (const { part, growthsCd, tallCd } of seen) {
      stands = Math.min(stands, dayReached(leaves[y]![part]!, parts[part]!.up50[i]!, tallCd))
      const of = mowingDays(leaves[y]![part]!, parts[part]!.up50[i]!, growthsCd)
      if (of[0]! < days[0]!) days = of
    }
    tall.push(stands - i)
    first.push(days[0]! - i)
    fourth.push((days.at(RELEASING_MOWINGS - 1) ?? Infinity) - i)
  })
  return { tall, first, fourth }
}

/** Years in which seed lies until spring and stands; null where most years are too warm for it. */
function dormantYears(years: readonly SeedYear[], i: number): number | null {
  const lying = years.flatMap(({ dormant }) => causeOf(dormant, i) ?? (causeOf(dormant, i) === null ? [null] : []))
  return lying.length * 2 >= years.length ? lying.filter((cause) => cause === null).length : null
}

function standOn({ blend, years, stand, keptMm, soils, oldLeaves }: Judged, i: number): SowingDay['stand'] {
  if (!stand) return null
  const counts = countShares(blend)
  const coming = years.map(({ parts }): ComingUp =>
    parts.map(({ up50 }, part) => ({
      grass: grassByCode(blend[part]!.grass),
      countShare: counts[part]!,
      up50: up50[i]!,
    })),
  )
  const cover = quantile(
    soils.map((soil, y) => coverOn(stand, soil, coming[y]!, i + COVER_AFTER_DAYS)),
    0.5,
  )
  return {
    dense: middleWait(soils.map((soil, y) => denseIndex(stand, soil, coming[y]!, i) - i)),
    cover: Math.round(cover * 100) / 100,
    oldMow: oldLeaves.length ? middleWait(oldLeaves.map((course) => oldMowIndex(stand, course, i, keptMm) - i)) : null,
  }
}

function rootsOn({ rooting, years }: Judged, i: number): number {
  const end = Math.min(i + COVER_AFTER_DAYS, rooting[0]!.length - 1)
  return Math.round(
    quantile(
      years.map(({ whole }, y) => rootDepthMm(rooting[y]!, whole.up50[i]!, end)),
      0.5,
    ),
  )
}

/** What a plan reads of a sowing day. */
export type SownDay = Omit<SowingDay, 'seedbedC' | 'seedbedSwing' | 'dry' | 'weeds' | 'stand' | 'rootsMm' | 'parts'>

/** What a plan reads of seed sown on one day. @param odds of the day */
export function sownDay(judged: Judged, odds: DayOdds, i: number): SownDay {
  const years = judged.years.map(({ whole }) => whole)
  const waits = (key: 'up05' | 'up50' | 'up95') => years.map((year) => year[key][i]! - i)
  const [up50Early, up50, up50Late] = threeOf(waits('up50'), [0.05, 0.5, 0.95])
  const up95 = middleWait(waits('up95'))
  const mow = mowWaits(judged, i)
  const spread = (waits: readonly number[]): SowingDay['mow'] => {
    const [early, middle, late] = threeOf(waits, [0.1, 0.5, 0.9])
    return early !== null && middle !== null ? { early, middle, late: late ?? middle + 28 } : null
  }
  return {
    ...odds,
    up05: middleWait(waits('up05')),
    up50,
    up95,
    up50Early,
    up50Late,
    mow: spread(mow.first),
    tall: spread(mow.tall),
    fourthMow: middleWait(mow.fourth),
    water: waterNeed(judged.told, years, i),
    dormantGood: dormantYears(years, i),
  }
}

/** All that comes of seed sown on one day. @param odds of the day */
export function sowingDay(judged: Judged, odds: DayOdds, i: number): SowingDay {
  const { season, blend } = judged
  const sown = sownDay(judged, odds, i)
  const dryUntil = Math.min(season.years[0]!.weather.rainMm.length, i + (sown.up95 ?? WET_PHASE_DAYS))
  return {
    ...sown,
    ...seedbedOn(season, i),
    dry: judged.dryHours?.(i, dryUntil) ?? null,
    weeds: judged.weeds[i]!,
    stand: standOn(judged, i),
    rootsMm: rootsOn(judged, i),
    parts:
      blend.length < 2
        ? []
        : blend.map(({ grass }, part) => {
            const own = judged.years.map(({ parts }) => parts[part]!)
            return {
              grass,
              good: own.filter((part) => !causeOf(part, i)).length,
              up50: middleWait(own.map(({ up50 }) => up50[i]! - i)),
            }
          }),
  }
}
