import { say } from '#core/explain/message'
import { secondFactorSchema } from '#contract/firm'
import { authorOf } from '../../../records/firms'
import { secondFactorOf, turnSecondFactorOn } from '../../../records/secondFactors'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { addressOf, passwordTried } from '../../../utils/limits'
import { Refusal } from '../../../utils/refusal'
import { newRecoveryCodes, stepOf } from '../../../utils/secondFactor'

/**
 * Confirms the device by a code of it. Answers with the recovery codes: told once, since only their hashes are kept.
 */
export default answer(async (event, work) => {
  const { code } = await bodyOf(event, secondFactorSchema)
  const { secret, on } = await secondFactorOf(authorOf(work))
  if (secret === null || on) throw new Refusal(409, 'nothing_to_confirm', say('server.thereIsNothingTo'))
  await passwordTried({ account: work.person.email, address: addressOf(event), known: true })
  const step = stepOf(secret, code)
  const message = say('server.thatIsNotThe')
  if (step === undefined) throw new Refusal(422, 'wrong_code', message, { code: message })
  const { codes, hashes } = newRecoveryCodes()
  if (!(await turnSecondFactorOn(authorOf(work), secret, step, hashes)))
    throw new Refusal(409, 'on', say('server.aSecondFactorWas'))
  return { codes }
}, 'owner')
