import { farKm } from '#core/site/geodesy'
import type { LawnPlace } from '../records/lawnPlaces'
import type { StationRecord } from '../records/stations'

/** A station that has days or normals, or delivers by itself. */
export const tells = ({ days, feedPath, normals }: StationRecord): boolean =>
  days > 0 || feedPath !== null || normals !== null

/** The station a lawn reads: the one chosen, else of those that tell anything the nearest in place and height. */
export function stationOf(
  lawn: Pick<LawnPlace, 'latDeg' | 'lonDeg' | 'heightM' | 'stationId'>,
  stations: readonly StationRecord[],
): StationRecord | undefined {
  const chosen = stations.find((station) => station.id === lawn.stationId)
  return chosen ?? stations.filter(tells).sort((a, b) => farKm(a, lawn) - farKm(b, lawn))[0]
}
