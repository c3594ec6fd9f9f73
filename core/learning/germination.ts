import type { EmergenceCourse } from '../establishment/emergenceCourse'
import { daysBetween, type Day } from '../measure/calendar'
import type { UnitSystem } from '../measure/figure'
import { countInterval, sizeOf, type CountInterval } from './intervals'
import type { SeenCount } from './seen'

/** Counts within so much of what is expected are as expected. @source own */
export const FAIR = 0.2
/** All that will come is up where a slow year has so much of it. */
export const ALL_UP = 0.95
/** With fewer seedlings expected in all frames together nothing is judged. @source own */
const LEAST_EXPECTED = 5
/** Of what is expected in the end; with no more once all should be up, the bed has failed. @source own */
const FAILED_BELOW = 0.25
/** A frame under so much of the low end of what is fair is a weak spot. @source own */
const WEAK_BELOW = 0.7

export type GerminationState = 'early' | 'ahead' | 'on track' | 'behind' | 'failed'

/** One count of a zone beside what was expected on its day. */
export interface JudgedCount {
  seenOn: Day
  /** Days after sowing. */
  day: number
  frameMm: number
  seedlings: readonly number[]
  interval: CountInterval
  /** Seedlings expected in a frame, and the fair range about it. */
  expected: number
  fair: [low: number, high: number]
  state: GerminationState
  /** Whether the interval of the mean lies outside of the fair range as a whole, or inside of it. */
  sure: boolean
  /** Days by which the mean lags behind the curve, below 0 ahead; null once the curve is flat or never gets there. */
  daysBehind: number | null
  /** Frames that stand far below what is fair, by their index. */
  weak: number[]
}

const at = (series: readonly number[], day: number): number =>
  day < 0 ? 0 : (series[Math.min(day, series.length - 1)] ?? 0)

/** Seedlings of a full emergence in a frame. */
export const perFrame = (perCm2: number, frameMm: number): number => perCm2 * (frameMm / 10) ** 2

/** Seedlings to be expected in a frame on a day after sowing, and the fair range about it. */
export function expectedIn(
  { slow, middle, fast }: Pick<EmergenceCourse, 'slow' | 'middle' | 'fast'>,
  perCm2: number,
  frameMm: number,
  day: number,
): { middle: number; low: number; high: number } {
  const whole = perFrame(perCm2, frameMm)
  return {
    middle: whole * at(middle, day),
    low: whole * at(slow, day) * (1 - FAIR),
    high: whole * at(fast, day) * (1 + FAIR),
  }
}

/** Day on which the middle curve reaches a share, between days; undefined where it never does. */
function dayOfShare(middle: readonly number[], share: number): number | undefined {
  const i = middle.findIndex((value) => value >= share)
  if (i <= 0) return i === 0 ? 0 : undefined
  const [before, after] = [middle[i - 1]!, middle[i]!]
  return i - 1 + (share - before) / (after - before)
}

/**
 * A count beside what was expected of its day.
 * @param sowOn day on which it was really sown
 * @param perCm2 seedlings to be counted on in the end
 * @source own
 */
export function judgeCount(
  { seenOn, frameMm, seedlings }: Pick<SeenCount, 'seenOn' | 'frameMm' | 'seedlings'>,
  course: Pick<EmergenceCourse, 'slow' | 'middle' | 'fast'>,
  sowOn: Day,
  perCm2: number,
): JudgedCount {
  const day = daysBetween(sowOn, seenOn)
  const whole = perFrame(perCm2, frameMm)
  const interval = countInterval(seedlings)
  const { slow, middle } = course
  const expected = expectedIn(course, perCm2, frameMm, day)
  const fair: [number, number] = [expected.low, expected.high]
  const { mean, low, high } = interval
  const state = ((): GerminationState => {
    if (mean > fair[1] && low > 0) return 'ahead'
    if (expected.middle * seedlings.length < LEAST_EXPECTED) return 'early'
    if (at(slow, day) >= ALL_UP && high < FAILED_BELOW * whole) return 'failed'
    return mean < fair[0] ? 'behind' : 'on track'
  })()
  const there = at(middle, day) < ALL_UP ? dayOfShare(middle, mean / whole) : undefined
  return {
    seenOn,
    day,
    frameMm,
    seedlings,
    interval,
    expected: expected.middle,
    fair,
    state,
    sure: state === 'on track' ? low >= fair[0] && high <= fair[1] : state === 'ahead' ? low > fair[1] : high < fair[0],
    daysBehind: there === undefined || state === 'early' ? null : Math.round((day - there) * 2) / 2,
    weak: seedlings.flatMap((count, i) => (count < WEAK_BELOW * fair[0] ? [i] : [])),
  }
}

/** How a zone comes up by its counts: share of what was expected in the end, and days of delay, each with its 90 % interval. */
export interface LearnedEmergence {
  factor: number
  factorLow: number
  factorHigh: number
  delayDays: number
  delayLow: number
  delayHigh: number
}

/** Before anything is counted: the share has a gamma distribution of mean 1, the delay a normal one of mean 0. @source own */
export const PRIOR = { shape: 6, delayDays: 2.5 } as const
const [FACTOR_STEPS, MOST_FACTOR, DELAY_STEP, MOST_DELAY] = [120, 3, 0.5, 14]

/** Log of the chance of a count; up to a constant. */
function logChance(count: number, expected: number, size: number): number {
  const mean = Math.max(expected, 1e-6)
  const miss = size === Infinity ? 0 : (count + size) * Math.log(1 + mean / size)
  return count * Math.log(mean) - (size === Infinity ? mean : miss)
}

/** Where the running sum of weights passes a share. */
function weightedQuantile(values: readonly number[], weights: readonly number[], share: number): number {
  const all = weights.reduce((sum, weight) => sum + weight, 0)
  let sum = 0
  for (let i = 0; i < values.length; i++) {
    sum += weights[i]!
    if (sum >= share * all) return values[i]!
  }
  return values.at(-1)!
}

/**
 * What the counts of a zone say of its emergence: Bayes on the share that comes up and on the delay, over a grid.
 * @param counts of one zone, any order
 * @returns undefined where nothing was counted
 * @source own, over statistics textbooks: a gamma and a normal prior on a grid, Poisson or negative binomial counts
 */
export function learnEmergence(
  counts: readonly Pick<SeenCount, 'seenOn' | 'frameMm' | 'seedlings'>[],
  { middle }: Pick<EmergenceCourse, 'middle'>,
  sowOn: Day,
  perCm2: number,
): LearnedEmergence | undefined {
  if (!counts.length || !(perCm2 > 0)) return undefined
  const visits = counts.map(({ seenOn, frameMm, seedlings }) => {
    return {
      day: daysBetween(sowOn, seenOn),
      whole: perFrame(perCm2, frameMm) * seedlings.length,
      sum: seedlings.reduce((all, count) => all + count, 0),
      size: sizeOf(seedlings) * seedlings.length,
    }
  })
  const factors = Array.from({ length: FACTOR_STEPS }, (_, i) => ((i + 0.5) / FACTOR_STEPS) * MOST_FACTOR)
  const delays = Array.from({ length: (2 * MOST_DELAY) / DELAY_STEP + 1 }, (_, i) => -MOST_DELAY + i * DELAY_STEP)
  /** Between days, so that half a day of delay is one. */
  const shareOn = (day: number) => {
    const [from, part] = [Math.floor(day), day - Math.floor(day)]
    return at(middle, from) * (1 - part) + at(middle, from + 1) * part
  }
  const logs = delays.map((delay) =>
    factors.map(
      (factor) =>
        (PRIOR.shape - 1) * Math.log(factor) -
        PRIOR.shape * factor -
        (delay / PRIOR.delayDays) ** 2 / 2 +
        visits.reduce((sum, of) => sum + logChance(of.sum, factor * of.whole * shareOn(of.day - delay), of.size), 0),
    ),
  )
  const top = Math.max(...logs.flat())
  const weights = logs.map((row) => row.map((log) => Math.exp(log - top)))
  const byFactor = factors.map((_, i) => weights.reduce((sum, row) => sum + row[i]!, 0))
  const byDelay = weights.map((row) => row.reduce((sum, weight) => sum + weight, 0))
  const meanOf = (values: readonly number[], of: readonly number[]) =>
    values.reduce((sum, value, i) => sum + value * of[i]!, 0) / of.reduce((sum, weight) => sum + weight, 0)
  return {
    factor: meanOf(factors, byFactor),
    factorLow: weightedQuantile(factors, byFactor, 0.05),
    factorHigh: weightedQuantile(factors, byFactor, 0.95),
    delayDays: meanOf(delays, byDelay),
    delayLow: weightedQuantile(delays, byDelay, 0.05),
    delayHigh: weightedQuantile(delays, byDelay, 0.95),
  }
}

/** Seedlings that a frame is sized to hold. @source own: the middle of 15 to 30 */
const HELD = 21

/** Sides of square frames that people carry, mm, by what they measure in. @source trade */
export const FRAMES_MM: Readonly<Record<UnitSystem, readonly number[]>> = {
  us: [25.4, 50.8, 76.2, 101.6, 152.4, 304.8],
  metric: [25, 50, 75, 100, 150, 300],
}

/** The frame of some that holds a number of seedlings one can count. @param sidesMm of square frames, one at least */
export const frameFor = (perCm2: number, sidesMm: readonly number[]): number =>
  sidesMm.reduce((best, side) => {
    const off = (mm: number) => Math.abs(Math.log(Math.max(1e-6, perFrame(perCm2, mm)) / HELD))
    return off(side) < off(best) ? side : best
  })
