import type { Outline } from '#core/job/outline'
import type { Schedule } from '#core/job/schedule/schedule'
import { PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'
import { shortDayWithWeekday, type Day } from '#core/measure/calendar'

export type StepCode = 'look' | 'decide' | 'when' | 'do' | 'bring'
export type StepState = 'empty' | 'needs' | 'settled'

export interface Step {
  code: StepCode
  name: string
  state: StepState
  /** What it says under its name: a result, or what it lacks. */
  says: string
}

/** How far a job is, for its steps. */
export interface Progress extends Pick<Outline, 'missing' | 'tasks'> {
  programme: ProgrammeCode | null
  sowOn: Day | null
  today: Day
  /** The ground, in words. */
  area: string
  /** What is brought, in words. */
  load: string
}

const step = (code: StepCode, name: string, state: StepState, says: string): Step => ({ code, name, state, says })

/** The steps of a lawn in the order of the work. */
export function stepsOf({ missing, tasks, programme, sowOn, today, area, load }: Progress): Step[] {
  return [
    missing ? step('look', 'Look', 'needs', `${missing} to answer`) : step('look', 'Look', 'settled', area),
    programme
      ? step('decide', 'Decide', 'settled', PROGRAMMES[programme].name)
      : step('decide', 'Decide', missing ? 'empty' : 'needs', missing ? 'after Look' : 'not decided'),
    sowOn
      ? step('when', 'When', 'settled', shortDayWithWeekday(sowOn, today))
      : step('when', 'When', programme ? 'needs' : 'empty', 'no day yet'),
    tasks
      ? step(
          'do',
          'Do',
          tasks.done === tasks.of ? 'settled' : 'needs',
          tasks.done ? `${tasks.done} of ${tasks.of} done` : `${tasks.of} tasks`,
        )
      : step('do', 'Do', 'empty', 'after When'),
    tasks ? step('bring', 'Bring', 'needs', load) : step('bring', 'Bring', 'empty', 'after When'),
  ]
}

/** How many tasks of a schedule are done, of how many; null where there is none. */
export const tasksDone = (schedule: Schedule | undefined): Outline['tasks'] =>
  schedule ? { done: schedule.tasks.filter(({ done }) => done).length, of: schedule.tasks.length } : null

/** Where the lawn stands: the first step that is not settled. */
export const currentStep = (steps: readonly Step[]): Step =>
  steps.find(({ state }) => state !== 'settled') ?? steps.at(-1)!
