import { say } from '#core/explain/message'
import { reopenJob } from '../../../../../records/jobEnds'
import { answer } from '../../../../../utils/answer'
import { keepDemand } from '../../../../../plans/demand'
import { jobAsked } from '../../../../../utils/lawnAsked'
import { Refusal } from '../../../../../utils/refusal'

/** Takes the end of a job back; one that is open stays so. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work)
  if (!lawn.job.endedOn) return lawn
  if (!(await reopenJob(work.firm.id, { lawnId: lawn.id, jobId: lawn.job.id })))
    throw new Refusal(409, 'zone_taken', say('server.aZoneOfThis'))
  const now = await jobAsked(event, work)
  await keepDemand(now, work)
  return now
})
