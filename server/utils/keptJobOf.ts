import { schoolsOf } from '#core/job/decision/practices'
import type { Outlook } from '#core/establishment/outlook'
import { keptPlan } from '#core/job/keptJob'
import { planJob } from '#core/job/planJob'
import { NO_SEASON, seasonOfOutlook, type SeasonKnown } from '#core/job/season'
import { firmRecordOf } from '#contract/context'
import type { KeptJob } from '#contract/keptJob'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { paceOf } from '../records/marks'
import { stockLevels } from '../records/stock'
import { freshStations } from '../weather/collect'
import { sillText, stationOf } from '../weather/sill'
import { subjectOf } from '../weather/subject'
import { engine } from './engine'
import { localFetch } from './localFetch'

/** The season of a job as it is known now; none where no station tells of it. */
async function seasonOf(lawn: Lawn, work: AtWork): Promise<SeasonKnown> {
  const station = stationOf(lawn, await freshStations(work, localFetch))
  if (!station) return NO_SEASON
  const { outlook, forecast } = await sillText(work, station, subjectOf(lawn, station, work))
  return seasonOfOutlook(JSON.parse(outlook) as Outlook, forecast)
}

/** A job as it stands, to be kept when it ends: planned here once more, by the same call as everywhere. */
export async function keptJobOf(lawn: Lawn, work: AtWork): Promise<KeptJob> {
  const { jobs: _jobs, job: _job, plan, done: _done, sameClient: _same, sunAwaited: _sun, ...rest } = lawn
  const { savedAt: _at, savedBy: _by, ...survey } = rest
  const ground = groundOf(lawn)
  const { pace } = await paceOf(work.firm.id)
  const firm = firmRecordOf({
    firm: { ...work.firm, schools: schoolsOf(work.firm.schools) },
    today: work.today,
    pace,
    stock: await stockLevels(work.firm.id),
  })
  const planned = planJob(jobOf(lawn), ground, firm, await seasonOf(lawn, work))
  return {
    ground: { ...survey, zones: { ...ground.zones }, measured: { ...ground.measured } },
    plan,
    kept: keptPlan(planned, firm, engine()),
  }
}
