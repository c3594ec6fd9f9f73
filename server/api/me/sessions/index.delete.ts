import { authorOf } from '../../../records/firms'
import { endSessions } from '../../../records/sessions'
import { answer } from '../../../utils/answer'
import { leave } from '../../../utils/session'

/** Signs this person out everywhere, here too. */
export default answer(async (event, work) => {
  await endSessions(authorOf(work))
  await leave(event)
  return { signedIn: false }
})
