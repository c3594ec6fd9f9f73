import { slipKeySchema } from '#contract/work'
import { undoDone } from '../../../../records/workDone'
import { answer } from '../../../../utils/answer'
import { paramOf } from '../../../../utils/ask'
import { lawnAsked } from '../../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  await undoDone(work.firm.id, lawn.id, paramOf(event, 'slip', slipKeySchema, 'operation'))
  return lawnAsked(event, work)
})
