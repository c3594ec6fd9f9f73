import type { PointM } from './geometry'

/** WGS 84: equatorial radius, m, and first eccentricity squared. @source geodesy */
const EQUATOR_M = 6_378_137
const ECCENTRICITY_2 = 0.00669437999014
const RAD = Math.PI / 180

export interface PlaceDeg {
  latDeg: number
  lonDeg: number
}

/** Metres of a degree of latitude and of longitude at a latitude. @source geodesy: radii of curvature of the ellipsoid */
function metresADegree(latDeg: number): { north: number; east: number } {
  const squeezed = 1 - ECCENTRICITY_2 * Math.sin(latDeg * RAD) ** 2
  return {
    north: ((EQUATOR_M * (1 - ECCENTRICITY_2)) / squeezed ** 1.5) * RAD,
    east: (EQUATOR_M / Math.sqrt(squeezed)) * Math.cos(latDeg * RAD) * RAD,
  }
}

/** From longitude and latitude to the plan. Flat to a millionth over a garden. */
export function toPlan(origin: PlaceDeg, [lonDeg, latDeg]: readonly [number, number]): PointM {
  const { north, east } = metresADegree(origin.latDeg)
  return [(lonDeg - origin.lonDeg) * east, (latDeg - origin.latDeg) * north]
}

/** From the plan to longitude and latitude. */
export function fromPlan(origin: PlaceDeg, [x, y]: PointM): [lonDeg: number, latDeg: number] {
  const { north, east } = metresADegree(origin.latDeg)
  return [origin.lonDeg + x / east, origin.latDeg + y / north]
}

const EARTH_KM = 6371.0088
/** Metres of height that part two places as much as a kilometre does. @source own: weather changes faster upwards */
const M_LIKE_A_KM = 5

/** Distance over the sphere, km. @source geodesy: haversine on the mean radius of the IUGG */
export function distanceKm(a: PlaceDeg, b: PlaceDeg): number {
  const [dLat, dLon] = [(b.latDeg - a.latDeg) * RAD, (b.lonDeg - a.lonDeg) * RAD]
  const h = Math.sin(dLat / 2) ** 2 + Math.cos(a.latDeg * RAD) * Math.cos(b.latDeg * RAD) * Math.sin(dLon / 2) ** 2
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)))
}

/** How far apart two places are as weather goes: distance, and height where both are known, as km. */
export function farKm(a: PlaceDeg & { heightM?: number | null }, b: PlaceDeg & { heightM?: number | null }): number {
  const [here, there] = [a.heightM ?? null, b.heightM ?? null]
  return distanceKm(a, b) + (here !== null && there !== null ? Math.abs(here - there) / M_LIKE_A_KM : 0)
}
