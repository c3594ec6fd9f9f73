import { idSchema } from '#contract/fields'
import { undoMark } from '../../../../records/workDone'
import { answer } from '../../../../utils/answer'
import { paramOf } from '../../../../utils/ask'
import { lawnAsked } from '../../../../utils/lawnAsked'

/** Takes one mark back; twice is no error. */
export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  await undoMark(work.firm.id, lawn.id, paramOf(event, 'mark', idSchema, 'mark'))
  return lawnAsked(event, work)
})
