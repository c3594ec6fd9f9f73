import { signInSchema } from '#contract/firm'
import { forgetTries } from '../../records/attempts'
import { personAtTheDoor } from '../../records/people'
import { answerAnyone } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { addressOf, limited } from '../../utils/limits'
import { passwordFits } from '../../utils/passwords'
import { Refusal } from '../../utils/refusal'
import { openSession } from '../../utils/session'

export default answerAnyone(async (event) => {
  const { email, password } = await bodyOf(event, signInSchema)
  await limited('sign in, address', addressOf(event))
  await limited('sign in, account', email)
  const person = await personAtTheDoor(email)
  if (!(await passwordFits(person?.passwordHash, password)) || !person) {
    throw new Refusal(401, 'wrong', 'This address and password do not go together.')
  }
  await forgetTries('sign in, account', email)
  await openSession(event, person)
  return { signedIn: true }
})
