import { distanceM, outlineAreaM2, type Outline } from './geometry'
import { borderM, joined, without } from './overlay'
import { outlineOf, type Feature, type FeatureKind, type Features } from './sitePlan'

/** What is measured of a drawing. Apart from what a drawing is, since clipping weighs more than all the rest. */
const ofKind = (features: Features, ...kinds: FeatureKind[]): Feature[] =>
  Object.values(features).filter(({ kind }) => kinds.includes(kind))
/** What no seed goes on. */
const takenOut = (features: Features): Outline[] => ofKind(features, 'bed', 'building').map(outlineOf)

/** Outlines of a zone less beds, ponds and buildings in it. */
export const zoneOutlines = (features: Features, zoneId: string): Outline[] =>
  without(
    ofKind(features, 'zone')
      .filter((feature) => feature.zoneId === zoneId)
      .map(outlineOf),
    takenOut(features),
  )

/** @returns m² of a zone as drawn, 0 where beds and cut-outs leave nothing of it; undefined where nothing is drawn */
export function drawnAreaM2(features: Features, zoneId: string): number | undefined {
  const drawn = Object.values(features).some((feature) => feature.kind === 'zone' && feature.zoneId === zoneId)
  // What the clipping leaves overlaps nowhere: its areas add up.
  return drawn ? zoneOutlines(features, zoneId).reduce((sum, outline) => sum + outlineAreaM2(outline), 0) : undefined
}

/**
 * Metres of edge that are sown by hand: all round what is drawn as lawn, along its beds too, and not where one zone meets
 * another.
 */
export const handSownBorderM = (features: Features): number =>
  borderM(without(joined(ofKind(features, 'zone').map(outlineOf)), takenOut(features)))

/**
 * Hose from the nearest tap that is drawn to the farthest corner of a zone, as the crow flies: what has to be gone round
 * comes to it.
 * @param zoneId null for all zones
 * @returns m; undefined where no tap or no such zone is drawn
 */
export function hoseReachM(features: Features, zoneId: string | null): number | undefined {
  const taps = ofKind(features, 'tap').flatMap(({ points }) => points)
  const corners = ofKind(features, 'zone')
    .filter((zone) => zoneId === null || zone.zoneId === zoneId)
    .flatMap(({ points }) => points)
  if (!taps.length || !corners.length) return undefined
  return Math.min(...taps.map((tap) => Math.max(...corners.map((corner) => distanceM(tap, corner)))))
}
