import { stateName } from './jobWords'
import type { ListedLawn } from '#contract/list'
import { grassByCode } from '#core/grass/grasses'
import { PROGRAMMES } from '#core/job/decision/programmes'
import type { Outline } from '#core/job/outline'
import type { Stage } from '#core/job/stages'
import { daysBetween, type Day } from '#core/measure/calendar'
import { shortDay, shortDayWithWeekday } from './days'
import { figure, showText, type UnitSystem } from '#core/measure/figure'
import type { Gate } from '#core/explain/judgement'
import { currentStep, stepsOf, type Step } from './lawnState'
import { programmeWords } from './programmeWords'
import { t, tell } from './words'

/** What the list says of one lawn, in the reader's units. */
export interface LawnRowView {
  lawn: ListedLawn
  /** Undefined while it is being worked out. */
  stage: Stage | undefined
  steps: Step[]
  here: Step | undefined
  grass: string
  programme: string
  rate: string
  sow: string
  odds: string
  next: string
  what: string
  /** Sorts the list: the next date, or the end of the alphabet. */
  sortBy: string
  gate: Gate | null
}

const LAST = '9999'

/** A lawn without an open job, or one that is not worked out yet: what is on record of it. */
function bareRow(lawn: ListedLawn, today: Day): LawnRowView {
  const { job, outline } = lawn
  return {
    lawn,
    stage: outline?.stage,
    steps: [],
    here: undefined,
    grass: outline?.grass ? tell(grassByCode(outline.grass).name) : '',
    programme: programmeWords(job),
    rate: '',
    sow: job.sowOn ? shortDayWithWeekday(job.sowOn, today) : '',
    odds: '',
    next: '',
    what: '',
    sortBy: LAST,
    gate: null,
  }
}

/** When seed or a dressing went down in a job that has ended. */
function putDownWords({ programme }: ListedLawn['job'], on: Day | null, today: Day): string {
  if (!on) return t('lawns.nothingSown')
  return t('lawns.topdressedSown', {
    hasProgramme: programme && PROGRAMMES[programme].anchor === 'dressing',
    on: shortDay(on, today),
  })
}

function endedRow(lawn: ListedLawn, endedOn: Day, today: Day): LawnRowView {
  const { job, outline } = lawn
  return {
    ...bareRow(lawn, today),
    sow: outline ? putDownWords(job, outline.putDownOn, today) : '',
    next: t('lawns.job', { number: job.number }),
    what: `${stateName(job.outcome!)} ${shortDay(endedOn, today)}`,
  }
}

const oddsWords = ({ odds, possibleFrom }: Outline, coarse: boolean, today: Day): string =>
  odds
    ? t(coarse ? 'lawns.aboutOf100' : 'lawns.of100', { of100: odds.of100 })
    : possibleFrom
      ? t('lawns.next2', { possibleFrom: shortDay(possibleFrom, today) })
      : ''

/** Everything a row of the list shows. */
export function lawnRow(lawn: ListedLawn, today: Day, units: UnitSystem): LawnRowView {
  const { job, outline } = lawn
  if (job.endedOn) return endedRow(lawn, job.endedOn, today)
  if (!outline) return bareRow(lawn, today)
  const rate = outline.productGPerM2 === null ? '' : showText(figure('rateGPerM2', outline.productGPerM2), units)
  const steps = stepsOf({
    ...job,
    ...outline,
    today,
    area: showText(figure('areaM2', lawn.areaM2), units),
    load: rate,
    watering: null,
    sownDays: outline.putDownOn && daysBetween(outline.putDownOn, today),
  })
  const here = currentStep(steps)
  const { next } = outline
  return {
    ...bareRow(lawn, today),
    steps,
    here,
    grass: outline.grass ? tell(grassByCode(outline.grass).name) : t('lawns.notChosen'),
    programme: !job.programme && outline.stage === 'not now' ? t('lawns.wait') : programmeWords(job),
    rate,
    sow: job.sowOn ? shortDayWithWeekday(job.sowOn, today) : t('lawns.noDayYet'),
    odds: oddsWords(outline, lawn.coarse ?? false, today),
    next: next
      ? next.from <= today && next.to >= today
        ? t('lawns.today')
        : shortDayWithWeekday(next.from, today)
      : here.name,
    what: next ? tell(next.name) : outline.tasks ? t('lawns.allDone') : '',
    sortBy: next ? next.from : outline.missing ? '0' : LAST,
    gate: outline.gate,
  }
}
