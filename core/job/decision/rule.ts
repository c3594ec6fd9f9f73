import type { MessageKey } from '#words/message'
import type { Quantity } from '../../measure/figure'
import type { SourceKind } from '../../explain/working'
import type { ProgrammeCode } from './programmes'
import type { LimitCode } from '../planningFigures'

/** What is known of a zone when it is judged. Null is "not looked at"; a condition on it does not hold. */
export interface Findings {
  desirable: number
  weeds: number
  coarse: number
  bare: number
  patchy: boolean | null
  thatch: number
  driver: number | null
  penetrometer: number | null
  deepest: number
  /** Ground that lies in hollows too deep for seed alone, 0-1. */
  hollowShare: number
  /** Hours of sun that the grass wanted lacks; 0 where it has enough. */
  sunLack: number
  /** Shade with slow drainage. */
  dampShade: boolean
  sun: number
  /** What the grass wanted needs. */
  sunNeed: number
  slope: number | null
  ph: number | null
  kept: number
  timesADay: number | null
  irrigated: boolean
  warmSward: boolean
  spreads: boolean
  bermuda: boolean
  warmWanted: boolean
  /** Hybrid bermuda stands, and seed into it is a named kind compared on a plug. */
  hybrid: boolean
  namedSeed: boolean
  texture: string
  goal: string | null
  /** What was asked of the client and seen besides. */
  noSprays: boolean
  upkeep: string | null
  mownBy: string | null
  homeWhen: string | null
  ground: string
  stones: string | null
  topsoil: number | null
  thatchSoft: boolean | null
  coredLately: boolean
  /** The grass wanted asks for much: water, feed, mowing. */
  needy: boolean
  killPractice: string
  wear: string | null
  drainage: string | null
  /** A stop on sowing that is not of this zone: the last fifth of the year ahead. */
  winterOpen: boolean
}
export type Measure = keyof Findings

/** A message, and the measures and limits that it tells; a limit of the name of a measure ends in "Limit". */
export type Says = readonly [key: MessageKey, ...tells: string[]]

/** A measure against a limit of the planning figures, or against a plain value. */
export type Condition =
  readonly [Measure, '<' | '<=' | '>' | '>=', LimitCode | number] | readonly [Measure, 'is' | 'not', string | boolean]

/**
 * Data, one rule a line. `needs` refuses its programmes unless it holds; `refuses` refuses them where it holds; the first
 * `recommends` that holds, in this order, of a programme that is not refused is the programme recommended. `risk` and `adds` say
 * something at a programme; `waits` keeps all seed off until the cause is dealt with.
 */
export interface Rule {
  effect: 'needs' | 'refuses' | 'recommends' | 'risk' | 'adds' | 'waits'
  of: readonly ProgrammeCode[] | 'all' | 'seeded'
  /** All of these. */
  when: readonly Condition[]
  /** And one of these, where there are any. */
  any?: readonly Condition[]
  /** What is said: {measure} and {limit} become figures. */
  says: Says
  kind: SourceKind
  from: MessageKey
}

export const MEASURE_QUANTITY: Partial<Record<Measure, Quantity>> = {
  desirable: 'share',
  weeds: 'share',
  coarse: 'share',
  bare: 'share',
  thatch: 'depthMm',
  topsoil: 'depthMm',
  driver: 'depthMm',
  penetrometer: 'kPa',
  deepest: 'depthMm',
  sun: 'hours',
  sunNeed: 'hours',
  slope: 'share',
  ph: 'ph',
  kept: 'depthMm',
  timesADay: 'count',
}

export const rule = (
  effect: Rule['effect'],
  of: Rule['of'],
  when: readonly Condition[],
  says: Says,
  kind: SourceKind,
  from: MessageKey,
  any?: readonly Condition[],
): Rule => ({ effect, of, when, says, kind, from, ...(any ? { any } : {}) })

export const COOL: readonly ProgrammeCode[] = ['spot', 'overseed', 'hard', 'kill', 'strip']
