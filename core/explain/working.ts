import type { Figure } from '../measure/figure'

/** How a value is known; shown beside it wherever the number opens its working. */
export type SourceKind = 'std' | 'mem' | 'trade' | 'own' | 'user' | 'computed'

export interface Source {
  kind: SourceKind
  /** Where it is from: a standard, a label, the survey, a rule of the firm. */
  text: string
}

export const SOURCE_KIND_WORDS: Record<SourceKind, string> = {
  std: 'published, from memory',
  mem: 'handbook value',
  trade: 'common practice, no source',
  own: 'planning figure',
  user: 'entered',
  computed: 'computed',
}

export type Operator = '×' | '÷' | '+' | '−' | '='

/** One line of the sum: what enters, how it enters, and how it is known. */
export interface WorkingLine {
  operator?: Operator
  what: string
  value: Figure
  source?: Source
  /** A line that closes a part of the sum. */
  subtotal?: boolean
}

/** The ledger behind one number, made where the number is made. */
export interface Working {
  title: string
  result: Figure
  /** The formula in words. */
  formula: string
  lines: WorkingLine[]
  /** How the result was rounded, when it was. */
  rounding?: string
  /** A check that can be made on the ground. */
  fieldCheck?: string
}

/** A number together with the working that made it. */
export interface Worked {
  value: number
  working: Working
}
