import { radiationOf, solarRadiationMJ } from '../weather/radiation'
import { copyColumn, soilColumn, thermalDiffusivityM2PerS, type SoilColumn, type Texture } from './soil'
import { soilDay, strikeDays, type SoilDay } from './soilDay'
import { runLength, sliceRun, type WeatherRun } from '../weather/weather'

export type GroundCover = 'bare' | 'thin turf' | 'dense turf' | 'dark organic cover'
export type Sun = 'full' | 'part' | 'dense'

/** Warming of the surface over the air, K per W/m² of sun. @source own */
export const SURFACE_WARMING: Record<GroundCover, number> = {
  bare: 0.01,
  'thin turf': 0.006,
  'dense turf': 0.003,
  'dark organic cover': 0.008,
}

/** Share of the sun's radiation that reaches the ground. @source own */
export const SUN_SHARE: Record<Sun, number> = { full: 1, part: 0.6, dense: 0.25 }

/** What fleece adds to the mean of a day at seed depth in full sun, and of that by night and in the shade. @source own */
const FLEECE = { warmsK: 2, withoutSun: 0.25 } as const

/** K by which seed under fleece lies warmer than without. */
export const fleeceWarmsK = (sun: Sun): number =>
  FLEECE.warmsK * (FLEECE.withoutSun + (1 - FLEECE.withoutSun) * SUN_SHARE[sun])

/** What makes one piece of ground warmer or colder than another under the same weather. */
export interface Ground {
  latDeg: number
  coastal: boolean
  texture: Texture
  cover: GroundCover
  sun: Sun
}

const AIR_WAVE = Float64Array.from({ length: 24 }, (_, h) => Math.cos((2 * Math.PI * (h - 15)) / 24))
/** Course of the sun's strength through a day, by hour. */
export const SUN_WAVE = Float64Array.from({ length: 24 }, (_, h) =>
  Math.max(0, Math.cos((2 * Math.PI * (h - 12)) / 24)),
)
const SUN_WAVE_MEAN = SUN_WAVE.reduce((sum, v) => sum + v, 0) / 24

/**
 * What the surface of a run follows, by day: its mean without sun, half the air's range, and what the sun adds at
 * noon.
 */
export interface SurfaceWaves {
  meanC: Float64Array
  swingK: Float64Array
  peakK: Float64Array
}
const MEAN_WAVE = new Float64Array(24).fill(1)
const WAVES = [MEAN_WAVE, AIR_WAVE, SUN_WAVE] as const

/** @param raMJ extraterrestrial radiation of the run's days */
export function surfaceWaves(
  run: WeatherRun,
  ground: Ground,
  raMJ = radiationOf(ground.latDeg, run.first, runLength(run)),
): SurfaceWaves {
  const days = runLength(run)
  const waves: SurfaceWaves = {
    meanC: new Float64Array(days),
    swingK: new Float64Array(days),
    peakK: new Float64Array(days),
  }
  const warming = SURFACE_WARMING[ground.cover] * SUN_SHARE[ground.sun]
  for (let d = 0; d < days; d++) {
    const [tmax, tmin] = [run.tmaxC[d]!, run.tminC[d]!]
    const meanW = (solarRadiationMJ(tmax, tmin, raMJ[d]!, ground.coastal) * 1e6) / 86_400
    waves.meanC[d] = (tmax + tmin) / 2
    waves.swingK[d] = (tmax - tmin) / 2
    waves.peakK[d] = (warming * meanW) / SUN_WAVE_MEAN
  }
  return waves
}

/** Temperature of the ground's surface by hour, °C. @returns 24 values a day */
export function surfaceHourlyC(run: WeatherRun, ground: Ground): Float64Array {
  const { meanC, swingK, peakK } = surfaceWaves(run, ground)
  const out = new Float64Array(meanC.length * 24)
  for (let d = 0; d < meanC.length; d++)
    for (let h = 0; h < 24; h++) out[d * 24 + h] = meanC[d]! + swingK[d]! * AIR_WAVE[h]! + peakK[d]! * SUN_WAVE[h]!
  return out
}

export interface SoilCourse {
  /** 24 values a day at seed depth (5 mm), °C; single precision, since a season holds half a million of them. */
  seedbedHourlyC: Float32Array
  /** Daily mean at probe depth (50 mm), °C. */
  probeDailyC: Float64Array
}

export const emptyCourse = (days: number): SoilCourse => ({
  seedbedHourlyC: new Float32Array(days * 24),
  probeDailyC: new Float64Array(days),
})

/** A part of a course, on the same memory. */
export const partOfCourse = (
  { seedbedHourlyC, probeDailyC }: SoilCourse,
  fromDay: number,
  toDay = probeDailyC.length,
): SoilCourse => ({
  seedbedHourlyC: seedbedHourlyC.subarray(fromDay * 24, toDay * 24),
  probeDailyC: probeDailyC.subarray(fromDay, toDay),
})

/** A column of this ground with the day that moves it on. */
export interface FollowedSoil {
  column: SoilColumn
  day: SoilDay
}

/** The same state to go on from by itself. */
export const branchOf = ({ column, day }: FollowedSoil): FollowedSoil => ({ column: copyColumn(column), day })

/**
 * Moves a column through the days of a surface and notes what seed and probe feel.
 * @param into filled and returned, as many days long as the surface; a new one where left out
 */
export function followSoil(
  { column, day }: FollowedSoil,
  { meanC, swingK, peakK }: SurfaceWaves,
  into = emptyCourse(meanC.length),
): SoilCourse {
  const { seedbedHourlyC, probeDailyC } = into
  strikeDays(day, column.tempC, [meanC, swingK, peakK], (d, felt, from) => {
    for (let h = 0; h < 24; h++) seedbedHourlyC[d * 24 + h] = felt[from + h]!
    probeDailyC[d] = felt[from + 24]!
  })
  return into
}

const SPIN_UP_DAYS = 365

/** Days of conduction by texture, which alone makes them what they are. */
const daysOf = new Map<Texture, SoilDay>()
function dayOf(texture: Texture, column: SoilColumn): SoilDay {
  const known = daysOf.get(texture)
  if (known) return known
  const day = soilDay(column, WAVES)
  daysOf.set(texture, day)
  return day
}

/** Soil brought into the season by running the first year of a record before it is followed. */
export function spunUpSoil(run: WeatherRun, ground: Ground): FollowedSoil {
  const waves = surfaceWaves(sliceRun(run, 0, Math.min(runLength(run), SPIN_UP_DAYS)), ground)
  const mean = waves.meanC.reduce((sum, t, d) => sum + t + waves.peakK[d]! * SUN_WAVE_MEAN, 0) / waves.meanC.length
  const column = soilColumn({ diffusivityM2PerS: thermalDiffusivityM2PerS(ground.texture), initialC: mean })
  const soil = { column, day: dayOf(ground.texture, column) }
  followSoil(soil, waves)
  return soil
}
