import type { JobBrief, Lawn } from '#contract/lawn'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { putDownOn } from '#core/job/states'
import { shortDay, type Day } from '#core/measure/calendar'

/** Where a job stands, with its day. */
export function stateWords(job: JobBrief, today: Day): string {
  if (job.endedOn) return `${job.state} ${shortDay(job.endedOn, today)}`
  return job.state
}

/** When seed or a dressing went down, or is planned to. */
export function sownWords(job: JobBrief, today: Day): string {
  const down = putDownOn(job)
  const dresses = job.programme !== null && PROGRAMMES[job.programme].anchor === 'dressing'
  if (down) return `${dresses ? 'topdressed' : 'sown'} ${shortDay(down, today)}`
  if (job.endedOn) return 'nothing sown'
  return job.sowOn ? `planned for ${shortDay(job.sowOn, today)}` : 'no day yet'
}

/** Zones of a job by name; those that are gone are counted. */
export function zoneWords({ zoneIds }: Pick<JobBrief, 'zoneIds'>, { zones }: Pick<Lawn, 'zones'>): string {
  const names = zoneIds.flatMap((id) => zones[id]?.name ?? [])
  const gone = zoneIds.length - names.length
  if (!gone && names.length === Object.keys(zones).length) return 'whole lawn'
  return [...names, ...(gone ? [`${gone} no longer drawn`] : [])].join(', ')
}
