import { authorOf } from '../../records/firms'
import { endSessions } from '../../records/people'
import { answer } from '../../utils/answer'
import { closeSession } from '../../utils/session'

/** Signs this person out everywhere, here too. */
export default answer(async (event, work) => {
  await endSessions(authorOf(work))
  await closeSession(event)
  return { signedIn: false }
})
