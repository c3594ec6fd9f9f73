import { say, withoutWorkings, type Message } from '../explain/message'
import type { Glance } from '../establishment/glance'
import type { Gate, GateState } from '../explain/judgement'
import type { GrassCode } from '../grass/grasses'
import type { Day } from '../measure/calendar'
import { seedNeed } from '../seed/liveSeed'
import { dryTomorrow } from './dryTomorrow'
import { grassOf } from './lawn'
import { ledgeMarksOf, type LedgeMark } from './ledgeMarks'
import { PLAN_RATE } from './parts'
import { isSeeded, planJob, type JobPlan } from './planJob'
import type { FirmRecord, JobRecord, LawnRecord } from './records'
import type { Schedule } from './schedule/schedule'
import { seasonOfGlance } from './season'
import type { Stage } from './stages'
import { putDownOn } from './states'

/** What a list says of a job: codes, days and figures, so that it can be kept and told in anybody's units. */
export interface Outline {
  stage: Stage
  /** What most of the lawn is to have; null while nobody said. */
  grass: GrassCode | null
  /** Answers that the survey still lacks. */
  missing: number
  /** Seed, or a first dressing, was down on it all. */
  putDownOn: Day | null
  /** Product to be sown of the largest part, g/m²; null where nothing is sown or planned. */
  productGPerM2: number | null
  /** Weather years in which the stand would be good from the day it is planned for. */
  odds: { of100: number } | null
  /** Where something holds it: the next day it could be begun on. */
  possibleFrom: Day | null
  /** Tasks done, of how many; null where there is no schedule. */
  tasks: { done: number; of: number } | null
  next: { name: Message; from: Day; to: Day } | null
  /** What matters most of what it waits for. */
  gate: Gate | null
  marks: LedgeMark[]
}

/** A job that an outline is made of, with the season in brief as far as it is known. */
export interface Outlined {
  job: JobRecord
  lawn: LawnRecord
  firm: FirmRecord
  glance: Glance | null
  ended: boolean
  /** What the survey still lacks, in the words of the form. */
  missing: readonly Message[]
}

const GRAVITY: Record<GateState, number> = { hold: 0, risk: 1, waiting: 2, met: 3 }

function stageOf({ missing }: Outlined, schedule: Schedule | undefined, refused: boolean): Stage {
  if (missing.length) return 'to survey'
  if (!schedule) return refused ? 'not now' : 'to decide'
  if (!schedule.next) return 'finished'
  return schedule.tasks.some(({ operation, done }) => operation.anchors === 'seeding' && done) ? 'growing' : 'to sow'
}

/** A gate with its figures, their workings left behind: those are opened on the lawn. */
const inBrief = ({ source: _source, text, ...gate }: Gate): Gate => ({
  ...gate,
  text: withoutWorkings(text),
})

/** The gravest of what stands in the way and is not overridden: of the survey, the decision, the schedule or its next task. */
function gateOf({ missing }: Outlined, { schedule, decision }: JobPlan, refused: boolean): Gate | null {
  if (missing.length)
    return { state: 'waiting', text: say('planned.answersIsNext', { count: missing.length, next: missing[0] }) }
  if (refused) return decision!.waiting.holds[0]!
  const [trouble] = schedule?.troubles ?? []
  if (trouble) return { state: 'risk', text: trouble.text }
  const open = schedule?.next?.gates.filter(({ overruled }) => overruled === undefined)
  return open?.toSorted((a, b) => GRAVITY[a.state] - GRAVITY[b.state])[0] ?? null
}

/** What a job that has ended was; it is not planned anew. */
const endedOutline = ({ job, lawn }: Outlined): Outline => ({
  stage: 'finished',
  grass: grassOf(lawn) ?? null,
  missing: 0,
  putDownOn: putDownOn({ programme: job.programme, marks: job.done }) ?? null,
  productGPerM2: null,
  odds: null,
  possibleFrom: null,
  tasks: null,
  next: null,
  gate: null,
  marks: [],
})

/**
 * Outlines a job for a list, from the same plan as everywhere.
 * @throws RangeError for impossible settings (rates, shares, heights)
 */
export function outlineOf(of: Outlined): Outline {
  if (of.ended) return endedOutline(of)
  const { job, lawn, firm, glance } = of
  const season = seasonOfGlance(glance)
  const plan = planJob(job, lawn, firm, season)
  const { schedule, decision, settings } = plan
  const refused = decision !== undefined && decision.waiting.holds.length > 0 && !job.programme
  const sows = isSeeded(job)
  const next = schedule?.next
  // What dies tomorrow goes before what waits.
  const gate = dryTomorrow({ job, lawn, firm, plan, season }) ?? gateOf(of, plan, refused)
  return {
    ...endedOutline(of),
    stage: stageOf(of, schedule, refused),
    missing: of.missing.length,
    productGPerM2:
      job.programme && sows ? seedNeed(1, settings.seedRateGPerM2, settings.lot, PLAN_RATE).productRate.value : null,
    odds: job.sowOn && glance?.sowing && sows ? { of100: glance.sowing.of100 } : null,
    possibleFrom: refused ? (decision.waiting.next ?? null) : null,
    tasks: schedule ? { done: schedule.tasks.filter(({ done }) => done).length, of: schedule.tasks.length } : null,
    next: next ? { name: next.name, from: next.from, to: next.to } : null,
    gate: gate && inBrief(gate),
    marks: ledgeMarksOf(schedule),
  }
}
