import { passwordChangeSchema } from '#contract/firm'
import { authorOf } from '../../records/firms'
import { changePassword, passwordHashOf } from '../../records/people'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { limited } from '../../utils/limits'
import { hashPassword, passwordFits } from '../../utils/passwords'
import { Refusal } from '../../utils/refusal'
import { openSession } from '../../utils/session'

/** Ends every other session of this person. */
export default answer(async (event, work) => {
  const { current, password } = await bodyOf(event, passwordChangeSchema)
  if (work.firm.demo) throw new Refusal(409, 'demo', 'The people of the demo have no password.')
  await limited('sign in, account', work.person.email)
  if (!(await passwordFits(await passwordHashOf(authorOf(work)), current))) {
    throw new Refusal(422, 'wrong', 'That is not your password now.', { current: 'That is not your password now.' })
  }
  await openSession(event, await changePassword(authorOf(work), await hashPassword(password)))
  return { changed: true }
})
