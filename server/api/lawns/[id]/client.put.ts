import { clientReadsSchema } from '#contract/firm'
import { clientReads } from '../../../records/clients'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { lawnAsked } from '../../../utils/lawnAsked'

/** In which language and units the client reads what is written for them. */
export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  await clientReads(work.firm.id, id, await bodyOf(event, clientReadsSchema))
  return lawnAsked(event, work, true)
})
