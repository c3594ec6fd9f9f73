import { growthBaseC, type Grass } from '../grass/grasses'
import { dailyGerminationCd, thermalTimeTo, type EmergedShare } from './germination'
import { thermalTimeToHeight } from './growth'
import type { BedWater, SeedBed } from './moisture'
import { fellAsSnow } from '../weather/weather'
import { LEAST_SOIL_C } from './candidates'
import { fiveDayMeans, type SeasonYear } from './season'
import type { BedCover } from '../water/topLayer'

export type Cause = 'cold' | 'heat' | 'frost' | 'washout' | 'dry'
export type Covering = 'bare' | 'covered' | 'fleece'

/** A day's rain that takes seed along. @source own */
const WASHOUT_MM: Record<Covering, number> = { bare: 25, covered: 38, fleece: 50 }
const SLOPE_FACTOR = 0.7
const STEEP_SHARE = 0.08
const FROST_AIR_C = -4
const FROST_SOIL_C = 5
const WARM_END_SOIL_C = 15
/** Soil in which seed lies until spring without sprouting. @source turf handbooks */
const DORMANT_SOIL_C = 5
/** Days that soil has to stay above it before winter is over. @source own */
const SPRING_DAYS = 10
const HEAT_AIR_C = 30
const HEAT_SOIL_C = 24
/** Roots for a summer take twice as long as roots for a winter. */
const HEAT_ROOTING = 2
/** Seed lies loose until this many times its median thermal time. */
const LOOSE_UNTIL = 1.3
/** Winter colour waits until the soil has fallen to here. @source turf handbooks */
const WINTER_SOIL_C = 22
/** Days over which soil has to have fallen for turf to be going dormant. @source own */
const FALLING_DAYS = 14
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
  /** Sown into warm-season turf for its dormancy: not while that still grows. */
  winterColour?: boolean
  /** How its bed is covered and watered; kept moist where left out. */
  bed?: SeedBed
}

/** What one weather year does to seed sown on each day of it. */
export interface YearOutlook {
  /** First cause of failure by sowing day, or null for a good stand. */
  cause: (Cause | null)[]
  /** Index of the day on which 5 %, 50 % and 95 % are up; Infinity when not within the series. */
  up05: Float64Array
  up50: Float64Array
  up95: Float64Array
  /** Thermal time of germination collected from the first day to the end of each, °C·d. */
  germinatedCd: Float64Array
  /**
   * The same causes for seed put down to lie until spring; undefined on days too warm for it, and for warm-season
   * seed.
   */
  dormant: (Cause | null | undefined)[]
}

/** What becomes of what is sown, a grass or a mixture. */
export type SeedYear = Omit<YearOutlook, 'germinatedCd'>

/**
 * For each day, the first index from it on whose running sum of those days reaches the target. A later day is never there
 * sooner, so the search goes on where it stood.
 */
function reachedFrom(cumulative: Float64Array, target: number): Float64Array {
  const days = cumulative.length
  const out = new Float64Array(days)
  let reached = 0
  for (let i = 0; i < days; i++) {
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

/**
 * Follows seed sown on every day of one weather year: when it comes up, and what spoils it first.
 * @param water of the bed in this year; kept moist where left out
 * @source own, over FAO-56 and Garcia-Huidobro, Monteith & Squire 1982
 */
export function judgeYear(
  { weather, soil }: SeasonYear,
  grass: Grass,
  risk: SeedbedRisk,
  water?: BedWater,
): YearOutlook {
  const days = weather.tmaxC.length
  const warm = grass.season === 'warm'
  const baseC = growthBaseC(grass)
  const germination = dailyGerminationCd(soil.seedbedHourlyC, grass, water?.factor)
  const germinated = accumulate(days, (i) => germination[i]!)
  // Asked for only where seed comes up late.
  let moist60: Float64Array | undefined
  const upWereItMoist = () => {
    if (!water) return up60
    if (!moist60) {
      const daily = dailyGerminationCd(soil.seedbedHourlyC, grass)
      moist60 = reachedFrom(
        accumulate(days, (i) => daily[i]!),
        thermalTimeTo(0.6, grass),
      )
    }
    return moist60
  }
  const grown = accumulate(days, (i) => Math.max(0, (weather.tmaxC[i]! + weather.tminC[i]!) / 2 - baseC))
  const rooted = accumulate(days, (i) => Math.max(0, soil.probeDailyC[i]! - baseC))
  const soil5 = fiveDayMeans(soil.probeDailyC)
  const air5 = fiveDayMeans(weather.tmaxC)
  const washoutMm = WASHOUT_MM[risk.covering] * (risk.slopeShare > STEEP_SHARE ? SLOPE_FACTOR : 1)

  const nextWash = nextDayWhen(days, (i) => weather.rainMm[i]! >= washoutMm && !fellAsSnow(weather, i))
  const nextFrost = nextDayWhen(days, (i) =>
    warm ? soil5[i]! < WARM_END_SOIL_C : soil5[i]! < FROST_SOIL_C || weather.tminC[i]! <= FROST_AIR_C,
  )
  const nextHeat = nextDayWhen(days, (i) => !warm && soil5[i]! > HEAT_SOIL_C && air5[i]! > HEAT_AIR_C)

  const nextDry = nextDayWhen(days, (i) => water !== undefined && water.kills[i] === 1)

  const up = (share: EmergedShare) => reachedFrom(germinated, thermalTimeTo(share, grass))
  const [up05, up50, up60, up95] = [up(0.05), up(0.5), up(0.6), up(0.95)]
  const sprouting = reachedFrom(germinated, SPROUTING_FROM * grass.thermal.medianCd)
  const lastLoose = reachedFrom(germinated, LOOSE_UNTIL * grass.thermal.medianCd)
  const beyondDrying = reachedFrom(grown, thermalTimeToHeight(grass, BEYOND_DRYING_MM))
  const wintersRoots = reachedFrom(rooted, grass.rootingCd)
  const summersRoots = reachedFrom(rooted, HEAT_ROOTING * grass.rootingCd)

  /** What spoils seed that has come up, or lies loose from a day on: the first of all. */
  const spoiltFirst = (sown: number, looseFrom: number): Cause | null => {
    const half = up50[sown]!
    const washed = after(nextWash, looseFrom)
    const frost = after(nextFrost, half)
    const heat = after(nextHeat, half)
    const dried = after(nextDry, sprouting[sown]!)
    let [first, cause]: [number, Cause | null] = [NEVER, null]
    if (dried < first && dried < after(beyondDrying, half)) [first, cause] = [dried, 'dry']
    if (washed < first && washed <= Math.min(days - 1, lastLoose[sown]!)) [first, cause] = [washed, 'washout']
    if (frost < first && frost < after(wintersRoots, half)) [first, cause] = [frost, 'frost']
    if (heat < first && heat < after(summersRoots, half)) cause = 'heat'
    return cause
  }
  const judge = (sown: number): Cause | null => {
    if (soil5[sown]! < LEAST_SOIL_C[grass.season]) return 'cold'
    if (risk.winterColour && (soil5[sown]! > WINTER_SOIL_C || soil5[sown]! >= soil5[Math.max(0, sown - FALLING_DAYS)]!))
      return 'heat'
    if (up60[sown]! - sown > grass.emergenceLimitDays) {
      // What moist soil would have brought up in time was held back by drought, not by cold.
      return upWereItMoist()[sown]! - sown > grass.emergenceLimitDays ? 'cold' : 'dry'
    }
    return spoiltFirst(sown, sown)
  }
  const nextThaw = nextDayWhen(days - SPRING_DAYS, (i) => staysOver(soil5, i, SPRING_DAYS, DORMANT_SOIL_C))
  const nextWarm = nextDayWhen(days, (i) => soil5[i]! >= LEAST_SOIL_C[grass.season])
  /** Winter's rain, birds and rot are in the seed that is lost; what is judged begins with the thaw. */
  const judgeDormant = (sown: number): Cause | null | undefined => {
    if (warm || risk.winterColour || soil5[sown]! >= DORMANT_SOIL_C) return undefined
    const thaw = after(nextThaw, sown)
    if (!Number.isFinite(thaw)) return 'cold'
    if (up60[sown]! > after(nextWarm, thaw) + grass.emergenceLimitDays) return 'cold'
    return spoiltFirst(sown, thaw)
  }
  const [cause, dormant]: [YearOutlook['cause'], YearOutlook['dormant']] = [[], []]
  for (let sown = 0; sown < days; sown++) {
    cause.push(judge(sown))
    dormant.push(judgeDormant(sown))
  }
  return { cause, dormant, up05, up50, up95, germinatedCd: germinated }
}
