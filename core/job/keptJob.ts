import type { Message } from '../explain/message'
import type { Day } from '../measure/calendar'
import type { Practices } from './decision/practices'
import type { FieldCount } from '../learning/fieldShare'
import type { Inspection } from './inspection'
import type { Phase, Wanted } from './operations/definition'
import type { JobPlan } from './planJob'
import type { Planning } from './planningFigures'
import type { FirmRecord } from './records'
import type { PlanSettings } from './settings'

/** A task as it stood when its job ended. */
export interface KeptTask {
  key: string
  name: Message
  phase: Phase
  /** First and last day it was planned for, or done on. */
  from: Day
  to: Day
  groundM2: number
  uses: Wanted[]
}

/** A job as it stood when it ended, in plain data: shown, never planned anew. */
export interface KeptPlan {
  /** Version of the core that planned it. */
  core: string
  keptOn: Day
  practices: Practices
  settings: PlanSettings
  /** The firm's figures and prices of that day. */
  planning: Planning
  /** ISO code of the prices. */
  currency: string
  tasks: KeptTask[]
  /** What was left out, and why. */
  leftOut: { name: Message; reason: string }[]
  /** Of the whole job; null where nothing was planned. */
  crewHours: number | null
  priceMinor: number | null
  seedKg: number | null
  /** As it was at the end; not of what was never sown, nor of jobs that ended before it was kept. */
  inspection?: Inspection
  /** What its counts say of its beds; the firm's own figures are proposed from these. */
  fieldCounts?: FieldCount[]
}

/**
 * What is kept of a plan when its job ends.
 * @param core version of the core that planned it
 * @param ends what was seen of it at the end
 */
export function keptPlan(
  { practices, settings, schedule, price }: JobPlan,
  { planning, currency, today }: Pick<FirmRecord, 'planning' | 'currency' | 'today'>,
  core: string,
  ends: Pick<KeptPlan, 'inspection' | 'fieldCounts'> = {},
): KeptPlan {
  const tasks = (schedule?.tasks ?? []).map(({ key, name, operation, from, to, groundM2, wanted }): KeptTask => ({
    key,
    name,
    phase: operation.phase,
    from,
    to,
    groundM2,
    uses: [...wanted],
  }))
  return {
    core,
    keptOn: today,
    practices,
    settings,
    planning,
    currency,
    tasks,
    leftOut: (schedule?.skipped ?? []).map(({ operation, reason }) => ({ name: operation.name, reason })),
    crewHours: price?.crewHours.value ?? null,
    priceMinor: price?.priceMinor.value ?? null,
    seedKg: price?.seedKg ?? null,
    ...ends,
  }
}
