import { say } from '#core/explain/message'
import { endJobSchema } from '#contract/lawn'
import { authorOf } from '../../../../../records/firms'
import { endJob } from '../../../../../records/jobEnds'
import { answer } from '../../../../../utils/answer'
import { bodyOf } from '../../../../../utils/ask'
import { keptJobOf } from '../../../../../plans/keptJob'
import { jobAsked } from '../../../../../utils/lawnAsked'
import { Refusal } from '../../../../../utils/refusal'

/** Closes a job or calls it off; how it was is kept. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work, 'open')
  const { takeStands, ...end } = await bodyOf(event, endJobSchema)
  const kept = { ...end, endedOn: work.today, record: await keptJobOf(lawn, work, takeStands) }
  if (!(await endJob(authorOf(work), { lawnId: lawn.id, jobId: lawn.job.id }, kept)))
    throw new Refusal(409, 'conflict', say('server.somebodyChangedOrEnded'))
  return jobAsked(event, work)
})
