import { say, type Message } from '../explain/message'
import type { Sun } from '../soil/soilCourse'
import type { Texture } from '../soil/soil'
import type { GrassCode } from '../grass/grasses'
import type { Day } from '../measure/calendar'
import { sunClass, type ZoneSurvey } from './zone'

/** What was seen and measured on some ground, as far as the plan reads it. Shares are 0-1 of the area. */
export interface Survey {
  areaM2: number
  /** How far the measuring may be out. */
  errorShare: number
  grass: GrassCode
  desirableShare: number
  /** Without the coarse ones. */
  weedShare: number
  /** Coarse perennial weed grasses. */
  coarseShare: number
  bareShare: number
  thatchMm: number
  mowingHeightMm: number
  sun: Sun
  texture: Texture
  slopeShare: number
  deepestMm: number
  hollowM3: number
  /** Ground under the measured hollows, m². */
  hollowM2: number
  /**
   * How deep a screwdriver goes where it goes least, mm, and what a penetrometer reads where it reads most; null
   * where nobody tried.
   */
  driverMm: number | null
  penetrometerKPa: number | null
  /** Loose topsoil where it is thinnest, mm; null where nobody looked. */
  topsoilMm: number | null
  /** Grubs enough to eat the roots of what is sown. */
  grubs: boolean
}

/** Something put down that keeps seed from growing, with the wait read off its label. */
export interface Application {
  ingredient: string
  appliedOn: Day
  waitDays: number
}

/** Cover shares belong together. @returns a sentence when they do not add to 100 %, within one point */
export function coverProblem(...shares: readonly number[]): Message | undefined {
  const percent = Math.round(shares.reduce((sum, share) => sum + share, 0) * 100)
  return Math.abs(percent - 100) <= 1 ? undefined : say('site.grassWeedsCoarseWeed', { percent })
}

/** The grass most of the ground wants. */
export function mainGrass(zones: readonly Pick<ZoneSurvey, 'grass' | 'areaM2'>[]): GrassCode | undefined {
  const areas = new Map<GrassCode, number>()
  for (const { grass, areaM2 } of zones) areas.set(grass, (areas.get(grass) ?? 0) + areaM2)
  return [...areas].sort((a, b) => b[1] - a[1])[0]?.[0]
}

/** The least or most of what was measured; null where nothing was. */
function extreme(of: (...values: number[]) => number, values: readonly (number | null)[]): number | null {
  const known = values.filter((value) => value !== null)
  return known.length ? of(...known) : null
}

/**
 * Several zones read as one piece of ground: areas and volumes add, the rest is weighed by area; the steepest slope and the
 * deepest hollow stand for all, and so does the hardest place.
 * @throws RangeError for no zone
 */
export function surveyOver(zones: readonly ZoneSurvey[], texture: Texture): Survey {
  const grass = mainGrass(zones)
  if (!grass) throw new RangeError('A survey needs one zone at least.')
  const areaM2 = zones.reduce((sum, zone) => sum + zone.areaM2, 0)
  const weighed = (of: (zone: ZoneSurvey) => number) =>
    zones.reduce((sum, zone) => sum + of(zone) * zone.areaM2, 0) / areaM2
  return {
    areaM2,
    grass,
    texture,
    grubs: zones.some((zone) => zone.grubs === 'many'),
    // One tape, one hand: errors of zones go the same way.
    errorShare: weighed(({ errorShare }) => errorShare),
    desirableShare: weighed((zone) => zone.desirableShare),
    weedShare: weighed((zone) => zone.weedShare),
    coarseShare: weighed((zone) => zone.coarseShare),
    bareShare: weighed((zone) => zone.bareShare),
    thatchMm: weighed((zone) => zone.thatchMm),
    mowingHeightMm: weighed((zone) => zone.mowingHeightMm),
    sun: sunClass(weighed(({ sunHours }) => sunHours)),
    slopeShare: Math.max(...zones.map(({ slopeShare }) => slopeShare ?? 0)),
    deepestMm: Math.max(...zones.map(({ deepestMm }) => deepestMm)),
    hollowM3: zones.reduce((sum, zone) => sum + zone.hollowM3, 0),
    hollowM2: zones.reduce((sum, zone) => sum + zone.hollowM2, 0),
    driverMm: extreme(
      Math.min,
      zones.map((zone) => zone.driverMm),
    ),
    penetrometerKPa: extreme(
      Math.max,
      zones.map((zone) => zone.penetrometerKPa),
    ),
    topsoilMm: extreme(
      Math.min,
      zones.map((zone) => zone.topsoilMm),
    ),
  }
}
