import { idSchema } from '#contract/fields'
import { authorOf } from '../../../records/firms'
import { endSession, sessionsOf } from '../../../records/sessions'
import { answer } from '../../../utils/answer'
import { paramOf } from '../../../utils/ask'

/** Signs this person out in one browser; twice is no error. */
export default answer(async (event, work) => {
  const of = authorOf(work)
  await endSession(of, paramOf(event, 'session', idSchema, 'session'))
  return sessionsOf(of, work.session.id)
})
