import { say, shortDay } from '#core/explain/message'
import { markSchema } from '#contract/work'
import { addDays, daysBetween } from '#core/measure/calendar'
import { authorOf } from '../../../../../../records/firms'
import { markDone } from '../../../../../../records/marks'
import { answer } from '../../../../../../utils/answer'
import { bodyOf } from '../../../../../../utils/ask'
import { notAhead } from '../../../../../../utils/notAhead'
import { Refusal } from '../../../../../../utils/refusal'
import { keepDemand } from '../../../../../../plans/demand'
import { wantsNote } from '../../../../../../plans/held'
import { jobAsked } from '../../../../../../utils/lawnAsked'

/** Farther back than this is a slip of the finger, not a late entry. */
const MOST_DAYS_BACK = 400

/** Work marked done, whole or in part. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work, 'open')
  const told = await bodyOf(event, markSchema)
  notAhead(told.doneOn, work.today, 'doneOn')
  if (daysBetween(told.doneOn, work.today) > MOST_DAYS_BACK) {
    throw new Refusal(422, 'invalid', say('server.thatIsTooLong'), {
      doneOn: say('server.notBefore', { today: addDays(work.today, -MOST_DAYS_BACK) }),
    })
  }
  const held = await wantsNote(lawn, work, told)
  const mark = held ? told : { ...told, against: '' }
  const marked = await markDone(authorOf(work), { lawnId: lawn.id, jobId: lawn.job.id }, mark)
  if (marked === 'more than the whole')
    throw new Refusal(422, 'invalid', say('server.thatIsMoreThan'), {
      share: say('server.moreThanIsLeft'),
    })
  if (marked === 'other mark') throw new Refusal(409, 'taken', say('server.thisMarkCouldNot'))
  const now = await jobAsked(event, work)
  if (marked === 'kept') {
    await keepDemand(now, work)
    return now
  }
  const last = now.done.filter(({ key }) => key === told.task).at(-1)
  throw new Refusal(
    409,
    'done_already',
    last
      ? say('server.markedThisDoneAlready', {
          savedBy: last.savedBy ?? say('shell.somebody'),
          doneOn: shortDay(last.doneOn, work.today),
        })
      : say('server.thisMarkCouldNot'),
  )
})
