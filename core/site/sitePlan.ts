import { crossesItself, signedAreaM2, type Outline, type PointM, type Ring } from './geometry'

/** What can be drawn, and as what. A site plan is no drawing board. */
export const FEATURE_KINDS = {
  zone: 'area',
  bed: 'area',
  building: 'area',
  hollow: 'area',
  bare: 'area',
  fence: 'line',
  path: 'line',
  buried: 'line',
  tree: 'point',
  head: 'point',
  tap: 'point',
  tip: 'point',
} as const
export type FeatureKind = keyof typeof FEATURE_KINDS
export const FEATURE_CODES = Object.keys(FEATURE_KINDS) as [FeatureKind, ...FeatureKind[]]

export const KIND_WORDS: Record<FeatureKind, string> = {
  zone: 'zone',
  bed: 'bed or pond',
  building: 'building',
  hollow: 'hollow',
  bare: 'bare patch',
  fence: 'fence or wall',
  path: 'path edge',
  buried: 'buried line',
  tree: 'tree',
  head: 'sprinkler head',
  tap: 'tap',
  tip: 'tipping place',
}

export interface Feature {
  kind: FeatureKind
  name: string
  /** Corners of an area, points of a line, or the one place. */
  points: readonly PointM[]
  /** Cut out of an area. */
  holes: readonly Ring[]
  /** The zone it outlines; zones only. */
  zoneId: string | null
  /** Trees, buildings, fences, m. */
  heightM: number | null
  /** Crown of a tree, throw of a head, m. */
  radiusM: number | null
  /** Deepest point of a hollow, mm. */
  depthMm: number | null
  /** A buried line that the local service has marked. */
  located: boolean
}
export type Features = Readonly<Record<string, Feature>>

/** Height or reach of what is drawn without either. @source own */
export const ASSUMED_M = {
  tree: { heightM: 8, radiusM: 3 },
  building: { heightM: 5 },
  fence: { heightM: 1.8 },
  head: { radiusM: 4.5 },
} as const

export const heightOf = ({ kind, heightM }: Feature): number =>
  heightM ?? (kind === 'tree' || kind === 'building' || kind === 'fence' ? ASSUMED_M[kind].heightM : 0)
export const reachOf = ({ kind, radiusM }: Feature): number =>
  radiusM ?? (kind === 'tree' || kind === 'head' ? ASSUMED_M[kind].radiusM : 0)

export const outlineOf = ({ points, holes }: Feature): Outline => ({ outer: points, holes })

const LEAST_POINTS = { area: 3, line: 2, point: 1 } as const

/** @returns a sentence where a feature cannot be what it says it is */
export function featureProblem({ kind, points, holes }: Feature): string | undefined {
  const shape = FEATURE_KINDS[kind]
  const least = LEAST_POINTS[shape]
  if (points.length < least) return `A ${KIND_WORDS[kind]} needs ${least} points at least.`
  if (shape === 'point' && points.length > 1) return `A ${KIND_WORDS[kind]} is one place.`
  if (shape !== 'area') return holes.length ? `Only an area has something cut out of it.` : undefined
  for (const ring of [points, ...holes]) {
    if (ring.length < 3) return 'What is cut out needs 3 points at least.'
    if (crossesItself(ring)) return 'Its edge crosses itself. Move a corner.'
    if (Math.abs(signedAreaM2(ring)) < 0.01) return 'It encloses nothing.'
  }
  return undefined
}
