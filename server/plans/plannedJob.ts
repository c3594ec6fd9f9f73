import { allPractices } from '#core/job/decision/usualPractices'
import { readOutlook, type OutlookTold } from '#core/establishment/outlookTold'
import type { FirmRecord } from '#core/job/records'
import { planJob, type JobPlan } from '#core/job/planJob'
import { NO_SEASON, seasonOfOutlook, type SeasonKnown } from '#core/job/season'
import { firmRecordOf } from '#contract/context'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { countedOf } from '../records/counted'
import { freshStations } from '../weather/collect'
import { sillText } from '../weather/sill'
import { stationOf } from '../weather/stationOf'
import { subjectOf } from '../weather/subject'
import { localFetch } from '../utils/localFetch'

/** The season of a job as it is known now; none where no station tells of it. */
async function seasonOf(lawn: Lawn, work: AtWork): Promise<SeasonKnown> {
  const station = stationOf(lawn, await freshStations(work, localFetch))
  if (!station) return NO_SEASON
  const { outlook, forecast } = await sillText(work, station, subjectOf(lawn, station, work), { coarse: false })
  return seasonOfOutlook(readOutlook(JSON.parse(outlook) as OutlookTold), forecast)
}

/** The firm at work as its jobs are planned. */
export async function firmOf({ firm, today }: AtWork): Promise<FirmRecord> {
  const practice = await countedOf(firm.id)
  return firmRecordOf({ firm: { ...firm, practices: allPractices(firm.practices) }, today, ...practice })
}

/** The job in view as it stands, planned by the same call as everywhere. */
export async function plannedJob(lawn: Lawn, work: AtWork): Promise<{ firm: FirmRecord; plan: JobPlan }> {
  const [firm, season] = await Promise.all([firmOf(work), seasonOf(lawn, work)])
  return { firm, plan: planJob(jobOf(lawn), groundOf(lawn), firm, season) }
}
