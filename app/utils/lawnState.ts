import type { Outline } from '#core/job/outline'
import type { Schedule } from '#core/job/schedule/schedule'
import { PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'
import type { Day } from '#core/measure/calendar'
import { shortDayWithWeekday } from './days'
import { t, tell } from './words'

export type StepCode = 'look' | 'decide' | 'when' | 'do' | 'bring' | 'water' | 'watch'
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
  /** How it is watered now, in words; null where that is not known here. */
  watering: string | null
  /** Days since seed is down on all of it; null while it is not. */
  sownDays: number | null
}

const step = (code: StepCode, name: string, state: StepState, says: string): Step => ({ code, name, state, says })

/** The steps of a lawn in the order of the work. */
export function stepsOf({ missing, tasks, programme, sowOn, today, area, load, watering, sownDays }: Progress): Step[] {
  return [
    missing
      ? step('look', t('lawns.look'), 'needs', t('lawns.toAnswer', { missing }))
      : step('look', t('lawns.look'), 'settled', area),
    programme
      ? step('decide', t('lawns.decide'), 'settled', tell(PROGRAMMES[programme].name))
      : step(
          'decide',
          t('lawns.decide'),
          missing ? 'empty' : 'needs',
          missing ? t('lawns.afterLook') : t('lawns.notDecided'),
        ),
    sowOn
      ? step('when', t('lawns.when'), 'settled', shortDayWithWeekday(sowOn, today))
      : step('when', t('lawns.when'), programme ? 'needs' : 'empty', t('lawns.noDayYet')),
    tasks
      ? step(
          'do',
          t('lawns.do'),
          tasks.done === tasks.of ? 'settled' : 'needs',
          tasks.done ? t('lawns.ofDone', { done: tasks.done, of: tasks.of }) : t('lawns.tasks', { of: tasks.of }),
        )
      : step('do', t('lawns.do'), 'empty', t('lawns.afterWhen')),
    tasks
      ? step('bring', t('lawns.bring'), 'needs', load)
      : step('bring', t('lawns.bring'), 'empty', t('lawns.afterWhen')),
    step(
      'water',
      t('lawns.water'),
      watering === null ? 'empty' : 'needs',
      watering !== null ? watering : tasks ? '' : t('lawns.afterWhen'),
    ),
    step(
      'watch',
      t('lawns.watch'),
      sownDays === null ? 'empty' : 'needs',
      sownDays === null ? t('lawns.afterSowing') : t('lawns.sownDays', { days: sownDays }),
    ),
  ]
}

/** How many tasks of a schedule are done, of how many; null where there is none. */
export const tasksDone = (schedule: Schedule | undefined): Outline['tasks'] =>
  schedule ? { done: schedule.tasks.filter(({ done }) => done).length, of: schedule.tasks.length } : null

/** Where the lawn stands: the first step that is not settled. */
export const currentStep = (steps: readonly Step[]): Step =>
  steps.find(({ state }) => state !== 'settled') ?? steps.at(-1)!
