import { followTopLayer, topLayer, type BedCover, type TopLayerCourse, type Watering } from '../watering/topLayer'
import type { Ground } from '../climate/soilCourse'
import { radiationOf } from '../climate/radiation'
import { runLength, type WeatherRun } from '../climate/weather'

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
export const moistureFactor = (leftShare: number): number => Math.min(1, Math.max(0, (leftShare - STANDS_AT) / (SLOWS_BELOW - STANDS_AT)))

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

/** @param raMJ extraterrestrial radiation of the run's days */
export function bedWater(weather: WeatherRun, ground: Ground, slopeShare: number, bed: SeedBed, raMJ?: Float64Array): BedWater {
  const course = followTopLayer(weather, ground, topLayer(ground.texture, bed.cover, bed.coverMm, slopeShare), bed.watering, raMJ)
  return { course, factor: course.leftShare.map(moistureFactor), kills: killingDays(course.leftShare, bed.cover === 'none' ? BEARS_DRY_HOURS.bare : BEARS_DRY_HOURS.covered) }
}
