import { missingOf, type Lawn } from '#contract/lawn'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { shortDayWithWeekday, type Day } from '#core/measure/calendar'
import type { Sequence } from '#core/job/schedule/schedule'

export type StepCode = 'look' | 'decide' | 'when' | 'do' | 'bring'
export type StepState = 'empty' | 'needs' | 'settled'

export interface Step {
  code: StepCode
  name: string
  state: StepState
  /** What it says under its name: a result, or what it lacks. */
  says: string
}

const step = (code: StepCode, name: string, state: StepState, says: string): Step => ({ code, name, state, says })

/** The steps of a lawn in the order of the work. */
export function stepsOf(lawn: Lawn, today: Day, area: string, seed: string, sequence: Sequence | undefined): Step[] {
  const missing = missingOf(lawn)
  const { programme, sowOn } = lawn.plan
  const done = sequence?.slips.filter((slip) => slip.done).length ?? 0
  const count = sequence?.slips.length ?? 0
  return [
    missing.length
      ? step('look', 'Look', 'needs', `${missing.length} to answer`)
      : step('look', 'Look', 'settled', area),
    programme
      ? step('decide', 'Decide', 'settled', PROGRAMMES[programme].name)
      : step('decide', 'Decide', missing.length ? 'empty' : 'needs', missing.length ? 'after Look' : 'not decided'),
    sowOn
      ? step('when', 'When', 'settled', shortDayWithWeekday(sowOn, today))
      : step('when', 'When', programme ? 'needs' : 'empty', 'no day yet'),
    sequence
      ? step('do', 'Do', done === count ? 'settled' : 'needs', done ? `${done} of ${count} done` : `${count} slips`)
      : step('do', 'Do', 'empty', 'after When'),
    sequence ? step('bring', 'Bring', 'needs', seed) : step('bring', 'Bring', 'empty', 'after When'),
  ]
}

/** Where the lawn stands: the first step that is not settled. */
export const currentStep = (steps: readonly Step[]): Step =>
  steps.find(({ state }) => state !== 'settled') ?? steps.at(-1)!
