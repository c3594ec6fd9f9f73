import { radiationOf, solarRadiationMJ } from './radiation'
import { PROBE_DEPTH_M, SEED_DEPTH_M, soilColumn, stepColumn, thermalDiffusivityM2PerS, type SoilColumn, type Texture } from './soil'
import { runLength, type WeatherRun } from './weather'

export type GroundCover = 'bare' | 'thin turf' | 'dense turf' | 'dark organic cover'
export type Sun = 'full' | 'part' | 'dense'

/** Warming of the surface over the air, K per W/m² of sun. @source own */
export const SURFACE_WARMING: Record<GroundCover, number> = {
  bare: 0.01, 'thin turf': 0.006, 'dense turf': 0.003, 'dark organic cover': 0.008,
}

/** Share of the sun's radiation that reaches the ground. @source own */
export const SUN_SHARE: Record<Sun, number> = { full: 1, part: 0.6, dense: 0.25 }

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
export const SUN_WAVE = Float64Array.from({ length: 24 }, (_, h) => Math.max(0, Math.cos((2 * Math.PI * (h - 12)) / 24)))
const SUN_WAVE_MEAN = SUN_WAVE.reduce((sum, v) => sum + v, 0) / 24

/**
 * Temperature of the ground's surface by hour, °C.
 * @param raMJ of the run's days
 * @param out filled and returned; a new array where left out
 * @returns 24 values a day
 */
export function surfaceHourlyC(run: WeatherRun, ground: Ground, raMJ = radiationOf(ground.latDeg, run.first, runLength(run)), out = new Float64Array(runLength(run) * 24)): Float64Array {
  const days = runLength(run)
  const warming = SURFACE_WARMING[ground.cover] * SUN_SHARE[ground.sun]
  for (let d = 0; d < days; d++) {
    const tmax = run.tmaxC[d]!
    const tmin = run.tminC[d]!
    const meanW = (solarRadiationMJ(tmax, tmin, raMJ[d]!, ground.coastal) * 1e6) / 86_400
    const peakK = (warming * meanW) / SUN_WAVE_MEAN
    for (let h = 0; h < 24; h++) {
      out[d * 24 + h] = (tmax + tmin) / 2 + ((tmax - tmin) / 2) * AIR_WAVE[h]! + peakK * SUN_WAVE[h]!
    }
  }
  return out
}

export interface SoilCourse {
  /** 24 values a day at seed depth (5 mm), °C; single precision, since a season holds half a million of them. */
  seedbedHourlyC: Float32Array
  /** Daily mean at probe depth (50 mm), °C. */
  probeDailyC: Float64Array
}

export const emptyCourse = (days: number): SoilCourse => ({ seedbedHourlyC: new Float32Array(days * 24), probeDailyC: new Float64Array(days) })

/** A part of a course, on the same memory. */
export const partOfCourse = ({ seedbedHourlyC, probeDailyC }: SoilCourse, fromDay: number, toDay = probeDailyC.length): SoilCourse =>
  ({ seedbedHourlyC: seedbedHourlyC.subarray(fromDay * 24, toDay * 24), probeDailyC: probeDailyC.subarray(fromDay, toDay) })

/**
 * Steps a column through hourly surface temperatures and notes what seed and probe feel. The column is moved on.
 * @param into filled and returned, as many days long as the surface; a new one where left out
 */
export function followSoil(column: SoilColumn, surfaceC: Float64Array, into = emptyCourse(surfaceC.length / 24)): SoilCourse {
  const days = surfaceC.length / 24
  const seedNode = column.depthsM.indexOf(SEED_DEPTH_M)
  const probeNode = column.depthsM.indexOf(PROBE_DEPTH_M)
  const { seedbedHourlyC, probeDailyC } = into
  for (let d = 0; d < days; d++) {
    let sum = 0
    for (let i = d * 24; i < d * 24 + 24; i++) {
      stepColumn(column, surfaceC[i]!)
      seedbedHourlyC[i] = column.tempC[seedNode]!
      sum += column.tempC[probeNode]!
    }
    probeDailyC[d] = sum / 24
  }
  return into
}

const SPIN_UP_DAYS = 365

/** A column brought into the season by running the first year of a record before it is followed. */
export function spunUpColumn(run: WeatherRun, ground: Ground): SoilColumn {
  const surface = surfaceHourlyC(run, ground).subarray(0, Math.min(runLength(run), SPIN_UP_DAYS) * 24)
  const mean = surface.reduce((sum, t) => sum + t, 0) / surface.length
  const column = soilColumn({ diffusivityM2PerS: thermalDiffusivityM2PerS(ground.texture), initialC: mean })
  for (const tempC of surface) stepColumn(column, tempC)
  return column
}
