import { dayNumber } from '../../measure/calendar'
import { movesOf, type Move } from './moves'
import type { GateInput } from '../operations/gateInput'
import { growsFromOf } from '../operations/goodDays'
import { FOURTH_AFTER_DAYS, lay } from './constraints'
import type { Operation } from '../operations/definition'
import { anchorOf, operationsOf } from '../operations/planned'
import { anchorCode } from '../operations/registry'
import { isLeftOut, plannedOf, type ScheduleInput } from './input'
import { taskOf, type Task } from './task'
import { troublesOf, type Trouble } from './troubles'

export type { ScheduleInput } from './input'
export type { Task } from './task'

export interface Schedule {
  tasks: Task[]
  /** Left out, with the reason. */
  skipped: { key: string; operation: Operation; reason: string }[]
  crewHours: number
  /** Days from the first mowing to the fourth. */
  mowingsDays: number
  next?: Task
  /** What cannot be kept, in words with a way out. */
  troubles: Trouble[]
  /** Agreed days that cannot stay, with what moves them. */
  moves: Move[]
}

/** The first work on the lawn itself. */
export const firstWork = ({ tasks }: Schedule): Task =>
  tasks.find(({ operation }) => operation.phase === 'work') ?? tasks[0]!

/**
 * The dated run of operations of a plan, from its sowing day, or from the first lift where nothing is sown.
 * @throws RangeError for impossible settings (rates, shares, heights)
 * @source Dechter, Meiri & Pearl 1991; lags own
 */
export function buildSchedule(input: ScheduleInput): Schedule {
  const planned = plannedOf(input)
  const laying = lay(input, planned)
  const has = new Set(planned.map(({ key }) => key))
  const gateInput: GateInput = {
    ...input,
    keepsTurf: input.parts.some(({ programme }) => programme.keepsTurf),
    growsFromC: growsFromOf(input.parts),
    practices: input.parts[0]!.practices,
  }
  const unordered = planned.map((one) => taskOf(input, gateInput, laying, has, one))
  const tasks = unordered
    .sort((a, b) => dayNumber(a.to) - dayNumber(b.to))
    .map((task, i) => ({ ...task, number: i + 1 }))
  // Once it is sown, what should have come before is shown as overdue and waited for no more.
  const sown = input.done.has(anchorCode(anchorOf(input.parts)))
  const next = tasks
    .filter((task) => !task.done && !(sown && task.operation.preferredDay < 0))
    .sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.number - b.number))[0]
  return {
    tasks,
    skipped: [...operationsOf(input.parts, input.extent)].flatMap(({ key, operation }) =>
      isLeftOut(input, key) ? [{ key, operation, reason: input.skipped[key]! }] : [],
    ),
    mowingsDays:
      input.fourthMow !== undefined && input.firstMow
        ? Math.max(0, input.fourthMow - input.firstMow.middle)
        : FOURTH_AFTER_DAYS,
    crewHours: tasks.reduce((sum, task) => sum + task.hours.value, 0),
    troubles: troublesOf(input, planned, laying, tasks),
    moves: movesOf(input, laying, tasks),
    ...(next ? { next } : {}),
  }
}
