import {
  AS_TOLD,
  DRY_BELOW,
  followTopLayer,
  topLayer,
  type BedCover,
  type TopLayerCourse,
  type Watering,
} from '../water/topLayer'
import { fleeceWarmsK, SUN_WAVE, type Ground } from '../soil/soilCourse'
import type { WeatherRun } from '../weather/weather'

/** The bed that seed lies in, as far as water goes. */
export interface SeedBed {
  cover: BedCover
  /** Loose, mm. */
  coverMm: number
  watering: Watering
}

/** Water left under which germination slows, and at which it stands still. @source own */
const [SLOWS_BELOW, STANDS_AT] = [0.3, 0.05]

/** Share of its speed that germination keeps. @param leftShare water of the top layer, 0-1 */
export const moistureFactor = (leftShare: number): number =>
  Math.min(1, Math.max(0, (leftShare - STANDS_AT) / (SLOWS_BELOW - STANDS_AT)))

/** What of its bed seed is judged by, in one year. */
export type SeedWater = Pick<BedWater, 'factor' | 'dryHours' | 'warmerK'>

/** What the bed's water does to seed in one weather year. */
export interface BedWater {
  course: TopLayerCourse
  /** Speed of germination left to it by water, 24 values a day. */
  factor: Float32Array
  /** Hours of daylight of each day at which the layer is dry. */
  dryHours: Uint8Array
  /** K by which seed lies warmer for its cover. */
  warmerK: number
}

const DAYLIGHT = Uint8Array.from(SUN_WAVE, (sun) => Number(sun > 0))

/** What water leaves of germination's speed in each hour, and each day's hours of daylight at which the layer is dry. */
function ofWater(leftShare: Float32Array): Pick<BedWater, 'factor' | 'dryHours'> {
  const factor = new Float32Array(leftShare.length)
  const dryHours = new Uint8Array(leftShare.length / 24)
  // `moistureFactor` written out, in one pass.
  for (let d = 0, at = 0; d < dryHours.length; d++) {
    let dry = 0
    for (let h = 0; h < 24; h++, at++) {
      const left = leftShare[at]!
      if (left >= SLOWS_BELOW) factor[at] = 1
      else {
        if (left > STANDS_AT) factor[at] = (left - STANDS_AT) / (SLOWS_BELOW - STANDS_AT)
        if (left < DRY_BELOW) dry += DAYLIGHT[h]!
      }
    }
    dryHours[d] = dry
  }
  return { factor, dryHours }
}

/** What is given to a bed, by the day. */
export type GivenWater = Pick<TopLayerCourse, 'givenMm' | 'times'>

/** What keeps a bed moist in one year, whoever waters it. @param raMJ of the run's days */
export function givenAsTold(
  weather: WeatherRun,
  ground: Ground,
  slopeShare: number,
  { cover, coverMm }: SeedBed,
  raMJ?: Float64Array,
): GivenWater {
  const layer = topLayer(ground.texture, cover, coverMm, slopeShare)
  // The hours of a course weigh fifty times its days: they are let go.
  const { givenMm, times } = followTopLayer(weather, ground, layer, AS_TOLD, raMJ)
  return { givenMm, times }
}

/**
 * The bed's water in one year.
 * @param slopeShare of the ground: water runs off before it enters
 * @param raMJ extraterrestrial radiation of the run's days
 */
export function bedWater(
  weather: WeatherRun,
  ground: Ground,
  slopeShare: number,
  bed: SeedBed,
  raMJ?: Float64Array,
): BedWater {
  const course = followTopLayer(
    weather,
    ground,
    topLayer(ground.texture, bed.cover, bed.coverMm, slopeShare),
    bed.watering,
    raMJ,
  )
  return {
    course,
    ...ofWater(course.leftShare),
    warmerK: bed.cover === 'fleece' ? fleeceWarmsK(ground.sun) : 0,
  }
}

/** Hours of the day at which the layer is so dry that germination slows. */
export interface DryHours {
  /** In the mean of the years. */
  hoursADay: number
  /**
   * Clock hours, solar, from and to which it is dry on at least half of the days, over midnight too; null where no
   * hour is.
   */
  between: [from: number, to: number] | null
}

/**
 * The longest run of hours round the clock at which it holds, from its first to the one after its last; null for
 * none.
 */
function longestRun(holds: readonly boolean[]): DryHours['between'] {
  if (holds.every(Boolean)) return [0, 24]
  let best: { from: number; hours: number } | undefined
  for (let from = 0; from < 24; from++) {
    if (!holds[from] || holds[(from + 23) % 24]) continue
    let hours = 1
    while (holds[(from + hours) % 24]) hours++
    if (!best || hours > best.hours) best = { from, hours }
  }
  return best ? [best.from, (best.from + best.hours) % 24] : null
}

/** Counts dry hours year by year, so that no year's hours have to be kept. */
export interface DryHoursCount {
  /** @param course of one more year; all cover the same days */
  add: (course: Pick<TopLayerCourse, 'leftShare'>) => void
  /** What is told of the days from one to before another. */
  told: (from: number, to: number) => DryHours
}

/** Too dry hours over any run of days, from the water of some years that cover the same days. */
export function dryHoursCount(days: number): DryHoursCount {
  const dry = new Uint16Array(days * 24)
  let years = 0
  // Dry years at each hour of the clock, summed up over the days, so that a run of days is one difference.
  let until: Uint32Array | undefined
  const summed = () => {
    const sums = new Uint32Array(dry.length + 24)
    for (let i = 0; i < dry.length; i++) sums[i + 24] = sums[i]! + dry[i]!
    return sums
  }
  return {
    add({ leftShare }) {
      years++
      until = undefined
      for (let i = 0; i < dry.length; i++) if (leftShare[i]! < SLOWS_BELOW) dry[i]!++
    },
    told(from, to) {
      const sums = (until ??= summed())
      const all = Math.max(1, to - from) * Math.max(1, years)
      const shares = Array.from({ length: 24 }, (_, h) => (sums[to * 24 + h]! - sums[from * 24 + h]!) / all)
      return {
        hoursADay: Math.round(shares.reduce((sum, share) => sum + share, 0) * 10) / 10,
        between: longestRun(shares.map((share) => share >= 0.5)),
      }
    },
  }
}
