import { getPosition } from 'suncalc'
import { addDays, dayNumber, type Day } from '../measure/calendar'
import type { PlaceDeg } from './geodesy'
import { cellFor, countSun, horizonsOf, shadowsOf, sunGrid, type Horizons, type SunGrid } from './shade'
import { zoneOutlines } from './drawn'
import type { Features } from './sitePlan'
import { MONTH_DAYS, MONTHS } from './sunYear'

const STEP_MIN = 10
/**
 * Below this height the sun gives too little to count as sun. @source own: about where direct sun reaches 120 W/m², from
 * memory
 */
const LEAST_HEIGHT_DEG = 3
const MS_A_MINUTE = 60_000

/** Where the sun stands at one moment. */
export interface SunStand {
  azimuthDeg: number
  /** Tangent of its height above the horizon. */
  tangent: number
}

/**
 * The sun over one day, every ten minutes while it is up, from midnight of the place's own sun.
 * @source position by the suncalc package, checked against astronomy-engine
 */
export function sunPath({ latDeg, lonDeg }: PlaceDeg, day: Day): SunStand[] {
  const midnight = dayNumber(day) * 86_400_000 - (lonDeg / 15) * 60 * MS_A_MINUTE
  const stands: SunStand[] = []
  for (let minute = STEP_MIN / 2; minute < 1440; minute += STEP_MIN) {
    const { azimuth, altitude } = getPosition(new Date(midnight + minute * MS_A_MINUTE), latDeg, lonDeg)
    if (altitude > LEAST_HEIGHT_DEG) stands.push({ azimuthDeg: azimuth, tangent: Math.tan((altitude * Math.PI) / 180) })
  }
  return stands
}

/** A sun map: the grid, hours by lawn cell, and each group's own figures. */
export interface SunMap {
  grid: SunGrid
  hours: Float32Array
  /** What open ground gets that day, h. */
  openHours: number
  zones: ZoneSun[]
}

export interface ZoneSun {
  meanHours: number
  leastHours: number
  mostHours: number
  /** Share that nothing shades all day: it dries first. */
  neverShadedShare: number
}

/** Within this of open ground a spot counts as never shaded, h. */
const NEVER_SHADED_H = 0.35

function zoneFigures({ lawn, owner }: SunGrid, hours: Float32Array, zones: number, openHours: number): ZoneSun[] {
  const figures = Array.from({ length: zones }, () => ({
    sum: 0,
    least: Number.POSITIVE_INFINITY,
    most: 0,
    never: 0,
    count: 0,
  }))
  for (let i = 0; i < lawn.length; i++) {
    const of = figures[owner[lawn[i]!]!]!
    const h = hours[i]!
    of.sum += h
    of.count++
    if (h < of.least) of.least = h
    if (h > of.most) of.most = h
    if (h >= openHours - NEVER_SHADED_H) of.never++
  }
  return figures.map(({ sum, least, most, never, count }) =>
    count
      ? { meanHours: sum / count, leastHours: least, mostHours: most, neverShadedShare: never / count }
      : { meanHours: 0, leastHours: 0, mostHours: 0, neverShadedShare: 0 },
  )
}

/** Ground prepared once; after that any day is quick. */
export interface ShadedGround {
  grid: SunGrid
  horizons: Horizons
  place: PlaceDeg
}

/**
 * Lays the grid over the zones and looks round from every cell. @param cellM wanted; coarser where the lawn is large
 */
export function shadedGround(
  features: Features,
  zoneIds: readonly string[],
  place: PlaceDeg,
  cellM = 0.5,
  mostCells?: number,
): ShadedGround {
  const groups = zoneIds.map((id) => zoneOutlines(features, id))
  const grid = sunGrid(groups, cellFor(groups, cellM, shadowsOf(features), mostCells))
  return { grid, horizons: horizonsOf(grid, features), place }
}

/**
 * Hours of direct sun a day over the lawn, and by zone in the order the ground was given them.
 * @param days one, or several whose mean is wanted
 */
export function sunMapOf(
  { grid, horizons, place }: ShadedGround,
  zones: number,
  ...days: readonly [Day, ...Day[]]
): SunMap {
  const stands = days.flatMap((day) => sunPath(place, day))
  const openHours = (stands.length * STEP_MIN) / 60 / days.length
  const hours = Float32Array.from(countSun(horizons, stands), (count) => (count * STEP_MIN) / 60 / days.length)
  return { grid, hours, openHours, zones: zoneFigures(grid, hours, zones, openHours) }
}

/** Every day of a year, for its mean. */
export const daysOfYear = (year: number): [Day, ...Day[]] => {
  const first = `${year}-01-01` as Day
  return [first, ...Array.from({ length: 364 }, (_, i) => addDays(first, i + 1))]
}

/** A zone's mean needs no finer grid: a hectare at a metre. */
const CELLS_OF_MEANS = 12_000

const midMonth = (month: number): Day => addDays('2025-01-01' as Day, Math.round((month + 0.5) * MONTH_DAYS))

/**
 * Mean hours of sun of each zone in the middle of every twelfth of the year.
 * @returns by zone, 12 values; a zone without an outline has none
 */
export function sunByMonth(features: Features, zoneIds: readonly string[], place: PlaceDeg): (number[] | null)[] {
  const drawn = zoneIds.filter((id) => zoneOutlines(features, id).length)
  const ground = shadedGround(features, drawn, place, 1, CELLS_OF_MEANS)
  const maps = Array.from({ length: MONTHS }, (_, month) => sunMapOf(ground, drawn.length, midMonth(month)))
  return zoneIds.map((id) =>
    drawn.includes(id) ? maps.map(({ zones }) => Math.round(zones[drawn.indexOf(id)]!.meanHours * 100) / 100) : null,
  )
}
