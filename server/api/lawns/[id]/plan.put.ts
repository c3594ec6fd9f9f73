import { planSchema } from '#contract/lawn'
import { labelForbids } from '#core/programme/decide'
import { savePlan } from '../../../records/plans'
import { answer, bodyOf, conflict, Refusal } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const { id, plan: before, applications } = await lawnAsked(event, work)
  const plan = await bodyOf(event, planSchema)
  // A day that stood before the wait was written down is shown as held; it is a new day that is refused.
  const forbidden = plan.sowOn && plan.sowOn !== before.sowOn ? labelForbids(applications, plan.sowOn) : undefined
  if (forbidden) throw new Refusal(422, 'label', forbidden, { sowOn: forbidden })
  if (!(await savePlan(work.firm.id, id, plan))) throw conflict()
  return lawnAsked(event, work)
})
