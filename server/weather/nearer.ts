import { farKm } from '#core/site/geodesy'
import type { NearerLawns } from '#contract/station'
import { lawnPlaces, readFrom, type LawnPlace } from '../records/lawnPlaces'
import type { StationRecord } from '../records/stations'
import { stationOf, tells } from './stationOf'

/** By so much a station has to be nearer, place and height together, before it is worth a word, km. @source own */
const WORTH_KM = 1

/** The station a lawn reads, and whether another is nearer by more than a little. */
const readsFarther = (lawn: LawnPlace, reads: StationRecord, other: StationRecord): boolean =>
  other.id !== reads.id && farKm(reads, lawn) - farKm(other, lawn) > WORTH_KM

/**
 * When a station is added: lawns that were told none go on reading what they read, so that nothing changes in silence.
 * @param before the firm's stations until now
 */
export async function holdStations(firmId: string, before: readonly StationRecord[]): Promise<void> {
  if (!before.some(tells)) return
  const held = (await lawnPlaces(firmId)).flatMap((lawn) => {
    const reads = lawn.stationId ? undefined : stationOf(lawn, before)
    return reads ? [[lawn.id, reads.id] as const] : []
  })
  await readFrom(firmId, Object.fromEntries(held))
}

/** Lawns that lie nearer to a telling station than to the one they read, by station. */
export async function nearerLawns(firmId: string, stations: readonly StationRecord[]): Promise<NearerLawns[]> {
  const telling = stations.filter(tells)
  if (telling.length < 2) return []
  const found = new Map<string, { id: string; client: string }[]>()
  for (const lawn of await lawnPlaces(firmId)) {
    const reads = stationOf(lawn, stations)
    const nearest = telling.reduce((best, one) => (farKm(one, lawn) < farKm(best, lawn) ? one : best))
    if (!reads || !readsFarther(lawn, reads, nearest)) continue
    found.set(nearest.id, [...(found.get(nearest.id) ?? []), { id: lawn.id, client: lawn.client }])
  }
  return [...found].map(([stationId, lawns]) => ({ stationId, lawns }))
}

/** Lets the lawns that lie nearest to a station read it. @returns how many do now that did not */
export async function readNearest(
  firmId: string,
  stationId: string,
  stations: readonly StationRecord[],
): Promise<number> {
  const lawns = (await nearerLawns(firmId, stations)).find((one) => one.stationId === stationId)?.lawns ?? []
  await readFrom(firmId, Object.fromEntries(lawns.map(({ id }) => [id, stationId])))
  return lawns.length
}
