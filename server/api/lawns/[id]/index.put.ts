import { z } from 'zod'
import { MOST_LOOK_BYTES } from '#contract/look'
import { compute } from '../../../compute/pool'
import { authorOf } from '../../../records/firms'
import { saveLook } from '../../../records/lawns'
import { answer } from '../../../utils/answer'
import { bytesOf } from '../../../utils/ask'
import { conflict } from '../../../utils/refusal'
import { lawnAsked } from '../../../utils/lawnAsked'
import { sunFollows } from '../../../utils/sunFollows'

/** A survey: judged and measured beside this thread, since a drawing may be intricate; saved at once, and its sun follows. */
export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  const judged = await compute('judgeLook', { bytes: await bytesOf(event, 'application/json', MOST_LOOK_BYTES) })
  if (!judged.ok) throw new z.ZodError(judged.issues)
  if (!(await saveLook(authorOf(work), id, judged.look, judged.areasM2))) throw conflict(await lawnAsked(event, work))
  const saved = await lawnAsked(event, work)
  return (await sunFollows(work.firm.id, saved)) ? lawnAsked(event, work) : saved
})
