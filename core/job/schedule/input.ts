import { say } from '../../explain/message'
import type { StockLevels } from '../../materials/stock'
import { daysBetween, type Day } from '../../measure/calendar'
import type { GateInput } from '../operations/gateInput'
import { hoursAsEntered, type Pace } from '../hours'
import type { Extent, SeasonWaits } from '../operations/definition'
import { operationsOf, type PlannedOperation } from '../operations/planned'
import { isAnchorKey } from '../operations/registry'
import type { Part } from '../parts'
import type { Planning } from '../planningFigures'
import type { Amounts, LawnRecord } from '../records'

/** Work that the technician put in beside the catalogue. */
export interface OwnWork {
  name: string
  day: Day
  hours: number
  note: string
}

/** Work that was done: when it was finished, or how much of it so far. */
export interface DoneWork {
  day: Day
  /** What is looked at after it was as it should be. */
  passed: boolean
}

export interface ScheduleInput
  extends Omit<GateInput, 'growsFromC' | 'keepsTurf' | 'practices' | 'done' | 'extent'>, SeasonWaits {
  /** Zones that are treated alike, the largest part first. */
  parts: readonly Part[]
  planning: Planning
  /** The way onto the lawn. */
  access?: LawnRecord['access']
  extent: Extent
  /** What is done, by the key of its task, on the day it was finished. */
  done: ReadonlyMap<string, DoneWork>
  /** What is begun: the share done, and the last day somebody was at it. */
  begun: ReadonlyMap<string, { share: number; day: Day }>
  /** Tasks left out, with the reason. */
  skipped: Readonly<Record<string, string>>
  /** Days the technician chose for single operations. */
  pins: ReadonlyMap<string, Day>
  /** Days that were agreed; whatever has to change moves as little of them as it can. */
  agreed: ReadonlyMap<string, Day>
  own: Readonly<Record<string, OwnWork>>
  /** Last day on which turf grows through a dressing. */
  growsUntil?: Day
  /** How fast the firm really is, by operation; by our work rates where it is not known. */
  pace: Readonly<Record<string, Pace>>
  /** What the shed holds. */
  stock: StockLevels
  /** Of it, what other open jobs will use up. */
  spokenFor: Amounts
  /** Crew hours the firm can put into one day. */
  hoursADay: number
}

/** A plan that nobody has changed by hand. */
export const UNTOUCHED = {
  begun: new Map<string, never>(),
  skipped: {},
  pins: new Map<string, Day>(),
  agreed: new Map<string, Day>(),
  own: {},
  overruled: {},
  pace: {},
  stock: {} as StockLevels,
  spokenFor: {},
  holidays: new Set<Day>(),
} as const

/** The technician's own work as an operation of the plan. */
const ownOperation = (
  key: string,
  { name, day, hours, note }: OwnWork,
  sowOn: Day,
  parts: readonly Part[],
): PlannedOperation => ({
  key,
  number: 1,
  of: 1,
  parts: [...parts],
  operation: {
    code: 'own',
    name: say('operations.typed', { typed: name }),
    done: say('schedule.ownDone'),
    mark: 'visit',
    phase: day > sowOn ? 'after' : 'work',
    preferredDay: daysBetween(sowOn, day),
    weight: 0.5,
    why: note ? say('operations.typed', { typed: note }) : say('schedule.putInByHand'),
    order: 1000,
    programmes: [],
    day: () => daysBetween(sowOn, day),
    brief: () => ({
      settings: say('operations.typed', { typed: note }),
      gates: [],
      hours: hoursAsEntered(say('operations.typed', { typed: name }), hours),
    }),
  },
})

/** Whether a task is left out; that whose day is chosen cannot be: a job without it is called off. */
export const isLeftOut = ({ skipped }: Pick<ScheduleInput, 'skipped'>, key: string): boolean =>
  skipped[key] !== undefined && !isAnchorKey(key)

/** Operations of a plan: of its programmes, what was put in, and less what is left out. */
export function plannedOf(input: ScheduleInput): PlannedOperation[] {
  const own = Object.entries(input.own).map(([key, work]) => ownOperation(key, work, input.sowOn, input.parts))
  const planned = operationsOf(input.parts, input.extent)
  const { practices } = input.parts[0]!
  for (const one of [...planned]) {
    const ahead = planned.findIndex(({ key }) => key === one.operation.goesBefore?.(practices))
    const at = planned.indexOf(one)
    if (ahead >= 0 && at > ahead) planned.splice(ahead, 0, ...planned.splice(at, 1))
  }
  return [...planned, ...own].filter(({ key }) => !isLeftOut(input, key))
}
