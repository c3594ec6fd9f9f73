import { doneSchema, slipKeySchema } from '#contract/work'
import { addDays, daysBetween } from '#core/quantity/calendar'
import { authorOf } from '../../../../records/firms'
import { markDone } from '../../../../records/workDone'
import { answer } from '../../../../utils/answer'
import { bodyOf, paramOf } from '../../../../utils/ask'
import { notAhead } from '../../../../utils/notAhead'
import { Refusal } from '../../../../utils/refusal'
import { lawnAsked } from '../../../../utils/lawnAsked'

/** Farther back than this is a slip of the finger, not a late entry. */
const MOST_DAYS_BACK = 400

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const slip = paramOf(event, 'slip', slipKeySchema, 'operation')
  const told = await bodyOf(event, doneSchema)
  notAhead(told.doneOn, work.today, 'doneOn')
  if (daysBetween(told.doneOn, work.today) > MOST_DAYS_BACK) {
    throw new Refusal(422, 'invalid', 'That is too long ago.', { doneOn: `Not before ${addDays(work.today, -MOST_DAYS_BACK)}.` })
  }
  if (!(await markDone(authorOf(work), lawn.id, slip, told))) throw new Refusal(422, 'invalid', 'That is more than the whole.', { share: 'More than is left to do: somebody may have marked a part meanwhile.' })
  return lawnAsked(event, work)
})
