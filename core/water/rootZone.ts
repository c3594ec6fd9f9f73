import { hargreavesEt0Mm, radiationOf } from '../weather/radiation'
import type { Ground } from '../soil/soilCourse'
import { fellAsSnow, runLength, type WeatherRun } from '../weather/weather'
import { exposureOf, WATER_SHARES } from './topLayer'

/** Roots reach this far at emergence and grow so fast in warm soil, mm and mm a day. @source own */
const [ROOTS_AT_EMERGENCE_MM, ROOTS_A_DAY_MM] = [10, 2]
/** Soil that roots grow in, °C at probe depth. @source own */
const ROOTS_FROM_C = 10
/** Roots of a new stand end between these; standing turf that is to be renewed is shallow. @source own */
export const ROOTS_MM = { standing: 150, deepest: 300 } as const
/**
 * Water use of turf over the reference, and the share of its water that it takes without curbing. @source FAO-56
 * tables 12 and 22, from memory
 */
export const TURF = { cool: { factor: 0.95, readilyShare: 0.4 }, warm: { factor: 0.85, readilyShare: 0.5 } } as const

/** Days so far on which soil is warm enough for roots to grow. @param probeDailyC soil of the days, °C */
export function rootingDays(probeDailyC: ArrayLike<number>): Uint16Array {
  let days = 0
  return Uint16Array.from({ length: probeDailyC.length }, (_, i) => (probeDailyC[i]! >= ROOTS_FROM_C ? ++days : days))
}

/**
 * Depth of seedlings' roots at the end of a day.
 * @param rooting what `rootingDays` says of the series
 * @param up index of the day of emergence
 * @returns mm; 0 while they are not up
 * @source FAO-56 and own
 */
export const rootDepthMm = (rooting: ArrayLike<number>, up: number, day: number): number =>
  up > day ? 0 : Math.min(ROOTS_MM.deepest, ROOTS_AT_EMERGENCE_MM + ROOTS_A_DAY_MM * (rooting[day]! - rooting[up]!))

/** Water that roots of a depth can take between full and wilting, mm. @source FAO-56 eq. 82 */
export const availableMm = (texture: Ground['texture'], depthMm: number): number =>
  (WATER_SHARES[texture].field - WATER_SHARES[texture].wilting) * depthMm

/** What comes to standing turf besides rain. */
export interface TurfWatering {
  /** Watering of each day, mm. */
  givenMm?: ArrayLike<number>
  /**
   * Index of the day from which on it is irrigated: watered back to full when turf has taken what it takes without
   * curbing.
   */
  sprinkledFrom?: number
}

/** A root zone through a run of weather, by the day. */
export interface RootZoneCourse {
  /** Water left at the end of each day, 0 to 1 of what the zone can hold for roots. */
  leftShare: Float64Array
  /** What went on below the roots, mm a day. */
  drainedMm: Float64Array
}

/**
 * Follows the water of the root zone day by day: turf takes it, rain and watering fill it, the rest drains. It begins full.
 * @param depthMm of roots, the same throughout or by the day; soil that roots grow into is as wet as the zone above it
 * @param watering rain alone where left out
 * @source FAO-56 eq. 82-85, water balance of the root zone by day, from memory
 */
export function followRootZone(
  run: WeatherRun,
  ground: Pick<Ground, 'latDeg' | 'sun' | 'texture'>,
  depthMm: number | ArrayLike<number>,
  season: 'cool' | 'warm',
  { givenMm, sprinkledFrom = Infinity }: TurfWatering = {},
  raMJ = radiationOf(ground.latDeg, run.first, runLength(run)),
): RootZoneCourse {
  const days = runLength(run)
  const course: RootZoneCourse = { leftShare: new Float64Array(days), drainedMm: new Float64Array(days) }
  const { factor, readilyShare } = TURF[season]
  const exposure = exposureOf(ground.sun)
  let left = 1
  for (let d = 0; d < days; d++) {
    const holds = availableMm(ground.texture, typeof depthMm === 'number' ? depthMm : depthMm[d]!)
    const curbed = Math.min(1, left / (1 - readilyShare))
    const used = Math.max(0, hargreavesEt0Mm(run.tmaxC[d]!, run.tminC[d]!, raMJ[d]!)) * exposure * factor * curbed
    const came = (fellAsSnow(run, d) ? 0 : run.rainMm[d]!) + (givenMm?.[d] ?? 0)
    const water = Math.max(0, left * holds - used + came)
    course.drainedMm[d] = Math.max(0, water - holds)
    left = Math.min(1, water / holds)
    if (d >= sprinkledFrom && left < 1 - readilyShare) left = 1
    course.leftShare[d] = left
  }
  return course
}
