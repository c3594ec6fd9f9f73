import { say } from '#core/explain/message'
import { groundOf, planSchema, pricesChanged } from '#contract/lawn'
import { dayOutOfReach } from '#core/job/decision/dayInReach'
import { labelForbids } from '#core/job/decision/decide'
import { putOn } from '#core/job/lawn'
import { isSeeded } from '#core/job/planJob'
import { planningOf } from '#core/job/planningFigures'
import { authorOf } from '../../../../../records/firms'
import { savePlan } from '../../../../../records/jobs'
import { answer } from '../../../../../utils/answer'
import { bodyOf } from '../../../../../utils/ask'
import { conflict, Refusal } from '../../../../../utils/refusal'
import { keepDemand } from '../../../../../plans/demand'
import { jobAsked } from '../../../../../utils/lawnAsked'

export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work, 'open')
  const { plan: before } = lawn
  const plan = await bodyOf(event, planSchema)
  if (plan.version !== before.version) throw conflict(before)
  // A day that stood before the wait was written down is shown as held; it is a new day that is refused.
  const newDay = plan.sowOn !== before.sowOn ? plan.sowOn : null
  const unreached = newDay && dayOutOfReach(newDay, work.today)
  if (unreached) throw new Refusal(422, 'day', unreached, { sowOn: unreached })
  const forbidden =
    newDay && isSeeded(plan) ? labelForbids(putOn(groundOf(lawn), planningOf(work.firm.planning)), newDay) : undefined
  if (forbidden) throw new Refusal(422, 'label', forbidden, { sowOn: forbidden })
  if (work.person.role !== 'owner' && pricesChanged(before.settings, plan.settings).length) {
    throw new Refusal(403, 'owner_only', say('server.pricesArePutIn'))
  }
  if (!(await savePlan(authorOf(work), lawn.job.id, plan))) throw conflict((await jobAsked(event, work)).plan)
  const saved = await jobAsked(event, work)
  await keepDemand(saved, work)
  return saved
})
