import { fieldCountsOf } from '#core/job/fieldCounts'
import { inspectionOf, standsAfter } from '#core/job/inspection'
import { keptPlan } from '#core/job/keptJob'
import type { SownZone } from '#core/job/watch'
import type { EmergenceTold } from '#contract/seen'
import type { KeptJob, ZoneStood } from '#contract/keptJob'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { freshStations } from '../weather/collect'
import { emergenceTold } from '../weather/emergence'
import { stationOf } from '../weather/stationOf'
import { engine } from '../utils/engine'
import { localFetch } from '../utils/localFetch'
import { plannedJob } from './plannedJob'

/**
 * A job as it stands, to be kept when it ends.
 * @param takeStands what was seen of the cover goes into the survey
 */
export async function keptJobOf(lawn: Lawn, work: AtWork, takeStands: boolean): Promise<KeptJob> {
  const { jobs: _jobs, job, plan, done: _done, seen: _seen, sameClient: _same, sunAwaited: _sun, ...rest } = lawn
  const { savedAt: _at, savedBy: _by, ...survey } = rest
  const [record, ground] = [jobOf(lawn), groundOf(lawn)]
  const planned = await plannedJob(lawn, work)
  const inspection = inspectionOf({ job: record, lawn: ground, ...planned }, job.promised)
  const after = takeStands && inspection ? standsAfter(inspection, record, planned.plan) : {}
  return {
    ground: { ...survey, zones: { ...ground.zones }, measured: { ...ground.measured } },
    plan,
    kept: keptPlan(planned.plan, planned.firm, engine(), {
      ...(inspection ? { inspection } : {}),
      fieldCounts: fieldCountsOf({ job: record, lawn: ground, firm: planned.firm }, await bedsOf(lawn, work)),
    }),
    ...(Object.keys(after).length ? { stands: { after, before: stoodBefore(lawn, Object.keys(after)) } } : {}),
  }
}

/** How its zones were expected to come up; none where the season is not known. */
async function bedsOf(lawn: Lawn, work: AtWork): Promise<SownZone[]> {
  const station = stationOf(lawn, await freshStations(work, localFetch))
  return station ? (JSON.parse(await emergenceTold(work, station, lawn)) as EmergenceTold).zones : []
}

const stoodBefore = ({ zones }: Lawn, ids: readonly string[]): Record<string, ZoneStood> =>
  Object.fromEntries(
    ids.map((id) => {
      const { sward, desirableShare, weedShare, coarseShare, bareShare } = zones[id]!
      return [id, { sward, desirableShare, weedShare, coarseShare, bareShare }]
    }),
  )
