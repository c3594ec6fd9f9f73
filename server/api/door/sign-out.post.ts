import { answerAnyone } from '../../utils/answer'
import { closeSession } from '../../utils/session'

/** Works for who is signed out already: a second click is no error. */
export default answerAnyone(async (event) => {
  await closeSession(event)
  return { signedIn: false }
})
