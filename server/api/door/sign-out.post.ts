import { answerAnyone } from '../../utils/answer'
import { leave } from '../../utils/session'

/** Works for who is signed out already: a second click is no error. */
export default answerAnyone(async (event) => {
  await leave(event)
  return { signedIn: false }
})
