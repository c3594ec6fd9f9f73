import { say, type Message } from '../explain/message'
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

export const KIND_WORDS: Record<FeatureKind, Message> = {
  zone: say('site.kindZone'),
  bed: say('site.kindBed'),
  building: say('site.kindBuilding'),
  hollow: say('site.kindHollow'),
  bare: say('site.kindBare'),
  fence: say('site.kindFence'),
  path: say('site.kindPath'),
  buried: say('site.kindBuried'),
  tree: say('site.kindTree'),
  head: say('site.kindHead'),
  tap: say('site.kindTap'),
  tip: say('site.kindTip'),
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
export function featureProblem({ kind, points, holes }: Feature): Message | undefined {
  const shape = FEATURE_KINDS[kind]
  const least = LEAST_POINTS[shape]
  if (points.length < least) return say('site.aNeedsPointsAt', { kind: KIND_WORDS[kind], least })
  if (shape === 'point' && points.length > 1) return say('site.aIsOnePlace', { kind: KIND_WORDS[kind] })
  if (shape !== 'area') return holes.length ? say('site.onlyAnAreaHas') : undefined
  for (const ring of [points, ...holes]) {
    if (ring.length < 3) return say('site.whatIsCutOut')
    if (crossesItself(ring)) return say('site.itsEdgeCrossesItself')
    if (Math.abs(signedAreaM2(ring)) < 0.01) return say('site.itEnclosesNothing')
  }
  return undefined
}
