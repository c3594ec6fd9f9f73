import { operationCodeSchema } from '#contract/lawn'
import { undoDone } from '../../../../records/plans'
import { answer } from '../../../../utils/answer'
import { paramOf } from '../../../../utils/ask'
import { lawnAsked } from '../../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  await undoDone(work.firm.id, lawn.id, paramOf(event, 'code', operationCodeSchema, 'operation'))
  return lawnAsked(event, work)
})
