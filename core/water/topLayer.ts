import { SUN_SHARE, SUN_WAVE, type Ground, type Sun } from '../soil/soilCourse'
import { hargreavesEt0Mm, radiationOf } from '../weather/radiation'
import type { Texture } from '../soil/soil'
import { runLength, type WeatherRun } from '../weather/weather'
import type { CoverMaterial } from '../materials/covers'
import { dayNumber, type Day } from '../measure/calendar'

/**
 * Water in the seed zone, the top 6 mm of soil where the seed lies, and in the cover over it: sun and air empty them, the
 * cover first, and rain and watering fill them.
 * @source FAO-56, eq. 71-74 and table 19, from memory; steps of an hour instead of a day. A quarter inch: trade
 */
const ZONE_M = 0.006

/** Volumetric water at field capacity and wilting point. @source FAO-56 table 19; clay loam from memory */
export const WATER_SHARES: Record<Texture, { field: number; wilting: number }> = {
  sand: { field: 0.12, wilting: 0.04 },
  'sandy loam': { field: 0.23, wilting: 0.1 },
  loam: { field: 0.25, wilting: 0.12 },
  'clay loam': { field: 0.33, wilting: 0.2 },
  clay: { field: 0.36, wilting: 0.22 },
}
/** Infiltration into level bare soil, mm/h; half of it on slopes. @source turf handbooks */
const INFILTRATION_MM_PER_H: Record<Texture, number> = { sand: 50, 'sandy loam': 25, loam: 13, 'clay loam': 8, clay: 5 }
/** From this slope on water runs off before it goes in. @source own */
export const STEEP_SHARE = 0.08
/** Share of the zone's water that leaves before the surface dries. @source own, about FAO-56 table 19, REW over TEW */
const READILY_SHARE = 0.45
/** Evaporation of wet bare soil over the reference. @source own, about FAO-56 eq. 72 in a temperate climate */
const WET_SOIL_FACTOR = 1.1
/** A part of evaporation is the air's, also in the shade. @source own */
const AIR_SHARE = 0.25
/** Share of the open's evaporation that ground under some sun has. */
export const exposureOf = (sun: Sun): number => AIR_SHARE + (1 - AIR_SHARE) * SUN_SHARE[sun]
/** Water left, 0-1, at which what has begun to sprout dies by daylight. @source own */
export const DRY_BELOW = 0.1

export type BedCover = CoverMaterial | 'none'
/** What a cover leaves of evaporation, and what it holds for each mm of its depth, mm. @source own */
const COVERS: Record<BedCover, { evaporation: number; holdsPerMm: number }> = {
  none: { evaporation: 1, holdsPerMm: 0 },
  straw: { evaporation: 0.6, holdsPerMm: 0 },
  peat: { evaporation: 0.55, holdsPerMm: 0.15 },
  compost: { evaporation: 0.55, holdsPerMm: 0.15 },
  'screened topsoil': { evaporation: 0.75, holdsPerMm: 0.1 },
  fleece: { evaporation: 0.5, holdsPerMm: 0 },
}

export interface TopLayer {
  /** Water between full and dry, soil and cover together, mm. */
  capacityMm: number
  /** Of that, what leaves at the full rate, mm. */
  readilyMm: number
  evaporationFactor: number
  infiltrationMmPerH: number
}

/** The layer over one piece of ground. @param coverMm loose depth of the cover, mm */
export function topLayer(texture: Texture, cover: BedCover, coverMm: number, slopeShare: number): TopLayer {
  const { field, wilting } = WATER_SHARES[texture]
  const { evaporation, holdsPerMm } = COVERS[cover]
  const [zoneMm, overMm] = [1000 * (field - 0.5 * wilting) * ZONE_M, holdsPerMm * coverMm]
  return {
    capacityMm: zoneMm + overMm,
    // What the cover holds leaves first.
    readilyMm: overMm + READILY_SHARE * zoneMm,
    evaporationFactor: WET_SOIL_FACTOR * evaporation,
    infiltrationMmPerH: INFILTRATION_MM_PER_H[texture] * (slopeShare > STEEP_SHARE ? 0.5 : 1),
  }
}

/**
 * Evaporation of one hour, mm. @param depletedMm gone from the full layer at its beginning @param et0Mm reference
 * evaporation of the hour
 */
export function evaporatedMm(
  { capacityMm, readilyMm, evaporationFactor }: TopLayer,
  depletedMm: number,
  et0Mm: number,
): number {
  const reduction = depletedMm <= readilyMm ? 1 : (capacityMm - depletedMm) / (capacityMm - readilyMm)
  return Math.min(Math.max(0, reduction) * evaporationFactor * et0Mm, capacityMm - depletedMm)
}

/** How the bed is watered: kept moist as told, or so many times a day whatever the weather. */
export interface Watering {
  timesADay: number | 'as told'
  /** Nothing but rain before this day. */
  bannedUntil: Day | null
}
export const AS_TOLD: Watering = { timesADay: 'as told', bannedUntil: null }

/** Somebody who waters as told waters when three quarters of what bed and cover hold are gone. @source own */
export const TOLD_BELOW = 0.25
/** Hours in which people water. @source own */
const [FIRST_HOUR, LAST_HOUR] = [6, 18]

/** Hours at which a client waters who does it so many times a day: evenly, the first at six, none in the evening. */
function wateringHours(timesADay: number): Set<number> {
  const times = Math.floor(timesADay)
  return new Set(
    Array.from({ length: times }, (_, i) =>
      Math.round(FIRST_HOUR + (i * (LAST_HOUR - FIRST_HOUR)) / Math.max(3, times)),
    ),
  )
}

/** The layer through a run of weather. */
export interface TopLayerCourse {
  /** Water left, 0 to 1 of what the layer holds, 24 values a day, at the end of each hour. */
  leftShare: Float32Array
  /** Given by watering each day, mm, and how many times. */
  givenMm: Float32Array
  times: Uint8Array
}

/** Rain falls from 17 to 21 o'clock: the sun of the day has had its turn. @source own; a day's record does not say */
export const [RAIN_FROM, RAIN_TO] = [17, 21]
const SUN_WAVE_SUM = SUN_WAVE.reduce((sum, v) => sum + v, 0)
const SUN_SHARES = SUN_WAVE.map((v) => v / SUN_WAVE_SUM)
/** Share of a day's evaporation that falls into an hour of the sun. */
export const shareOfDay = (hour: number): number => SUN_SHARES[hour]!

/**
 * Follows the top layer hour by hour. It begins full.
 * @param raMJ of the run's days
 * @returns water left, and what was given
 */
export function followTopLayer(
  run: WeatherRun,
  ground: Pick<Ground, 'latDeg' | 'sun'>,
  layer: TopLayer,
  watering: Watering,
  raMJ = radiationOf(ground.latDeg, run.first, runLength(run)),
): TopLayerCourse {
  const days = runLength(run)
  const course: TopLayerCourse = {
    leftShare: new Float32Array(days * 24),
    givenMm: new Float32Array(days),
    times: new Uint8Array(days),
  }
  const bannedDays = watering.bannedUntil === null ? 0 : dayNumber(watering.bannedUntil) - dayNumber(run.first)
  const told = watering.timesADay === 'as told'
  const hours = told ? new Set<number>() : wateringHours(watering.timesADay as number)
  // Less than once a day is every other or third day.
  const everyDays =
    !told && (watering.timesADay as number) > 0 && (watering.timesADay as number) < 1
      ? Math.round(1 / (watering.timesADay as number))
      : 1
  if (everyDays > 1) hours.add(FIRST_HOUR)
  const exposure = exposureOf(ground.sun)
  const { capacityMm, readilyMm, evaporationFactor, infiltrationMmPerH } = layer
  const { leftShare, givenMm, times } = course
  // A third of a season's work: `evaporatedMm` is written out, and nights without rain change nothing.
  const dryingMm = capacityMm - readilyMm
  const wantedAt = Uint8Array.from({ length: 24 }, (_, h) =>
    Number(told ? h >= FIRST_HOUR && h <= LAST_HOUR : hours.has(h)),
  )
  const least = told ? capacityMm * (1 - TOLD_BELOW) : -1
  let depleted = 0
  for (let d = 0, at = 0; d < days; d++) {
    const et0 = Math.max(0, hargreavesEt0Mm(run.tmaxC[d]!, run.tminC[d]!, raMJ[d]!)) * exposure
    const allowed = d >= bannedDays && d % everyDays === 0
    const enters = Math.min(run.rainMm[d]! / (RAIN_TO - RAIN_FROM), infiltrationMmPerH)
    let left = 1 - depleted / capacityMm
    for (let h = 0; h < 24; h++) {
      const share = SUN_SHARES[h]!
      const rains = enters > 0 && h >= RAIN_FROM && h < RAIN_TO
      const watered = allowed && wantedAt[h]!
      if (share || rains || watered) {
        const reduction = depleted <= readilyMm ? 1 : (capacityMm - depleted) / dryingMm
        const dries = reduction * evaporationFactor * et0 * share
        depleted = dries < capacityMm - depleted ? depleted + dries : capacityMm
        if (rains) depleted = depleted > enters ? depleted - enters : 0
        if (watered && depleted > least) {
          const given = Math.min(depleted, infiltrationMmPerH)
          depleted -= given
          givenMm[d]! += given
          times[d]!++
        }
        left = 1 - depleted / capacityMm
      }
      leftShare[at++] = left
    }
  }
  return course
}
