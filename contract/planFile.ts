import { say, type Message } from '#core/explain/message'
import { saidIn } from './said'
import { fromPlan, toPlan, type PlaceDeg } from '#core/site/geodesy'
import { distanceM, lineM, type PointM } from '#core/site/geometry'
import {
  FEATURE_KINDS,
  FEATURE_CODES,
  KIND_WORDS,
  type Feature,
  type FeatureKind,
  type Features,
} from '#core/site/sitePlan'
import { featureSchema, MOST_FEATURES, MOST_POINTS } from './look'

/** What of GeoJSON is read here; everything else of a file is left. */
export interface GeoFeature {
  type: 'Feature'
  geometry: { type: string; coordinates: unknown } | null
  properties: Record<string, unknown> | null
}
export interface GeoFile {
  type: 'FeatureCollection'
  features: GeoFeature[]
}

/** A thing read from a file; what becomes a zone says under which name. */
export interface ReadThing {
  feature: Feature
  zoneName: string
}
export type ReadPlan =
  { ok: true; things: ReadThing[]; place: PlaceDeg; left: Message[] } | { ok: false; message: Message }

/** Farther than this from the lawn's place is another lawn, m. */
const MOST_AWAY_M = 2000
/** A track whose ends lie nearer than this share of its length goes round something. */
const CLOSED_SHARE = 0.25
type Degrees = [number, number]

const isDegrees = (at: unknown): at is Degrees =>
  Array.isArray(at) &&
  at.length >= 2 &&
  at.slice(0, 2).every((n) => typeof n === 'number' && Number.isFinite(n)) &&
  Math.abs(at[0] as number) <= 180 &&
  Math.abs(at[1] as number) <= 90
const line = (at: unknown): Degrees[] | undefined =>
  Array.isArray(at) && at.length > 0 && at.every(isDegrees) ? at.map(([lon, lat]) => [lon, lat]) : undefined
const lines = (at: unknown): Degrees[][] | undefined => {
  const all = Array.isArray(at) ? at.map(line) : []
  return all.length && all.every((one) => one !== undefined) ? (all as Degrees[][]) : undefined
}

/** Geometries of a file as single areas, lines and points; undefined for what cannot be one. */
function partsOf(
  geometry: GeoFeature['geometry'],
): { shape: 'area' | 'line' | 'point'; rings: Degrees[][] }[] | undefined {
  const at = geometry?.coordinates
  const one = (shape: 'area' | 'line' | 'point', rings: Degrees[][] | undefined) => rings && [{ shape, rings }]
  const many = (each: (part: unknown) => ReturnType<typeof partsOf>) => {
    const all = Array.isArray(at) ? at.map(each) : []
    return all.length && all.every((part) => part !== undefined)
      ? (all.flat() as NonNullable<ReturnType<typeof partsOf>>)
      : undefined
  }
  const of = (type: string) => (coordinates: unknown) => partsOf({ type, coordinates })
  switch (geometry?.type) {
    case 'Polygon':
      return one('area', lines(at))
    case 'LineString': {
      const read = line(at)
      return one('line', read && [read])
    }
    case 'Point':
      return one('point', isDegrees(at) ? [[[at[0], at[1]]]] : undefined)
    case 'MultiPolygon':
      return many(of('Polygon'))
    case 'MultiLineString':
      return many(of('LineString'))
    case 'MultiPoint':
      return many(of('Point'))
    default:
      return undefined
  }
}

/** Points nearer to each other than a hand are one; a walked track has a hundred of those where somebody stood. */
function thinned(points: readonly PointM[]): PointM[] {
  const kept: PointM[] = []
  for (const point of points)
    if (!kept.length || distanceM(kept.at(-1)!, point) > 0.1)
      kept.push([Math.round(point[0] * 1000) / 1000, Math.round(point[1] * 1000) / 1000])
  return kept
}
const opened = (points: PointM[]): PointM[] =>
  points.length > 3 && distanceM(points[0]!, points.at(-1)!) < 0.1 ? points.slice(0, -1) : points

const text = (value: unknown, most: number): string => (typeof value === 'string' ? value.trim().slice(0, most) : '')
const measure = (value: unknown): number | null =>
  typeof value === 'number' && Number.isFinite(value) && value >= 0.1 && value <= 100 ? value : null

function kindOf(wanted: unknown, shape: 'area' | 'line' | 'point'): FeatureKind {
  const named = FEATURE_CODES.find((code) => code === wanted)
  if (named && FEATURE_KINDS[named] === shape) return named
  return shape === 'area' ? 'zone' : shape === 'line' ? 'path' : 'tree'
}

/** Middle of everything in a file, degrees. */
function middleOf(all: readonly Degrees[]): PlaceDeg {
  const [lons, lats] = [all.map(([lon]) => lon), all.map(([, lat]) => lat)]
  const middle = (values: number[]) =>
    (values.reduce((a, b) => Math.min(a, b)) + values.reduce((a, b) => Math.max(a, b))) / 2
  return { lonDeg: Math.round(middle(lons) * 1e5) / 1e5, latDeg: Math.round(middle(lats) * 1e5) / 1e5 }
}

/**
 * Reads what a file draws onto the plan. A track that comes back to where it began becomes an outline.
 * @param file anything that was parsed from GeoJSON, KML or GPX
 * @param place where the lawn lies; undefined lets the file say, for a plan with nothing on it
 * @returns things in metres, or a sentence on what is wrong; nothing of a file that lies elsewhere is taken
 */
export function readPlan(file: unknown, place: PlaceDeg | undefined, near: PlaceDeg): ReadPlan {
  const given = file as { type?: unknown; features?: unknown } | null
  const features =
    given?.type === 'FeatureCollection' && Array.isArray(given.features)
      ? (given.features as GeoFeature[])
      : given?.type === 'Feature'
        ? [given as unknown as GeoFeature]
        : undefined
  if (!features)
    return {
      ok: false,
      message: say('contract.thereIsNoDrawing'),
    }
  if (features.length > MOST_FEATURES)
    return {
      ok: false,
      message: say('contract.thisFileHasThings', { features: features.length, MOST_FEATURES }),
    }
  const left: Message[] = []
  const parts = features.flatMap((feature, i) => {
    const read = partsOf(feature?.geometry ?? null)
    if (!read)
      left.push(
        say('contract.noOutlineToRead', {
          name: text(feature?.properties?.name, 40) || say('contract.thingNumber', { number: i + 1 }),
        }),
      )
    return (read ?? []).map((part) => ({ ...part, properties: feature.properties ?? {} }))
  })
  const all = parts.flatMap(({ rings }) => rings.flat())
  if (!all.length)
    return {
      ok: false,
      message: left[0] ? say('contract.nothingOfThisFile', { left: left[0] }) : say('contract.thisFileIsEmpty'),
    }
  if (all.length > MOST_POINTS * 10)
    return { ok: false, message: say('contract.thisFileHasPoints', { all: all.length, MOST_POINTS }) }
  const origin =
    place ??
    (Math.hypot(...toPlan(near, [middleOf(all).lonDeg, middleOf(all).latDeg])) < MOST_AWAY_M / 2 ? near : middleOf(all))
  const away = Math.max(...all.map((at) => Math.hypot(...toPlan(origin, at))))
  if (away > MOST_AWAY_M)
    return {
      ok: false,
      message: place
        ? say('contract.thisLiesKmFrom', { away: Math.round(away / 1000) })
        : say('contract.thisReachesOverKm', { away: Math.round(away / 1000) }),
    }
  const things = parts.flatMap(({ shape, rings, properties }): ReadThing[] => {
    const [outer, ...holes] = rings.map((ring) => thinned(ring.map((at) => toPlan(origin, at))))
    const round =
      shape === 'line' &&
      outer!.length > 3 &&
      properties.kind === undefined &&
      distanceM(outer![0]!, outer!.at(-1)!) < CLOSED_SHARE * lineM(outer!)
    const is = round ? 'area' : shape
    const kind = kindOf(properties.kind, is)
    const candidate = {
      kind,
      name: text(properties.name, 40),
      points: is === 'area' ? opened(outer!) : outer!,
      holes: is === 'area' ? holes.map(opened) : [],
      zoneId: null,
      heightM: measure(properties.heightM),
      radiusM: measure(properties.radiusM),
      depthMm: null,
      located: properties.located === true,
    }
    const judged = featureSchema.safeParse(candidate)
    if (!judged.success) {
      left.push(
        say('contract.thingProblem', {
          name: candidate.name || KIND_WORDS[kind],
          problem: saidIn(judged.error.issues[0]!.message),
        }),
      )
      return []
    }
    return [{ feature: judged.data, zoneName: text(properties.zone, 40) || candidate.name }]
  })
  return things.length
    ? { ok: true, things, place: origin, left }
    : { ok: false, message: say('contract.nothingOfThisFile', { left: left[0] }) }
}

/** The plan as GeoJSON in degrees, for GeoJSON files and for what is made of it. */
export function planFile(features: Features, zoneNames: Readonly<Record<string, string>>, place: PlaceDeg): GeoFile {
  const degrees = (points: readonly PointM[]) =>
    points.map((point) => fromPlan(place, point).map((n) => Math.round(n * 1e8) / 1e8))
  const ring = (points: readonly PointM[]) => degrees([...points, points[0]!])
  return {
    type: 'FeatureCollection',
    features: Object.values(features).map(({ kind, name, points, holes, zoneId, heightM, radiusM, located }) => {
      const shape = FEATURE_KINDS[kind]
      const zone = zoneId ? zoneNames[zoneId] : undefined
      return {
        type: 'Feature',
        properties: {
          kind,
          name: name || zone || '',
          ...(zone ? { zone } : {}),
          ...(heightM === null ? {} : { heightM }),
          ...(radiusM === null ? {} : { radiusM }),
          ...(located ? { located } : {}),
        },
        geometry:
          shape === 'area'
            ? { type: 'Polygon', coordinates: [points, ...holes].map(ring) }
            : shape === 'line'
              ? { type: 'LineString', coordinates: degrees(points) }
              : { type: 'Point', coordinates: degrees(points)[0] },
      }
    }),
  }
}
