import type { JobBrief, Lawn } from '#contract/lawn'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { putDownOn, type JobState } from '#core/job/states'
import type { MessageKey } from '#words/message'
import type { Day } from '#core/measure/calendar'
import { shortDay } from './days'
import { t } from './words'

const STATES: Record<JobState, MessageKey> = {
  planned: 'job.statePlanned',
  confirmed: 'job.stateConfirmed',
  'in work': 'job.stateInWork',
  'growing in': 'job.stateGrowingIn',
  closed: 'job.stateClosed',
  'called off': 'job.stateCalledOff',
}
export const stateName = (state: JobState): string => t(STATES[state])

/** Where a job stands, with its day. */
export function stateWords(job: JobBrief, today: Day): string {
  if (job.endedOn) return `${stateName(job.state)} ${shortDay(job.endedOn, today)}`
  return stateName(job.state)
}

/** When seed or a dressing went down, or is planned to. */
export function sownWords(job: JobBrief, today: Day): string {
  const down = putDownOn(job)
  const dresses = job.programme !== null && PROGRAMMES[job.programme].anchor === 'dressing'
  if (down) return t('job.topdressedSown', { hasDresses: Boolean(dresses), down: shortDay(down, today) })
  if (job.endedOn) return t('job.nothingSown')
  return job.sowOn ? t('job.plannedFor', { sowOn: shortDay(job.sowOn, today) }) : t('job.noDayYet')
}

/** Zones of a job by name; those that are gone are counted. */
export function zoneWords({ zoneIds }: Pick<JobBrief, 'zoneIds'>, { zones }: Pick<Lawn, 'zones'>): string {
  const names = zoneIds.flatMap((id) => zones[id]?.name ?? [])
  const gone = zoneIds.length - names.length
  if (!gone && names.length === Object.keys(zones).length) return t('job.wholeLawn')
  return [...names, ...(gone ? [t('job.noLongerDrawn', { gone })] : [])].join(', ')
}
