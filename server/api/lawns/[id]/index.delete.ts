import { removeLawn } from '../../../records/lawns'
import { answer } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  return { removed: await removeLawn(work.firm.id, id) }
})
