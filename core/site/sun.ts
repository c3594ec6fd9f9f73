import { getPosition } from 'suncalc'
import { addDays, dayNumber, dayOfYear, type Day } from '../quantity/calendar'
import type { PlaceDeg } from './geodesy'
import { cellFor, horizonsOf, sunGrid, sunReaches, type Horizons, type SunGrid } from './shade'
import { zoneOutlines, type Features } from './sitePlan'

const STEP_MIN = 10
/** Below this height the sun gives too little to count as sun. @source about where direct sun reaches 120 W/m², from memory */
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

/** Hours of direct sun of every lawn cell over one day. @returns h, in the order of `grid.lawn` */
export function sunHoursOf(grid: SunGrid, horizons: Horizons, stands: readonly SunStand[]): Float32Array {
  const hours = new Float32Array(grid.lawn.length)
  for (const { azimuthDeg, tangent } of stands) {
    for (let i = 0; i < hours.length; i++) if (sunReaches(horizons, i, azimuthDeg, tangent)) hours[i]! += STEP_MIN / 60
  }
  return hours
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

function zoneFigures(grid: SunGrid, hours: Float32Array, group: number, openHours: number): ZoneSun {
  let [sum, least, most, never, count] = [0, Number.POSITIVE_INFINITY, 0, 0, 0]
  grid.lawn.forEach((cell, i) => {
    if (grid.owner[cell] !== group) return
    const h = hours[i]!
    sum += h
    count++
    least = Math.min(least, h)
    most = Math.max(most, h)
    if (h >= openHours - NEVER_SHADED_H) never++
  })
  return count ? { meanHours: sum / count, leastHours: least, mostHours: most, neverShadedShare: never / count } : { meanHours: 0, leastHours: 0, mostHours: 0, neverShadedShare: 0 }
}

/** Ground prepared once; after that any day is quick. */
export interface ShadedGround {
  grid: SunGrid
  horizons: Horizons
  place: PlaceDeg
}

/** Lays the grid over the zones and looks round from every cell. @param cellM wanted; coarser where the lawn is large */
export function shadedGround(features: Features, zoneIds: readonly string[], place: PlaceDeg, cellM = 0.5): ShadedGround {
  const groups = zoneIds.map((id) => zoneOutlines(features, id))
  const grid = sunGrid(groups, cellFor(groups, cellM))
  return { grid, horizons: horizonsOf(grid, features), place }
}

/** Hours of direct sun over the lawn on one day, and by zone in the order the ground was given them. */
export function sunMapOf({ grid, horizons, place }: ShadedGround, zones: number, day: Day): SunMap {
  const stands = sunPath(place, day)
  const openHours = (stands.length * STEP_MIN) / 60
  const hours = sunHoursOf(grid, horizons, stands)
  return { grid, hours, openHours, zones: Array.from({ length: zones }, (_, i) => zoneFigures(grid, hours, i, openHours)) }
}

/** Days the year is looked at on for a zone's own record: the middle of each month. */
const MONTHS = 12
const MONTH_DAYS = 365.25 / MONTHS
const midMonth = (month: number): Day => addDays('2025-01-01' as Day, Math.round((month + 0.5) * MONTH_DAYS))

/**
 * Mean hours of sun of each zone in the middle of every twelfth of the year.
 * @returns by zone, 12 values; a zone without an outline has none
 */
export function sunByMonth(features: Features, zoneIds: readonly string[], place: PlaceDeg): (number[] | null)[] {
  const drawn = zoneIds.filter((id) => zoneOutlines(features, id).length)
  const ground = shadedGround(features, drawn, place, 1)
  const maps = Array.from({ length: MONTHS }, (_, month) => sunMapOf(ground, drawn.length, midMonth(month)))
  return zoneIds.map((id) => (drawn.includes(id) ? maps.map(({ zones }) => Math.round(zones[drawn.indexOf(id)]!.meanHours * 100) / 100) : null))
}

/** Hours on any day, between the two middles it lies in. @param byMonth 12 values */
export function sunOn(byMonth: readonly number[], day: Day): number {
  const at = (dayOfYear(day) - 0.5) / MONTH_DAYS - 0.5
  const before = Math.floor(at)
  const share = at - before
  const month = (i: number) => byMonth[(i + MONTHS) % MONTHS]!
  return month(before) * (1 - share) + month(before + 1) * share
}
