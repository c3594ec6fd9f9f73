import { groundOf, jobOf, missingOf, type Lawn } from '#contract/lawn'
import { grassOf } from '#core/job/lawn'
import { planJob } from '#core/job/planJob'
import type { FirmRecord } from '#core/job/records'
import { seasonOfGlance } from '#core/job/season'
import type { PlanSettings } from '#core/job/settings'
import { grassByCode } from '#core/grass/grasses'
import { seedNeed } from '#core/seed/liveSeed'
import { PLAN_RATE } from '#core/job/parts'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { shortDay, shortDayWithWeekday, type Day } from '#core/measure/calendar'
import { figure, showText, type UnitSystem } from '#core/measure/figure'
import type { Gate } from '#core/explain/judgement'
import type { Glance } from '#core/establishment/glance'
import type { Sequence } from '#core/job/schedule/schedule'
import { programmeWords, sownWords } from './jobWords'
import { currentStep, stepsOf, type Step } from './lawnState'

export type LawnGroup = 'to survey' | 'to decide' | 'to sow' | 'growing' | 'not now' | 'finished'
export const LAWN_GROUPS = [
  'to survey',
  'to decide',
  'to sow',
  'growing',
  'not now',
  'finished',
] as const satisfies readonly LawnGroup[]

/** What the list says of one lawn. */
export interface LawnRowView {
  lawn: Lawn
  grass: string
  sequence: Sequence | undefined
  steps: Step[]
  here: Step
  group: LawnGroup
  programme: string
  rate: string
  sow: string
  odds: string
  next: string
  what: string
  /** Sorts the list: the next date, or the end of the alphabet. */
  sortBy: string
  gate: Gate | undefined
}

function groupOf(lawn: Lawn, sequence: Sequence | undefined, refused: boolean): LawnGroup {
  if (missingOf(lawn).length) return 'to survey'
  if (!sequence) return refused ? 'not now' : 'to decide'
  if (!sequence.next) return 'finished'
  return sequence.slips.some(({ operation, done }) => operation.anchors === 'seeding' && done) ? 'growing' : 'to sow'
}

const WEIGHT = { hold: 0, risk: 1, waiting: 2, met: 3 } as const

function seedRate(lawn: Lawn, settings: PlanSettings, units: UnitSystem): string {
  return `${showText(figure('rateGPerM2', seedNeed(lawn.areaM2, settings.seedRateGPerM2, settings.lot, PLAN_RATE).productRate.value), units)}`
}

/** The row of a lawn that has no open job: what the last one was. It is not planned anew. */
function endedRow(lawn: Lawn, endedOn: Day, today: Day): LawnRowView {
  const { job, done } = lawn
  const grass = grassOf(lawn)
  return {
    lawn,
    sequence: undefined,
    steps: [],
    here: { code: 'do', name: `Job ${job.number}`, state: 'settled', says: job.state },
    group: 'finished',
    grass: grass ? grassByCode(grass).name : '',
    programme: programmeWords(job),
    rate: '',
    sow: sownWords({ ...job, marks: done }, today),
    odds: '',
    next: '',
    what: `${job.state} ${shortDay(endedOn, today)}`,
    sortBy: '9999',
    gate: undefined,
  }
}

/** Everything a row of the list shows, from the lawn and its season in brief. */
export function lawnRow(
  lawn: Lawn,
  glance: Glance | null | undefined,
  firm: FirmRecord,
  units: UnitSystem,
): LawnRowView {
  const { today } = firm
  if (lawn.job.endedOn) return endedRow(lawn, lawn.job.endedOn, today)
  const { schedule: sequence, decision, settings } = planJob(jobOf(lawn), groundOf(lawn), firm, seasonOfGlance(glance))
  const refused = decision !== undefined && decision.waiting.holds.length > 0 && !lawn.plan.programme
  const area = showText(figure('areaM2', lawn.areaM2), units)
  const steps = stepsOf(lawn, today, area, sequence ? seedRate(lawn, settings, units) : '', sequence)
  const next = sequence?.next
  const missing = missingOf(lawn)
  const grass = grassOf(lawn)
  const { programme } = lawn.plan
  const seeded = programme && PROGRAMMES[programme].anchor === 'seeding'
  const gate: Gate | undefined = missing.length
    ? { state: 'waiting', text: [`${missing.length} answers, ${missing[0]} is next`] }
    : refused
      ? decision.waiting.holds[0]
      : sequence?.troubles[0]
        ? { state: 'risk', text: [sequence.troubles[0].text] }
        : next && [...next.gates].sort((a, b) => WEIGHT[a.state] - WEIGHT[b.state])[0]
  return {
    lawn,
    sequence,
    steps,
    here: currentStep(steps),
    group: groupOf(lawn, sequence, refused),
    grass: grass ? grassByCode(grass).name : 'not chosen',
    programme: programme ? PROGRAMMES[programme].name : refused ? 'Wait' : 'Not decided',
    rate: seeded ? seedRate(lawn, settings, units) : '',
    sow: lawn.plan.sowOn ? shortDayWithWeekday(lawn.plan.sowOn, today) : 'no day yet',
    odds:
      lawn.plan.sowOn && glance?.sowing && (!programme || seeded)
        ? `${glance.sowing.good} of ${glance.years} good`
        : refused && decision.waiting.next
          ? `next ${shortDay(decision.waiting.next, today)}`
          : '',
    next: next ? (next.from <= today && next.to >= today ? 'Today' : shortDayWithWeekday(next.from, today)) : '',
    what: next ? next.name : sequence ? 'all done' : currentStep(steps).name,
    sortBy: next ? next.from : missing.length ? '0' : '9999',
    gate,
  }
}
