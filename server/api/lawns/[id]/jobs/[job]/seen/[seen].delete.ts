import { idSchema } from '#contract/fields'
import { forgetSeen } from '../../../../../../records/observations'
import { answer } from '../../../../../../utils/answer'
import { paramOf } from '../../../../../../utils/ask'
import { jobAsked } from '../../../../../../utils/lawnAsked'

/** Takes back what was seen; twice is no error. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work, 'open')
  await forgetSeen(work.firm.id, lawn.job.id, paramOf(event, 'seen', idSchema, 'note'))
  return jobAsked(event, work)
})
