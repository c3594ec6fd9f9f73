import { dayNumber, monthIndex } from '../measure/calendar'
import { dailyNormals, meanOf, WET_DAY_MM, type Normals } from './normals'
import type { DailyWeather } from './weather'

/** What days do around the course of the year, the same in all months. */
export interface DayCharacter {
  /** A wet day's maximum and minimum less a dry day's of the same month, K: wet days are duller, their nights milder. */
  wetLessDryK: { tmax: number; tmin: number }
  /** Lag-one correlation of what is left about the means of wet and dry days. */
  persistence: number
  /** Correlation of what is left of maximum and minimum. */
  together: number
  /** Chance of a wet day after a wet one less that after a dry one. */
  wetPersistence: number
  /**
   * Depth of a wet day over the mean of its month: two exponentials, the share of the smaller one and its mean; the larger
   * one keeps the mean at 1.
   */
  depth: { smallShare: number; smallMean: number }
}

/** Days of a place that only normals are known of. @source own; Seattle and New York, 2012-2015, persist by 0.56 to 0.64, and New York's wet days are spread so */
export const USUAL_DAYS: DayCharacter = {
  wetLessDryK: { tmax: -3, tmin: 0.8 },
  persistence: 0.6,
  together: 0.6,
  wetPersistence: 0.25,
  depth: { smallShare: 0.4, smallMean: 0.2 },
}

const spreadOf = (values: readonly number[]): number =>
  Math.sqrt(values.reduce((sum, v) => sum + v * v, 0) / Math.max(1, values.length))

function correlation(pairs: readonly (readonly [number, number])[]): number {
  const [ma, mb] = [meanOf(pairs.map(([a]) => a)), meanOf(pairs.map(([, b]) => b))]
  let [ab, aa, bb] = [0, 0, 0]
  for (const [a, b] of pairs) {
    ab += (a - ma) * (b - mb)
    aa += (a - ma) ** 2
    bb += (b - mb) ** 2
  }
  return aa > 0 && bb > 0 ? ab / Math.sqrt(aa * bb) : 0
}

const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value))

/** Fewer wet days than this tell nothing of heavy ones. @source own */
const LEAST_WET_DAYS = 100
const ROUNDS = 200

/**
 * Mixture of two exponentials of mean 1.
 * @param depths over the mean of their months
 * @source expectation and maximisation, Dempster, Laird & Rubin 1977
 */
function mixtureOf(depths: readonly number[]): DayCharacter['depth'] {
  if (depths.length < LEAST_WET_DAYS) return USUAL_DAYS.depth
  const mean = meanOf(depths)
  let [share, small, large] = [0.6, 0.4 * mean, 1.9 * mean]
  for (let round = 0; round < ROUNDS; round++) {
    let [weight, ofSmall, ofLarge] = [0, 0, 0]
    for (const x of depths) {
      const a = (share / small) * Math.exp(-x / small)
      const b = ((1 - share) / large) * Math.exp(-x / large)
      const belongs = a / (a + b)
      weight += belongs
      ofSmall += belongs * x
      ofLarge += (1 - belongs) * x
    }
    share = within(weight / depths.length, 0.02, 0.98)
    small = Math.max(1e-3, ofSmall / Math.max(1e-9, weight))
    large = ofLarge / Math.max(1e-9, depths.length - weight)
  }
  return { smallShare: share, smallMean: within(small / mean, 0.02, 0.98 / share) }
}

/** What is left of each day about the course of its month's wet or dry days, K. */
interface Left {
  n: number
  month: number
  wet: boolean
  high: number
  low: number
}

/**
 * What the days of a record do; usual days stand in for what it is too short to tell.
 * @param normals of the same record: the course that its days go about
 * @returns its character, and by month the spread of maximum and minimum about the course, wet and dry days together, K
 */
export function characterOf(
  record: readonly DailyWeather[],
  normals: Normals,
): { days: DayCharacter; tmaxSdK: number[]; tminSdK: number[] } {
  const left = record
    .map(({ day, tmaxC, tminC, rainMm }): Left => {
      const usual = dailyNormals(normals, day)
      return {
        n: dayNumber(day),
        month: monthIndex(day),
        wet: rainMm >= WET_DAY_MM,
        high: tmaxC - usual.tmaxC,
        low: tminC - usual.tminC,
      }
    })
    .sort((a, b) => a.n - b.n)
  const byMonth = Array.from({ length: 12 }, (_, month) => left.filter((day) => day.month === month))
  const gap = (key: 'high' | 'low', usual: number) => {
    let [sum, weight] = [0, 0]
    for (const days of byMonth) {
      const [wet, dry] = [days.filter((day) => day.wet), days.filter((day) => !day.wet)]
      const n = Math.min(wet.length, dry.length)
      if (n < 3) continue
      sum += n * (meanOf(wet.map((day) => day[key])) - meanOf(dry.map((day) => day[key])))
      weight += n
    }
    return weight ? sum / weight : usual
  }
  const wetLessDryK = { tmax: gap('high', USUAL_DAYS.wetLessDryK.tmax), tmin: gap('low', USUAL_DAYS.wetLessDryK.tmin) }
  const wetShare = byMonth.map((days) => meanOf(days.map(({ wet }) => (wet ? 1 : 0))))
  const about = (key: 'high' | 'low', deltaK: number) => (day: Left) =>
    day[key] - deltaK * ((day.wet ? 1 : 0) - wetShare[day.month]!)
  const [high, low] = [about('high', wetLessDryK.tmax), about('low', wetLessDryK.tmin)]
  const spread = byMonth.map((days) => [spreadOf(days.map(high)) || 1, spreadOf(days.map(low)) || 1] as const)
  const standing = left.map((day) => [high(day) / spread[day.month]![0], low(day) / spread[day.month]![1]] as const)
  const next = left.flatMap((day, i) => (left[i + 1]?.n === day.n + 1 ? [i] : []))
  const wetAbout = (day: Left) => (day.wet ? 1 : 0) - wetShare[day.month]!
  const rainOf = new Map(record.map(({ day, rainMm }) => [dayNumber(day), rainMm]))
  const depthMean = byMonth.map((days) => meanOf(days.filter(({ wet }) => wet).map(({ n }) => rainOf.get(n)!)))
  return {
    tmaxSdK: byMonth.map((days) => spreadOf(days.map((day) => day.high))),
    tminSdK: byMonth.map((days) => spreadOf(days.map((day) => day.low))),
    days: {
      wetLessDryK,
      persistence: within(
        (correlation(next.map((i) => [standing[i]![0], standing[i + 1]![0]])) +
          correlation(next.map((i) => [standing[i]![1], standing[i + 1]![1]]))) /
          2,
        0,
        0.9,
      ),
      together: within(correlation(standing), 0, 0.95),
      wetPersistence: within(correlation(next.map((i) => [wetAbout(left[i]!), wetAbout(left[i + 1]!)])), 0, 0.8),
      depth: mixtureOf(left.filter(({ wet }) => wet).map(({ n, month }) => rainOf.get(n)! / depthMean[month]!)),
    },
  }
}
