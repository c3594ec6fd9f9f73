import { inspectionOf, standsAfter } from '#core/job/inspection'
import { keptPlan } from '#core/job/keptJob'
import type { KeptJob, ZoneStood } from '#contract/keptJob'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { engine } from '../utils/engine'
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
    kept: keptPlan(planned.plan, planned.firm, engine(), inspection),
    ...(Object.keys(after).length ? { stands: { after, before: stoodBefore(lawn, Object.keys(after)) } } : {}),
  }
}

const stoodBefore = ({ zones }: Lawn, ids: readonly string[]): Record<string, ZoneStood> =>
  Object.fromEntries(
    ids.map((id) => {
      const { sward, desirableShare, weedShare, coarseShare, bareShare } = zones[id]!
      return [id, { sward, desirableShare, weedShare, coarseShare, bareShare }]
    }),
  )
