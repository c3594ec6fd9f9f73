import type { SeenSpot } from '../learning/seen'
import { latestOf, type Day } from '../measure/calendar'
import { seedNeed } from '../seed/liveSeed'
import { operationOf } from './operations/registry'
import { PLAN_RATE, type Part } from './parts'
import type { JobRecord } from './records'
import { seenOf } from './seenGrowth'

/** Thinner than this nobody sows by hand, of the full rate. @source own */
export const LEAST_RATE_SHARE = 0.25

/** Ground that came up too thin, and seed for what is missing of it. */
export type ThinSpot = Pick<SeenSpot, 'seenOn' | 'areaM2' | 'missingShare' | 'cause' | 'at'> & { massKg: number }

/** Ground of all spots of a zone, and what is missing there on the whole. */
export function spotsTogether(spots: readonly ThinSpot[]): { areaM2: number; missingShare: number } {
  const areaM2 = spots.reduce((sum, spot) => sum + spot.areaM2, 0)
  return { areaM2, missingShare: spots.reduce((sum, spot) => sum + spot.areaM2 * spot.missingShare, 0) / areaM2 }
}

/** Day on which thin ground was last sown again; undefined where it was not. */
export const resownOn = (job: Pick<JobRecord, 'done'>): Day | undefined =>
  job.done
    .filter(({ key }) => operationOf(key)?.reseeds)
    .map(({ doneOn }) => doneOn)
    .sort()
    .at(-1)

/** Spots seen since the last reseeding; what was sown again is looked at anew. */
export function spotsOf(job: JobRecord, zoneId: string, part: Part | undefined, sownOn: Day): ThinSpot[] {
  const since = latestOf([sownOn, resownOn(job) ?? sownOn])
  return seenOf(job, 'spot', since)
    .filter((spot) => spot.zoneId === zoneId && (since === sownOn || spot.seenOn > since))
    .map(({ seenOn, areaM2, missingShare, cause, at }) => {
      const rate = (part?.settings.seedRateGPerM2 ?? 0) * Math.max(LEAST_RATE_SHARE, missingShare)
      const massKg = part ? seedNeed(areaM2, rate, part.settings.lot, PLAN_RATE).product.value : 0
      return { seenOn, areaM2, missingShare, cause, at, massKg }
    })
}
