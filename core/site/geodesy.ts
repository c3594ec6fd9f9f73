import type { PointM } from './geometry'

/** WGS 84: equatorial radius, m, and first eccentricity squared. @source NIMA TR8350.2; from memory */
const EQUATOR_M = 6_378_137
const ECCENTRICITY_2 = 0.00669437999014
const RAD = Math.PI / 180

export interface PlaceDeg {
  latDeg: number
  lonDeg: number
}

/** Metres of a degree of latitude and of longitude at a latitude. @source radii of curvature of the ellipsoid */
function metresADegree(latDeg: number): { north: number; east: number } {
  const squeezed = 1 - ECCENTRICITY_2 * Math.sin(latDeg * RAD) ** 2
  return { north: ((EQUATOR_M * (1 - ECCENTRICITY_2)) / squeezed ** 1.5) * RAD, east: (EQUATOR_M / Math.sqrt(squeezed)) * Math.cos(latDeg * RAD) * RAD }
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
