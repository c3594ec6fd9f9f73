import type { ZoneStands } from '#core/job/inspection'
import type { KeptPlan } from '#core/job/keptJob'
import type { DoneOperation } from './work'
import type { JobInView, Lawn, PlanInput, Saved } from './lawn'

/** The lawn as it was surveyed when a job ended: its zones and drawing, and what was known of it. */
export type KeptGround = Omit<
  Lawn,
  'jobs' | 'job' | 'plan' | 'done' | 'seen' | 'sameClient' | 'sunAwaited' | keyof Saved
>

/** What is kept of a job that has ended. */
export interface KeptJob {
  ground: KeptGround
  plan: PlanInput
  kept: KeptPlan
  /** What the end wrote into the survey, by zone, and what stood there before; taken back with the end. */
  stands?: { before: Record<string, ZoneStood>; after: Record<string, ZoneStands> }
}

/** The same answers of a survey as somebody gave them, or did not. */
export type ZoneStood = { [K in keyof ZoneStands]: ZoneStands[K] | null }

/** A job that has ended as it is shown, with its marks. */
export interface EndedJob extends KeptJob {
  job: JobInView
  done: DoneOperation[]
}
