import { passwordChangeSchema } from '#contract/firm'
import { authorOf } from '../../records/firms'
import { changePassword } from '../../records/people'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { ownPasswordGiven } from '../../utils/ownPassword'
import { hashPassword } from '../../utils/passwords'

/** Ends every other session of this person. */
export default answer(async (event, work) => {
  const { current, password } = await bodyOf(event, passwordChangeSchema)
  await ownPasswordGiven(event, work, current)
  await changePassword(authorOf(work), await hashPassword(password), work.session.id)
  return { changed: true }
})
