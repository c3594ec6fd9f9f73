import { say } from '#core/explain/message'
import { putDownOn } from '#core/job/states'
import { promiseOf } from '#core/job/promise'
import { confirmSchema } from '#contract/lawn'
import { authorOf } from '../../../../../records/firms'
import { savePlan } from '../../../../../records/jobs'
import { answer } from '../../../../../utils/answer'
import { bodyOf } from '../../../../../utils/ask'
import { nothingHeld } from '../../../../../plans/held'
import { jobAsked } from '../../../../../utils/lawnAsked'
import { Refusal } from '../../../../../utils/refusal'

/** Confirms the schedule: the days it has now, with who and when. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work, 'open')
  const { job, plan } = lawn
  const { version, days } = await bodyOf(event, confirmSchema)
  if (!plan.programme || !plan.sowOn) throw new Refusal(422, 'nothing_to_confirm', say('server.thereIsNoSchedule'))
  // Judged as it would be: on the days that are confirmed.
  const asConfirmed = { ...lawn, plan: { ...plan, work: { ...plan.work, days } } }
  const planned = version === plan.version ? await nothingHeld(asConfirmed, work) : undefined
  const { today } = work
  const told = { sowOn: plan.sowOn, today, currency: work.firm.currency }
  // What is confirmed once seed is down promises nothing any more.
  const promised = putDownOn({ programme: plan.programme, marks: lawn.done }) ? null : promiseOf(planned ?? {}, told)
  const confirmed = { ...plan, version, work: { ...plan.work, days } }
  if (!(await savePlan(authorOf(work), job.id, confirmed, { on: today, promised })))
    throw new Refusal(409, 'conflict', say('server.somebodyChangedThisSchedule'))
  return jobAsked(event, work)
})
