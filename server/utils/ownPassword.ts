import { say } from '#core/explain/message'
import type { H3Event } from 'h3'
import { forgetTries } from '../records/attempts'
import { authorOf, type AtWork } from '../records/firms'
import { passwordHashOf } from '../records/people'
import { addressOf, passwordTried } from './limits'
import { passwordFits } from './passwords'
import { Refusal } from './refusal'

/**
 * Before something of one's own is changed: the password again. @throws Refusal where it is another, or too many were
 * tried
 */
export async function ownPasswordGiven(event: H3Event, work: AtWork, current: string): Promise<void> {
  if (work.firm.demo) throw new Refusal(409, 'demo', say('server.thePeopleOfThe'))
  const at = { account: work.person.email, address: addressOf(event), known: true }
  await passwordTried(at)
  if (!(await passwordFits(await passwordHashOf(authorOf(work)), current))) {
    throw new Refusal(422, 'wrong', say('server.thatIsNotYour'), { current: say('server.thatIsNotYour') })
  }
  await forgetTries(at)
}
