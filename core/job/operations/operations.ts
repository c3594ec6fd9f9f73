import type { LabelWait } from './labels'

/**
 * In the order in which they are done. A later lift is `lift` again; its key counts it. The last is work of the
 * technician's own.
 */
export const OPERATION_CODES = [
  'hardWeeds',
  'killAutumn',
  'soilTest',
  'kill1',
  'order',
  'kill2',
  'kill3',
  'locate',
  'relay',
  'waterAhead',
  'scalp',
  'clear',
  'dethatch',
  'core',
  'fork',
  'loosen',
  'delivery',
  'level',
  'lift',
  'sow',
  'rake',
  'firm',
  'feed',
  'preventer',
  'cover',
  'water',
  'check',
  'nip',
  'green',
  'uncover',
  'recoveryFeed',
  'mow',
  'regulator',
  'weak',
  'weedControl',
  'feedAgain',
  'close',
  'nextSeason',
  'own',
] as const
export type OperationCode = (typeof OPERATION_CODES)[number]
export type Mark = 'cut' | 'machine' | 'spray' | 'sow' | 'visit' | 'call'
/** Made ready from afar, done on the lawn, or looked after when it grows. */
export type Phase = 'before' | 'work' | 'after'

/** What stays the same about an operation on every lawn. */
export interface Operation {
  code: OperationCode
  name: string
  /** Button: "Mark scalped". */
  done: string
  mark: Mark
  phase: Phase
  /** Preferred day, counted from sowing or the first lift. */
  preferredDay: number
  /** How much a day off the preferred one weighs against others. @source own */
  weight: number
  why: string
  /** What is looked at before the next step may start. */
  check?: string
  /** The other word for it, said once. */
  alsoCalled?: string
  caution?: string
  /** Marked done, it keeps seed off the whole lawn for so long. */
  keepsSeedOff?: LabelWait
}

/** A slip is known by its operation, or by operation and number where there are several: "lift", "lift-2". */
export const keyOf = (code: OperationCode, number = 1): string => (number > 1 ? `${code}-${number}` : code)
/** Which of several a key is of; work of one's own has an id that is no number, though it may look like one. */
export const numberOf = (key: string): number => Number(/^[a-z]+-(\d{1,2})$/i.exec(key)?.[1] ?? 1)
/** The operation a key is of; undefined for work of one's own. */
export const codeOf = (key: string): OperationCode | undefined =>
  OPERATION_CODES.find((code) => key === code || key.startsWith(`${code}-`))

/** Somebody of the firm has to go there. */
export const isVisit = ({ mark }: Pick<Operation, 'mark'>): boolean => mark !== 'call'
