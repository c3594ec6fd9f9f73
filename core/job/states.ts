import type { Day } from '../measure/calendar'
import { PROGRAMMES, type ProgrammeCode } from './decision/programmes'
import { doneByKey } from './marks'
import { anchorCode } from './operations/registry'
import type { JobRecord, Mark } from './records'

/** How far a job is, from the first idea to its end. */
export const JOB_STATES = ['planned', 'confirmed', 'in work', 'growing in', 'closed', 'called off'] as const
export type JobState = (typeof JOB_STATES)[number]

/** How a job ended. */
export const OUTCOMES = ['closed', 'called off'] as const satisfies readonly JobState[]
export type Outcome = (typeof OUTCOMES)[number]

/** What of a job tells how far it is. */
export interface JobProgress {
  programme: ProgrammeCode | null
  /** Day on which its schedule was confirmed; null where it was not. */
  confirmedOn: Day | null
  outcome: Outcome | null
  marks: readonly Mark[]
}

/** The day seed, or a first dressing, was down on the whole of a job; undefined while it is not. */
export function putDownOn({ programme, marks }: Pick<JobProgress, 'programme' | 'marks'>): Day | undefined {
  return doneByKey(marks).done.get(anchorCode(PROGRAMMES[programme ?? 'overseed'].anchor))?.day
}

/** The day from which what is sown grows: when it went down, else the one that is planned, as far as one is. */
export const growsFrom = <D extends Day | null>({
  programme,
  done,
  sowOn,
}: Pick<JobRecord, 'programme' | 'done'> & { sowOn: D }): Day | D => putDownOn({ programme, marks: done }) ?? sowOn

/** How far a job is: how it ended, else what is marked done of it, else what is decided. */
export function stateOf(job: JobProgress): JobState {
  if (job.outcome) return job.outcome
  if (putDownOn(job)) return 'growing in'
  if (job.marks.length) return 'in work'
  return job.confirmedOn ? 'confirmed' : 'planned'
}

/** Whether a job can still be planned and worked on. */
export const isOpen = (state: JobState): boolean => state !== 'closed' && state !== 'called off'
