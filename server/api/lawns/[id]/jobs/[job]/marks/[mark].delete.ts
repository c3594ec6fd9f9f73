import { idSchema } from '#contract/fields'
import { undoMark } from '../../../../../../records/marks'
import { answer } from '../../../../../../utils/answer'
import { paramOf } from '../../../../../../utils/ask'
import { keepDemand } from '../../../../../../plans/demand'
import { jobAsked } from '../../../../../../utils/lawnAsked'

/** Takes one mark back; twice is no error. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work, 'open')
  await undoMark(work.firm.id, lawn.job.id, paramOf(event, 'mark', idSchema, 'mark'))
  const now = await jobAsked(event, work)
  await keepDemand(now, work)
  return now
})
