import { AS_TOLD, followTopLayer, topLayer, type BedCover, type TopLayerCourse, type Watering } from '../water/topLayer'
import type { Ground } from '../soil/soilCourse'
import { radiationOf } from '../weather/radiation'
import { runLength, type WeatherRun } from '../weather/weather'

/** The bed that seed lies in, as far as water goes. */
export interface SeedBed {
  cover: BedCover
  /** Loose, mm. */
  coverMm: number
  watering: Watering
}

/** Water left under which germination slows, and at which it stands still. @source own */
const [SLOWS_BELOW, STANDS_AT] = [0.5, 0.1]
/** Water left under which what has begun to sprout dies. @source own */
const DIES_BELOW = 0.05
/** Hours it bears that; under a cover twice as long. @source own */
export const BEARS_DRY_HOURS = { bare: 24, covered: 48 } as const

/** Share of its speed that germination keeps. @param leftShare water of the top layer, 0-1 */
export const moistureFactor = (leftShare: number): number =>
  Math.min(1, Math.max(0, (leftShare - STANDS_AT) / (SLOWS_BELOW - STANDS_AT)))

/** What the bed's water does to seed in one weather year. */
export interface BedWater {
  course: TopLayerCourse
  /** Speed of germination left to it by water, 24 values a day. */
  factor: Float32Array
  /** 1 on days on which sprouting seed has been dry for too long. */
  kills: Uint8Array
}

/** Days by whose end the layer had been dry for longer than sprouting seed bears. */
function killingDays(leftShare: Float32Array, bearsHours: number): Uint8Array {
  const out = new Uint8Array(leftShare.length / 24)
  let dry = 0
  for (let i = 0; i < leftShare.length; i++) {
    dry = leftShare[i]! < DIES_BELOW ? dry + 1 : 0
    if (dry > bearsHours) out[Math.floor(i / 24)] = 1
  }
  return out
}

/**
 * The bed's water in each of some years that cover the same days.
 * @param slopeShare of the ground: water runs off before it enters
 */
export function bedWaters(years: readonly WeatherRun[], ground: Ground, slopeShare: number, bed: SeedBed): BedWater[] {
  const [first] = years
  const raMJ = first ? radiationOf(ground.latDeg, first.first, runLength(first)) : undefined
  return years.map((weather) => bedWater(weather, ground, slopeShare, bed, raMJ))
}

/** What is given to a bed, by the day. */
export type GivenWater = Pick<TopLayerCourse, 'givenMm' | 'times'>

/** What keeps a bed moist in each of some years, whoever waters it. */
export function givenAsTold(
  years: readonly WeatherRun[],
  ground: Ground,
  slopeShare: number,
  { cover, coverMm }: SeedBed,
): GivenWater[] {
  const layer = topLayer(ground.texture, cover, coverMm, slopeShare)
  // The hours of a course weigh fifty times its days: they are let go.
  return years.map((weather) => {
    const { givenMm, times } = followTopLayer(weather, ground, layer, AS_TOLD)
    return { givenMm, times }
  })
}

/** @param raMJ extraterrestrial radiation of the run's days */
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
  const factor = new Float32Array(course.leftShare.length)
  for (let i = 0; i < factor.length; i++) factor[i] = moistureFactor(course.leftShare[i]!)
  return {
    course,
    factor,
    kills: killingDays(course.leftShare, bed.cover === 'none' ? BEARS_DRY_HOURS.bare : BEARS_DRY_HOURS.covered),
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

/**
 * Too dry hours over any run of days, from the water of some years that cover the same days.
 * @returns what is told of the days from one to before another
 */
export function dryHoursOf(waters: readonly BedWater[]): (from: number, to: number) => DryHours {
  const hours = waters[0]?.course.leftShare.length ?? 0
  // Dry years at each hour of the clock, summed up over the days, so that a run of days is one difference.
  const until = new Uint32Array(hours + 24)
  for (let i = 0; i < hours; i++) {
    let dry = 0
    for (const { course } of waters) if (course.leftShare[i]! < SLOWS_BELOW) dry++
    until[i + 24] = until[i]! + dry
  }
  return (from, to) => {
    const days = Math.max(1, to - from) * Math.max(1, waters.length)
    const shares = Array.from({ length: 24 }, (_, h) => (until[to * 24 + h]! - until[from * 24 + h]!) / days)
    return {
      hoursADay: Math.round(shares.reduce((sum, share) => sum + share, 0) * 10) / 10,
      between: longestRun(shares.map((share) => share >= 0.5)),
    }
  }
}
