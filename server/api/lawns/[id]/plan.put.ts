import { planSchema } from '#contract/lawn'
import { savePlan } from '../../../records/plans'
import { answer, bodyOf, conflict } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const { id } = await lawnAsked(event, work)
  const saved = await savePlan(work.firm.id, id, await bodyOf(event, planSchema))
  if (!saved) throw conflict()
  return lawnAsked(event, work)
})
