import { say } from '#core/explain/message'
import { toString as qrCode } from 'qrcode'
import { passwordSchema, type SecondFactorProposed } from '#contract/firm'
import { authorOf } from '../../../records/firms'
import { proposeSecondFactor } from '../../../records/secondFactors'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { ownPasswordGiven } from '../../../utils/ownPassword'
import { Refusal } from '../../../utils/refusal'
import { newTotpSecret } from '../../../utils/secondFactor'

/** A new secret for an authenticator; it counts once a code of it was entered. */
export default answer(async (event, work): Promise<SecondFactorProposed> => {
  const { current } = await bodyOf(event, passwordSchema)
  await ownPasswordGiven(event, work, current)
  const { secret, address, sealed } = newTotpSecret(work.person.email)
  if (!(await proposeSecondFactor(authorOf(work), sealed))) throw new Refusal(409, 'on', say('server.aSecondFactorIs'))
  return { secret, address, qrSvg: await qrCode(address, { type: 'svg', margin: 2 }) }
}, 'owner')
