import { say } from '#core/explain/message'
import { signInSchema } from '#contract/firm'
import { forgetTries } from '../../records/attempts'
import { personAtTheDoor } from '../../records/people'
import { answerAnyone } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { addressHashOf, addressOf, limited, passwordTried } from '../../utils/limits'
import { passwordFits } from '../../utils/passwords'
import { Refusal } from '../../utils/refusal'
import { secondFactorGiven } from '../../utils/secondFactor'
import { enter } from '../../utils/session'

export default answerAnyone(async (event) => {
  const { email, password, code } = await bodyOf(event, signInSchema)
  await limited('sign in, address', addressOf(event))
  const person = await personAtTheDoor(email)
  const at = {
    account: email,
    address: addressOf(event),
    known: person?.knownAt.includes(addressHashOf(event)) ?? false,
  }
  await passwordTried(at)
  if (!(await passwordFits(person?.passwordHash, password)) || !person) {
    throw new Refusal(401, 'wrong', say('server.thisAddressAndPassword'))
  }
  await secondFactorGiven(person, code)
  await forgetTries(at)
  await enter(event, person)
  return { signedIn: true }
})
