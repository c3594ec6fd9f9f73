import { doneSchema, operationCodeSchema } from '#contract/lawn'
import { addDays, daysBetween, shortDay } from '#core/quantity/calendar'
import { authorOf } from '../../../../records/firms'
import { markDone } from '../../../../records/plans'
import { answer } from '../../../../utils/answer'
import { bodyOf, paramOf } from '../../../../utils/ask'
import { Refusal } from '../../../../utils/refusal'
import { lawnAsked } from '../../../../utils/lawnAsked'

/** Farther back than this is a slip of the finger, not a late entry. */
const MOST_DAYS_BACK = 400

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const code = paramOf(event, 'code', operationCodeSchema, 'operation')
  const { doneOn } = await bodyOf(event, doneSchema)
  if (doneOn > work.today) throw new Refusal(422, 'invalid', 'This day has not come yet.', { doneOn: `Not after today, ${shortDay(work.today)}.` })
  if (daysBetween(doneOn, work.today) > MOST_DAYS_BACK) {
    throw new Refusal(422, 'invalid', 'That is too long ago.', { doneOn: `Not before ${addDays(work.today, -MOST_DAYS_BACK)}.` })
  }
  await markDone(authorOf(work), lawn.id, code, doneOn)
  return lawnAsked(event, work)
})
