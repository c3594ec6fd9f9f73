import type { Programme, ProgrammeCode } from '../decision/programmes'
import { AERATION } from './aeration'
import { COVERING } from './covering'
import type { Anchor, Definition, Operation } from './definition'
import { DETHATCHING } from './dethatching'
import { DRESSING } from './dressing'
import { FEEDING } from './feeding'
import { HERBICIDE } from './herbicide'
import { MOWING } from './mowing'
import { PESTS } from './pests'
import { RECOVERY } from './recovery'
import { SEEDING } from './seeding'
import { SOILWORK } from './soil'
import { TRANSITION } from './transition'
import { VISITS } from './visits'
import { WATERING } from './watering'

const ALL = [
  ...HERBICIDE,
  ...PESTS,
  ...MOWING,
  ...DETHATCHING,
  ...AERATION,
  ...SOILWORK,
  ...DRESSING,
  ...SEEDING,
  ...FEEDING,
  ...COVERING,
  ...WATERING,
  ...VISITS,
  ...RECOVERY,
  ...TRANSITION,
] as const

/** Code of an operation that is defined; work of the technician's own has none. */
export type DefinedCode = (typeof ALL)[number]['code']
export type OperationCode = DefinedCode | 'own'

/** Every operation there is, in the order of the work. */
export const OPERATIONS: readonly Definition<DefinedCode>[] = ([...ALL] as Definition<DefinedCode>[]).sort(
  (a, b) => a.order - b.order,
)
export const OPERATION_CODES: readonly OperationCode[] = [...OPERATIONS.map(({ code }) => code), 'own']

const BY_CODE = new Map<string, Definition<DefinedCode>>(OPERATIONS.map((one) => [one.code, one]))

/** @throws RangeError for a code that is not defined */
export function operationByCode(code: string): Definition<DefinedCode> {
  const found = BY_CODE.get(code)
  if (!found) throw new RangeError(`No operation ${code}.`)
  return found
}

/** What a technician may add to any plan. */
export const ADDABLE = OPERATIONS.filter(({ addable }) => addable).map(({ code }) => code) as [
  DefinedCode,
  ...DefinedCode[],
]

/** A task is known by its operation, or by operation and number where there are several: "lift", "lift-2". */
export const keyOf = (code: string, number = 1): string => (number > 1 ? `${code}-${number}` : code)
/** Which of several a key is of; work of one's own has an id that is no number, though it may look like one. */
export const numberOf = (key: string): number => Number(/^[a-z]+\d?-(\d{1,2})$/i.exec(key)?.[1] ?? 1)
/** The operation a key is of; undefined where it is of none. */
export const codeOf = (key: string): OperationCode | undefined =>
  OPERATION_CODES.find((code) => key === code || key.startsWith(`${code}-`))
/** What a key is of; undefined for work of one's own. */
export const operationOf = (key: string): Definition<DefinedCode> | undefined => BY_CODE.get(codeOf(key) ?? '')

/** The operation whose day is chosen: seed, or a first dressing. */
export const anchorCode = (anchor: Anchor): DefinedCode => OPERATIONS.find(({ anchors }) => anchors === anchor)!.code
/** The first of those whose day is chosen; a later dressing is not. */
export const isAnchorKey = (key: string): boolean => numberOf(key) === 1 && operationOf(key)?.anchors !== undefined

/** What a programme may have. */
export const operationsIn = ({ code }: { code: ProgrammeCode }): readonly Definition<DefinedCode>[] =>
  OPERATIONS.filter(({ programmes }) => programmes.includes(code))
/** Whether something a programme may have is so. */
export const someIn = (programme: Pick<Programme, 'code'>, is: (one: Definition) => unknown): boolean =>
  operationsIn(programme).some((one) => Boolean(is(one)))

/** Somebody of the firm has to go there. */
export const isVisit = ({ mark }: Pick<Operation, 'mark'>): boolean => mark !== 'call'
