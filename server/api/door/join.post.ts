import { say } from '#core/explain/message'
import { joinSchema } from '#contract/firm'
import { useLink } from '../../records/people'
import { answerAnyone } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { linkSpent, openLink } from '../../utils/links'
import { hashPassword } from '../../utils/passwords'
import { Refusal } from '../../utils/refusal'
import { secondFactorGiven } from '../../utils/secondFactor'
import { enter } from '../../utils/session'

/**
 * Uses a link up: joins a firm, or sets a new password; signed in after. A new password is no way round a second
 * factor.
 */
export default answerAnyone(async (event) => {
  const { secret, password, name, email, code } = await bodyOf(event, joinSchema)
  const link = await openLink(event, secret)
  if (link.kind === 'invitation' && !(name && email)) {
    throw new Refusal(422, 'invalid', say('server.someFieldsNeedAnother'), {
      ...(name ? {} : { name: say('server.enterAName') }),
      ...(email ? {} : { email: say('server.enterYourEMail') }),
    })
  }
  if (link.personId) await secondFactorGiven({ firmId: link.firmId, personId: link.personId }, code)
  const used = await useLink(link, await hashPassword(password), name && email ? { name, email } : undefined)
  if (used === 'used') throw linkSpent()
  if (used === 'address taken')
    throw new Refusal(409, 'taken', say('server.thisAddressSignsIn'), {
      email: say('server.thisAddressSignsInSomebody'),
    })
  await enter(event, used)
  return { signedIn: true }
})
