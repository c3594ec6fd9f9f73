import { precipitationOf, type CanTest } from './catchCans'
import { STEEP_SHARE } from './topLayer'

export const IRRIGATION_KINDS = ['sprinklers', 'hose', 'by hand', 'none'] as const
export type IrrigationKind = (typeof IRRIGATION_KINDS)[number]
export const TIMERS = ['none', 'own', 'lent'] as const

/** A part of the lawn that is watered by one tap or valve at a time. */
export interface IrrigationZone {
  id: string
  name: string
  /** Sprinkler heads, as far as counted. */
  heads: number
  kind: IrrigationKind
  /** Zone of the lawn it lies in; null for all of it. */
  zoneId: string | null
  /** Null where it waters all of that. */
  areaM2: number | null
  /** Tap or valve, in words. */
  tap: string
  /** From the tap to its farthest corner. */
  hoseM: number | null
  flowLPerMin: number | null
  /** Measured otherwise, or from the maker's table. */
  rateMmPerH: number | null
  cans: CanTest | null
  timer: (typeof TIMERS)[number]
  /** The firm leaves a sprinkler of its own until the seed is up. */
  sprinklerLent: boolean
}

/** An irrigation zone that nothing is told of yet. */
export const NEW_IRRIGATION_ZONE = {
  name: '',
  kind: 'sprinklers',
  heads: 0,
  zoneId: null,
  areaM2: null,
  tap: '',
  hoseM: null,
  flowLPerMin: null,
  rateMmPerH: null,
  cans: null,
  timer: 'none',
  sprinklerLent: false,
} as const satisfies Omit<IrrigationZone, 'id'>

/** What an irrigation zone puts down, and how that is known. */
export interface Supply {
  rateMmPerH: number
  uniformity: number
  known: 'cans' | 'typed' | 'flow' | 'usual'
}

/** Of heads and stands that nobody measured. @source own, between spray heads and rotors of irrigation handbooks */
const USUAL_MM_PER_H = { sprinklers: 15, hose: 8 } as const
const USUAL_UNIFORMITY = { sprinklers: 0.65, hose: 0.6, 'by hand': 0.6 } as const
/** Of a garden hose. @source own */
const USUAL_FLOW_L_PER_MIN = 12

/**
 * What an irrigation zone puts down: measured by cans, typed, by flow over its area, or the usual figure of its kind.
 * @param areaM2 that it waters
 * @returns undefined where it is not watered
 */
export function supplyOf(
  { kind, cans, rateMmPerH, flowLPerMin }: Pick<IrrigationZone, 'kind' | 'cans' | 'rateMmPerH' | 'flowLPerMin'>,
  areaM2: number,
): Supply | undefined {
  if (kind === 'none') return undefined
  const measured = cans && precipitationOf(cans)
  if (measured) return { rateMmPerH: measured.rateMmPerH, uniformity: measured.uniformity, known: 'cans' }
  const uniformity = USUAL_UNIFORMITY[kind]
  if (rateMmPerH) return { rateMmPerH, uniformity, known: 'typed' }
  const byFlow = (litres: number) => (60 * litres) / Math.max(1, areaM2)
  if (flowLPerMin) return { rateMmPerH: byFlow(flowLPerMin), uniformity, known: 'flow' }
  return {
    rateMmPerH: kind === 'by hand' ? byFlow(USUAL_FLOW_L_PER_MIN) : USUAL_MM_PER_H[kind],
    uniformity,
    known: 'usual',
  }
}

/** Water that stands on the ground before it runs, mm: on level ground and on a slope. @source own */
const STANDS_MM = { level: 3, slope: 1 } as const

/** One watering of a zone: so many runs of so many minutes, with a soak between them. */
export interface Run {
  minutes: number
  runs: number
  soakMinutes: number
}

/**
 * Cycle and soak: a run is cut where more would stand than the ground bears, and waits until that has gone in.
 * @param minutes in all
 * @source irrigation handbooks; what stands is own
 */
export function cycleAndSoak(minutes: number, rateMmPerH: number, infiltrationMmPerH: number, slopeShare: number): Run {
  const standsMm = slopeShare > STEEP_SHARE ? STANDS_MM.slope : STANDS_MM.level
  const over = rateMmPerH - infiltrationMmPerH
  const longest = over > 0 ? (60 * standsMm) / over : Infinity
  if (minutes <= longest) return { minutes, runs: 1, soakMinutes: 0 }
  const runs = Math.ceil(minutes / longest)
  return { minutes: minutes / runs, runs, soakMinutes: (60 * standsMm) / infiltrationMmPerH }
}
