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
  if (work.firm.demo) throw new Refusal(409, 'demo', 'The people of the demo have no password.')
  const at = { account: work.person.email, address: addressOf(event), known: true }
  await passwordTried(at)
  if (!(await passwordFits(await passwordHashOf(authorOf(work)), current))) {
    throw new Refusal(422, 'wrong', 'That is not your password now.', { current: 'That is not your password now.' })
  }
  await forgetTries(at)
}
