import { drawnAreaM2 } from './drawn'
import type { PlaceDeg } from './geodesy'
import type { Features } from './sitePlan'
import { sunByMonth } from './sun'
import type { Zone, ZoneMeasure } from './zone'

/** Area in force, m²; drawn where it was drawn and is to count. */
export const areaInForce = (zone: Zone, id: string, features: Features): number | null =>
  zone.areaFrom === 'drawn' ? (drawnAreaM2(features, id) ?? zone.tapedM2) : zone.tapedM2

/** Everything worked out of a plan, by zone. */
export function measureZones(zones: Readonly<Record<string, Zone>>, features: Features, place: PlaceDeg): Record<string, ZoneMeasure> {
  const ids = Object.keys(zones)
  const sun = sunByMonth(features, ids, place)
  return Object.fromEntries(ids.map((id, i) => [id, { areaM2: areaInForce(zones[id]!, id, features), sunByMonthH: sun[i]! }]))
}
