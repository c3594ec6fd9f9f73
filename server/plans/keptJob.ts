import { keptPlan } from '#core/job/keptJob'
import type { KeptJob } from '#contract/keptJob'
import { groundOf, type Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { engine } from '../utils/engine'
import { plannedJob } from './plannedJob'

/** A job as it stands, to be kept when it ends. */
export async function keptJobOf(lawn: Lawn, work: AtWork): Promise<KeptJob> {
  const { jobs: _jobs, job: _job, plan, done: _done, seen: _seen, sameClient: _same, sunAwaited: _sun, ...rest } = lawn
  const { savedAt: _at, savedBy: _by, ...survey } = rest
  const { zones, measured } = groundOf(lawn)
  const planned = await plannedJob(lawn, work)
  return {
    ground: { ...survey, zones: { ...zones }, measured: { ...measured } },
    plan,
    kept: keptPlan(planned.plan, planned.firm, engine()),
  }
}
