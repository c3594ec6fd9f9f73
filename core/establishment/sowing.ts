import { growthBaseC, type Grass } from '../grass/grasses'
import { dailyGerminationCd, emergedShare, thermalTimeTo, type EmergedShare } from './germination'
import { leafCourse, thermalTimeToHeight } from './growth'
import type { SeedBed, SeedWater } from './moisture'
import { fellAsSnow } from '../weather/weather'
import { LEAST_SOIL_C } from './candidates'
import {
  CAUSES,
  GOOD_SHARE,
  GROWS_UNTIL_SOIL_C,
  HARD_FROST,
  HEAT,
  HOT_DAY,
  keptMoistShare,
  leftByBirds,
  RISING,
  SUMMER_ROOTS,
  washedShare,
  WEEDS_TAKE,
  winteredShare,
  type Cause,
  type Covering,
} from './losses'
import { fiveDayMeans, type SeasonYear } from './season'
import type { BedCover } from '../water/topLayer'

export type { Cause, Covering } from './losses'

/** Soil in which seed lies until spring without sprouting. @source turf handbooks */
const DORMANT_SOIL_C = 5
/** Days that soil has to stay above it before winter is over. @source own */
const SPRING_DAYS = 10
/** Days in which the coldest soil of a winter is looked for from its onset on. @source own */
const WINTER_DAYS = 150
/** Seed lies loose until this many times its median thermal time. */
const LOOSE_UNTIL = 1.3
/** From half of its median thermal time on, seed has begun to sprout and dies where it dries out. */
const SPROUTING_FROM = 0.5
/** Leaf height from which roots reach below what dries, mm. */
const BEYOND_DRYING_MM = 25
const NEVER = Number.POSITIVE_INFINITY

/** How a cover holds seed against rain. */
export const coveringOf = (cover: BedCover): Covering =>
  cover === 'none' ? 'bare' : cover === 'fleece' ? 'fleece' : 'covered'

export interface SeedbedRisk {
  covering: Covering
  slopeShare: number
  /** Ground that the standing sward covers, 0-1; none where left out. */
  swardCover?: number
  /** A pre-emergent that is safe on seedlings is in the plan. */
  preEmergent?: boolean
  /** Watered through the summer, once it stands. */
  irrigated?: boolean
  /** Sown into warm-season turf for its dormancy: not while that still grows. */
  winterColour?: boolean
  /** The first mowing waits, and takes it down at once to the low height it is kept at. */
  cutsLowAtOnce?: boolean
  /** How its bed is covered and watered; kept moist where left out. */
  bed?: SeedBed
}

/** What one way of sowing comes to on each day of one weather year. */
export interface Established {
  /** Share of what was to be expected that stands in the end, 0-1. */
  share: Float32Array
  /** Which loss took most, an index into `CAUSES`. */
  worst: Uint8Array
}

/** What one weather year does to seed sown on each day of it. */
export interface YearOutlook extends Established {
  /** Index of the day on which 5 %, 50 % and 95 % are up; Infinity when not within the series. */
  up05: Float64Array
  up50: Float64Array
  up95: Float64Array
  /** Thermal time of germination collected from the first day to the end of each, °C·d. */
  germinatedCd: Float64Array
  /** The same for seed put down to lie until spring; its share is NaN on days too warm for it, and for warm-season seed. */
  dormant: Established
}

/** What becomes of what is sown, a grass or a mixture. */
export type SeedYear = Omit<YearOutlook, 'germinatedCd'>

/** Why a year is no good one; null where it is, undefined where that is not asked. */
export function causeOf({ share, worst }: Established, i: number): Cause | null | undefined {
  const of = share[i]!
  return Number.isNaN(of) ? undefined : of >= GOOD_SHARE ? null : CAUSES[worst[i]!]!
}

/**
 * For each of the first days, the first index from it on whose running sum of those days reaches the target. A later day is never there
 * sooner, so the search goes on where it stood.
 */
function reachedFrom(cumulative: Float64Array, target: number, of = cumulative.length): Float64Array {
  const days = cumulative.length
  const out = new Float64Array(of)
  let reached = 0
  for (let i = 0; i < of; i++) {
    const goal = (i > 0 ? cumulative[i - 1]! : 0) + target
    if (reached < i) reached = i
    while (reached < days && cumulative[reached]! < goal) reached++
    out[i] = reached < days ? reached : NEVER
  }
  return out
}

function accumulate(days: number, daily: (i: number) => number): Float64Array {
  const out = new Float64Array(days)
  let sum = 0
  for (let i = 0; i < days; i++) out[i] = sum += daily(i)
  return out
}

/** Sum of a running sum from one day to before another. */
const between = (cumulative: Float64Array, from: number, to: number): number =>
  to <= from ? 0 : cumulative[Math.min(to, cumulative.length) - 1]! - (from > 0 ? cumulative[from - 1]! : 0)

/** For each day, the index of the next day on which it holds. */
function nextDayWhen(days: number, holds: (i: number) => boolean): Float64Array {
  const out = new Float64Array(days + 1).fill(NEVER)
  for (let i = days - 1; i >= 0; i--) out[i] = holds(i) ? i : out[i + 1]!
  return out
}

const staysOver = (series: Float64Array, from: number, days: number, least: number): boolean => {
  for (let i = from; i < from + days; i++) if (series[i]! < least) return false
  return true
}

const after = (next: Float64Array, i: number): number =>
  i < NEVER ? next[i < next.length ? i : next.length - 1]! : NEVER

const lowestOf = (series: Float64Array, from: number, to: number): number => {
  let low = Infinity
  for (let i = from; i < Math.min(to, series.length); i++) if (series[i]! < low) low = series[i]!
  return low
}

/**
 * Follows seed sown on every day of one weather year: when it comes up, and what share of a stand comes through each of its
 * enemies. The share is the product of all, each named.
 * @param water of the bed in this year; kept moist where left out
 * @param sownDays so many of the first days are sown on; all where left out
 * @source own, over FAO-56 and Garcia-Huidobro, Monteith & Squire 1982
 */
export function judgeYear(
  { weather, soil }: SeasonYear,
  grass: Grass,
  risk: SeedbedRisk,
  water?: SeedWater,
  sownDays?: number,
): YearOutlook {
  const days = weather.tmaxC.length
  const sowings = Math.min(days, sownDays ?? days)
  const warm = grass.season === 'warm'
  const baseC = growthBaseC(grass)
  const { medianCd } = grass.thermal
  const daily = dailyGerminationCd(soil.seedbedHourlyC, grass, water?.factor, water?.warmerK)
  const germinated = accumulate(days, (i) => daily.watered[i]!)
  const whereMoist = water ? accumulate(days, (i) => daily.moist[i]!) : germinated
  const grown = leafCourse(grass, weather)
  const rooted = accumulate(days, (i) => Math.max(0, soil.probeDailyC[i]! - baseC))
  const soil5 = fiveDayMeans(soil.probeDailyC)
  const air5 = fiveDayMeans(weather.tmaxC)
  const keptOfRain = accumulate(days, (i) =>
    fellAsSnow(weather, i)
      ? 0
      : Math.log(1 - washedShare(weather.rainMm[i]!, risk.covering, risk.slopeShare, risk.swardCover)),
  )
  const dryHours = water && accumulate(days, (i) => water.dryHours[i]!)
  const nextWinter = nextDayWhen(days, (i) => soil5[i]! < GROWS_UNTIL_SOIL_C[grass.season])
  const hot = warm ? [] : hotDays(soil5, air5)
  const nextHot = nextDayWhen(days, (i) => !warm && soil5[i]! > HOT_DAY.soilC && air5[i]! > HOT_DAY.airC)
  const nextOver = nextDayWhen(days, (i) => soil5[i]! > RISING.overC)
  const frosts = accumulate(days, (i) => (weather.tminC[i]! <= HARD_FROST.airC ? 1 : 0))
  const coldestFrom = new Map<number, number>()
  const coldest = (onset: number): number => {
    let low = coldestFrom.get(onset)
    if (low === undefined) coldestFrom.set(onset, (low = lowestOf(soil5, onset, onset + WINTER_DAYS)))
    return low
  }

  const up = (share: EmergedShare) => reachedFrom(germinated, thermalTimeTo(share, grass), sowings)
  const [up05, up50, up95] = [up(0.05), up(0.5), up(0.95)]
  const sprouting = reachedFrom(germinated, SPROUTING_FROM * medianCd, sowings)
  const lastLoose = reachedFrom(germinated, LOOSE_UNTIL * medianCd, sowings)
  const beyondDrying = reachedFrom(grown, thermalTimeToHeight(grass, BEYOND_DRYING_MM))

  /** Share that lives through frost and winter after it came up on a day. */
  function wintered(half: number): number {
    const onset = after(nextWinter, half)
    if (warm) return onset < NEVER ? Math.min(1, between(rooted, half, onset) / grass.rootingCd) : 1
    const frozen = HARD_FROST.leaves ** between(frosts, half, half + HARD_FROST.days + 1)
    if (!(onset < after(nextHot, half))) return frozen
    return frozen * winteredShare(between(rooted, half, onset) / grass.rootingCd, coldest(onset))
  }
  /** Share that lives through the heat of its first year. */
  function summered(half: number): number {
    const rooting = SUMMER_ROOTS * grass.rootingCd
    let hazard = 0
    for (let k = firstFrom(hot, half); k < hot.length && hot[k]! <= half + HEAT.days; k++) {
      const left = 1 - between(rooted, half, hot[k]!) / rooting
      if (left <= 0) break
      hazard += HEAT.hazard * left
    }
    return Math.exp(-hazard)
  }
  function unweeded(sown: number): number {
    const then = sown + RISING.days
    if (warm || then >= days) return 1
    const rising = after(nextOver, sown) <= then && soil5[then]! > soil5[sown]! + RISING.byK
    return rising ? 1 - (risk.preEmergent ? WEEDS_TAKE.held : WEEDS_TAKE.open) : 1
  }
  const out: YearOutlook = {
    share: new Float32Array(sowings),
    worst: new Uint8Array(sowings),
    up05,
    up50,
    up95,
    germinatedCd: germinated,
    dormant: { share: new Float32Array(sowings).fill(Number.NaN), worst: new Uint8Array(sowings) },
  }
  /** @param looseFrom day from which rain can take it @param by day by which its emergence is counted */
  function judge(into: Established, sown: number, looseFrom: number, by: number, weedsOn: number): void {
    const half = up50[sown]!
    const [moistCd, wateredCd] = [between(whereMoist, sown, by), between(germinated, sown, by)]
    const moist = emergedShare(grass, moistCd)
    const emerged = wateredCd === moistCd ? moist : emergedShare(grass, wateredCd)
    const until = Math.min(days, after(beyondDrying, Math.min(half, days - 1)) + 1)
    const kept = dryHours ? keptMoistShare(between(dryHours, sprouting[sown]!, until), risk.covering !== 'bare') : 1
    const held = Math.exp(between(keptOfRain, looseFrom, Math.min(days, lastLoose[sown]! + 1)))
    const is = half < NEVER
    const shares = [
      moist,
      (moist > 0 ? emerged / moist : 1) * kept,
      held,
      is ? wintered(half) : 1,
      is ? summered(half) : 1,
      unweeded(weedsOn),
      // Seed that lies until spring is added for what birds and rot take of it.
      is && looseFrom === sown ? leftByBirds(half - sown, risk.covering, risk.swardCover) : 1,
    ]
    let [product, worst] = [1, 0]
    for (let k = 0; k < shares.length; k++) {
      product *= shares[k]!
      if (shares[k]! < shares[worst]!) worst = k
    }
    into.share[sown] = product
    into.worst[sown] = worst
  }
  const nextThaw = nextDayWhen(days - SPRING_DAYS, (i) => staysOver(soil5, i, SPRING_DAYS, DORMANT_SOIL_C))
  const nextWarm = nextDayWhen(days, (i) => soil5[i]! >= LEAST_SOIL_C[grass.season])
  for (let sown = 0; sown < sowings; sown++) {
    judge(out, sown, sown, sown + grass.emergenceLimitDays + 1, sown)
    if (warm || risk.winterColour || soil5[sown]! >= DORMANT_SOIL_C) continue
    // Winter's rain, birds and rot are in the seed that is added for it; what is judged begins with the thaw.
    const thaw = after(nextThaw, sown)
    const begins = after(nextWarm, thaw)
    if (begins < NEVER) judge(out.dormant, sown, thaw, begins + grass.emergenceLimitDays + 1, begins)
    else out.dormant.share[sown] = 0
  }
  return out
}

function hotDays(soil5: Float64Array, air5: Float64Array): number[] {
  const out: number[] = []
  for (let i = 0; i < soil5.length; i++) if (air5[i]! > HOT_DAY.airC && soil5[i]! > HOT_DAY.soilC) out.push(i)
  return out
}

/** Place of the first of some rising numbers that is not below a value. */
function firstFrom(rising: readonly number[], least: number): number {
  let [low, high] = [0, rising.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (rising[middle]! < least) low = middle + 1
    else high = middle
  }
  return low
}
