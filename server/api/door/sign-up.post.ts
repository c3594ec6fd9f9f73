import { say } from '#core/explain/message'
import { randomUUID } from 'node:crypto'
import { signUpSchema } from '#contract/firm'
import { foundFirm } from '../../records/firms'
import { answerAnyone } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { addressOf, limited } from '../../utils/limits'
import { hashPassword } from '../../utils/passwords'
import { Refusal } from '../../utils/refusal'
import { zoneKnown } from '../../utils/zoneKnown'
import { enter } from '../../utils/session'
import { signUpOpen } from '../../utils/settings'

export default answerAnyone(async (event) => {
  if (!signUpOpen()) throw new Refusal(403, 'no_sign_up', say('server.thisServerTakesNo'))
  const { firmName, units, currency, timeZone, language, name, email, password } = await bodyOf(event, signUpSchema)
  await limited('new firm, address', addressOf(event))
  await zoneKnown(timeZone)
  const founder = await foundFirm(
    { id: randomUUID(), name: firmName, units, currency, timeZone, language },
    { name, email, passwordHash: await hashPassword(password) },
  )
  if (!founder)
    throw new Refusal(409, 'taken', say('server.thisAddressSignsIn'), {
      email: say('server.thisAddressSignsInSomebodyAlready'),
    })
  await enter(event, founder)
  return { signedIn: true }
})
