import { lookSchema } from '#contract/look'
import { authorOf } from '../../../records/firms'
import { saveLook } from '../../../records/lawns'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { conflict } from '../../../utils/refusal'
import { lawnAsked } from '../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  const saved = await saveLook(authorOf(work), id, await bodyOf(event, lookSchema))
  if (!saved) throw conflict(await lawnAsked(event, work))
  return lawnAsked(event, work)
})
