import { growthBaseC, type Grass } from '../grass/grasses'
import type { WeatherRun } from '../weather/weather'

/** @returns °C·d of air from median emergence to a leaf height, mm; straight lines through 0, 25, 50 and 80 mm */
export function thermalTimeToHeight(grass: Grass, heightMm: number): number {
  const [to25, to50, to80] = grass.growthCd
  if (heightMm <= 25) return (heightMm / 25) * to25
  if (heightMm <= 50 || to80 === null) return to25 + ((heightMm - 25) / 25) * (to50 - to25)
  return to50 + ((heightMm - 50) / 30) * (to80 - to50)
}

/**
 * Thermal time that leaves grow by in a day of a mean air temperature: above the base up to the optimum of the grass, falling
 * to none at its ceiling. Heat slows cool-season leaves.
 * @returns °C·d
 * @source own, over the cardinal temperatures of germination
 */
export function leafCd(grass: Grass, meanC: number): number {
  const { optimumC, ceilingC } = grass.thermal
  const baseC = growthBaseC(grass)
  if (meanC <= optimumC) return Math.max(0, meanC - baseC)
  return meanC >= ceilingC ? 0 : ((optimumC - baseC) * (ceilingC - meanC)) / (ceilingC - optimumC)
}

/** Running sum of `leafCd` to the end of each day. */
export function leafCourse(grass: Grass, { tmaxC, tminC }: Pick<WeatherRun, 'tmaxC' | 'tminC'>): Float64Array {
  const course = new Float64Array(tmaxC.length)
  let sum = 0
  for (let i = 0; i < course.length; i++) course[i] = sum += leafCd(grass, (tmaxC[i]! + tminC[i]!) / 2)
  return course
}

/**
 * First day on which a running sum has grown by so much since the beginning of another.
 * @returns index, or Infinity when it stops first
 */
export function dayReached(course: Float64Array, from: number, amount: number): number {
  if (!(from < course.length)) return Infinity
  const goal = (from > 0 ? course[from - 1]! : 0) + amount
  let [low, high] = [from, course.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (course[middle]! >= goal) high = middle
    else low = middle + 1
  }
  return low < course.length ? low : Infinity
}

/** A first mowing is due no sooner than here, mm, but for lawns kept so low that half again is less. @source trade */
const FIRST_MOW_MM = 90
/** Least that leaves stand above the kept height at the first mowing. @source own */
const ABOVE_KEPT = 1.25

/** Height at which a grass is kept on a lawn mown at another: within what it bears, mm. */
export const keptHeightMm = ({ mowingMm: [low, high] }: Pick<Grass, 'mowingMm'>, mownAtMm: number): number =>
  Math.min(Math.max(mownAtMm, low), high)

/**
 * A lawn kept this low at the most may have its first mowing late and at once down to there, which breaks the rule of a
 * third, mm. @source trade: 40 to 50 mm down to 25
 */
const LOW_AT_ONCE = { keptMm: 25.4, fromMm: 45 } as const
/** @param lowAtOnce whether that is the practice */
export const cutsLowAtOnce = (keptHeightMm: number, lowAtOnce: boolean): boolean =>
  lowAtOnce && keptHeightMm <= LOW_AT_ONCE.keptMm

/** Height at which the first mowing is due, mm: a lawn is never cut below the height it is kept at. */
export const firstMowHeightMm = (keptHeightMm: number, lowAtOnce = false): number =>
  cutsLowAtOnce(keptHeightMm, lowAtOnce)
    ? LOW_AT_ONCE.fromMm
    : Math.min(1.5 * keptHeightMm, Math.max(FIRST_MOW_MM, ABOVE_KEPT * keptHeightMm))

/** First cut: to the kept height or two thirds of what stands, whichever is higher, mm; at once to it by that practice. */
export const firstCutMm = (standingMm: number, keptHeightMm: number, lowAtOnce = false): number =>
  cutsLowAtOnce(keptHeightMm, lowAtOnce) ? keptHeightMm : Math.max(keptHeightMm, (2 / 3) * standingMm)

/** Later mowings come when leaves stand so far above the kept height: short intervals thicken, and less than a third comes off. @source trade */
const LATER_MOW = 1.25

/** Mowings that release weed control and the lawn. @source trade */
export const RELEASING_MOWINGS = 4

/**
 * Growth of leaves to each of the first mowings from the one before it, °C·d; never more than a third of what stands comes
 * off, but at the first where it is low at once.
 * @param count mowings that are looked for
 */
export function mowingsCd(grass: Grass, keptMm: number, count: number, lowAtOnce = false): number[] {
  const growths: number[] = []
  let [standsMm, dueMm] = [0, firstMowHeightMm(keptMm, lowAtOnce)]
  for (let k = 0; k < count; k++) {
    growths.push(thermalTimeToHeight(grass, dueMm) - thermalTimeToHeight(grass, standsMm))
    standsMm = firstCutMm(dueMm, keptMm, lowAtOnce && k === 0)
    dueMm = LATER_MOW * standsMm
  }
  return growths
}

/**
 * Days of those mowings in one weather year.
 * @param course of its leaves
 * @param emergedIndex day of median emergence
 * @returns indices; Infinity from the one on that growth stops before
 */
export function mowingDays(course: Float64Array, emergedIndex: number, growthsCd: readonly number[]): number[] {
  const days: number[] = []
  let from = emergedIndex
  for (const growthCd of growthsCd) {
    const day = dayReached(course, from, growthCd)
    days.push(day)
    from = day + 1
  }
  return days
}
