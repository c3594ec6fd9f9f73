import { z } from 'zod'
import { idSchema } from '#contract/fields'
import { jobAskedSchema } from '#contract/lawn'
import { MOST_LOOK_BYTES } from '#contract/look'
import { compute } from '../../../compute/pool'
import { authorOf } from '../../../records/firms'
import { lawnById, saveKeptLook } from '../../../records/lawns'
import { answer } from '../../../utils/answer'
import { bytesOf, paramOf, queryOf } from '../../../utils/ask'
import { conflict } from '../../../utils/refusal'
import { keepDemand } from '../../../plans/demand'
import { lawnAsked } from '../../../utils/lawnAsked'
import { sunFollows } from '../../../utils/sunFollows'

/**
 * A survey: judged and measured beside this thread, since a drawing may be intricate; saved at once, and its sun
 * follows.
 */
export default answer(async (event, work) => {
  const id = paramOf(event, 'id', idSchema, 'lawn')
  const { job } = queryOf(event, jobAskedSchema)
  const bytes = await bytesOf(event, 'application/json', MOST_LOOK_BYTES)
  const judged = await compute('judgeLook', { bytes, today: work.today })
  if (!judged.ok) throw new z.ZodError(judged.issues)
  // Another firm's lawn is not there to be asked for; one of ours was saved by somebody else.
  if (!(await saveKeptLook(authorOf(work), { id, jobId: job }, judged.kept)))
    throw conflict(await lawnAsked(event, work))
  const saved = await lawnAsked(event, work)
  for (const { id: open, endedOn } of saved.jobs)
    if (!endedOn) await keepDemand(open === saved.job.id ? saved : (await lawnById(work.firm.id, id, open))!, work)
  return (await sunFollows(work.firm.id, saved)) ? lawnAsked(event, work) : saved
})
