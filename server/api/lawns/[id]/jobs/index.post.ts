import { say } from '#core/explain/message'
import { newJobSchema } from '#contract/lawn'
import { authorOf } from '../../../../records/firms'
import { startJob } from '../../../../records/jobEnds'
import { lawnById } from '../../../../records/lawns'
import { answer } from '../../../../utils/answer'
import { bodyOf } from '../../../../utils/ask'
import { lawnAsked } from '../../../../utils/lawnAsked'
import { Refusal } from '../../../../utils/refusal'

/** The next job on zones of a lawn that are in no open one. */
export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  const job = await bodyOf(event, newJobSchema)
  if (!(await startJob(authorOf(work), id, { ...job, begunOn: work.today })))
    throw new Refusal(409, 'zone_taken', say('server.oneOfTheseZones'))
  return (await lawnById(work.firm.id, id, job.id))!
})
