import { say } from '#core/explain/message'
import type { EndedJob } from '#contract/keptJob'
import { recordOf } from '../../../../../records/jobEnds'
import { answer } from '../../../../../utils/answer'
import { jobAsked } from '../../../../../utils/lawnAsked'
import { Refusal } from '../../../../../utils/refusal'

/** A job that has ended, as it was. */
export default answer(async (event, work): Promise<EndedJob> => {
  const { job, done } = await jobAsked(event, work)
  const kept = await recordOf(work.firm.id, job.id)
  if (!kept) throw new Refusal(409, 'open', say('server.thisJobIsOpen'))
  return { ...kept, job, done }
})
