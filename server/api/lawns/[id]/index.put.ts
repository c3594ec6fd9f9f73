import { lookSchema } from '#contract/lawn'
import { saveLook } from '../../../records/lawns'
import { answer, bodyOf, conflict } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  const saved = await saveLook(work.firm.id, id, await bodyOf(event, lookSchema))
  if (!saved) throw conflict()
  return lawnAsked(event, work)
})
