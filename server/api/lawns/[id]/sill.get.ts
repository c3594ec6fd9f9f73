import { answer } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'
import { coarseAsked, sillAnswer } from '../../../utils/sillAnswer'
import { lawnSill } from '../../../weather/lawnSill'

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  return sillAnswer(event, () => lawnSill(work, lawn, coarseAsked(event)))
})
