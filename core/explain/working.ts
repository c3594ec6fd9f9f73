import type { MessageKey } from '#words/message'
import type { Figure } from '../measure/figure'
import type { Message } from './message'

/** How a value is known; shown beside it wherever the number opens its working. */
export type SourceKind = 'std' | 'mem' | 'trade' | 'own' | 'user' | 'computed'

export interface Source {
  kind: SourceKind
  /** Where it is from: a standard, a label, the survey, a rule of the firm. */
  text: Message
}

export const SOURCE_KINDS: Record<SourceKind, MessageKey> = {
  std: 'numbers.sourceStd',
  mem: 'numbers.sourceMem',
  trade: 'numbers.sourceTrade',
  own: 'numbers.sourceOwn',
  user: 'numbers.sourceUser',
  computed: 'numbers.sourceComputed',
}

export type Operator = '×' | '÷' | '+' | '−' | '='

/** One line of the sum: what enters, how it enters, and how it is known. */
export interface WorkingLine {
  operator?: Operator
  what: Message
  value: Figure
  source?: Source
  /** A line that closes a part of the sum. */
  subtotal?: boolean
}

/** The ledger behind one number, made where the number is made. */
export interface Working {
  title: Message
  result: Figure
  /** The formula in words. */
  formula: Message
  lines: WorkingLine[]
  /** How the result was rounded, when it was. */
  rounding?: Message
  /** A check that can be made on the ground. */
  fieldCheck?: Message
}

/** A number together with the working that made it. */
export interface Worked {
  value: number
  working: Working
}
