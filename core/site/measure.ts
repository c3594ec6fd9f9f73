import { drawnAreaM2 } from './drawn'
import type { PlaceDeg } from './geodesy'
import type { Feature, Features } from './sitePlan'
import { sunByMonth } from './sun'
import type { Zone, ZoneMeasure } from './zone'

/** Area in force, m²; drawn where it was drawn and is to count. */
export const areaInForce = (zone: Zone, id: string, features: Features): number | null =>
  zone.areaFrom === 'drawn' ? (drawnAreaM2(features, id) ?? zone.tapedM2) : zone.tapedM2

/** @returns area in force by zone, m² */
export const areasOf = (zones: Readonly<Record<string, Zone>>, features: Features): Record<string, number | null> =>
  Object.fromEntries(Object.entries(zones).map(([id, zone]) => [id, areaInForce(zone, id, features)]))

/** Everything worked out of a plan, by zone. */
export function measureZones(
  zones: Readonly<Record<string, Zone>>,
  features: Features,
  place: PlaceDeg,
): Record<string, ZoneMeasure> {
  const areas = areasOf(zones, features)
  const ids = Object.keys(zones)
  const sun = sunByMonth(features, ids, place)
  return Object.fromEntries(ids.map((id, i) => [id, { areaM2: areas[id]!, sunByMonthH: sun[i]! }]))
}

/** What the sun over a plan depends on. */
export interface SunQuestion {
  features: Features
  zoneIds: string[]
  place: PlaceDeg
}

const SHADES_OR_LIES: ReadonlySet<Feature['kind']> = new Set(['zone', 'bed', 'building', 'fence', 'tree'])

/** The part of a plan that its sun is worked out of; undefined where no zone is drawn. */
export function sunQuestionOf({
  zones,
  features,
  latDeg,
  lonDeg,
}: PlaceDeg & { zones: Readonly<Record<string, unknown>>; features: Features }): SunQuestion | undefined {
  const relevant = Object.entries(features)
    .filter(([, { kind }]) => SHADES_OR_LIES.has(kind))
    .sort(([a], [b]) => (a < b ? -1 : 1))
  if (!relevant.some(([, { kind }]) => kind === 'zone')) return undefined
  return { features: Object.fromEntries(relevant), zoneIds: Object.keys(zones).sort(), place: { latDeg, lonDeg } }
}

/** The same text for the same sun: names and what casts no shade make no difference. */
export const sunKeyText = ({ features, zoneIds, place }: SunQuestion): string =>
  JSON.stringify([
    Object.values(features).map(({ kind, points, holes, zoneId, heightM, radiusM }) => [
      kind,
      points,
      holes,
      zoneId,
      heightM,
      radiusM,
    ]),
    zoneIds,
    place.latDeg,
    place.lonDeg,
  ])
