import { say } from '#core/explain/message'
import { newLawnSchema } from '#contract/newLawn'
import { authorOf } from '../../records/firms'
import { addLawn } from '../../records/lawns'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { Refusal } from '../../utils/refusal'

export default answer(async (event, work) => {
  const lawn = await addLawn(authorOf(work), await bodyOf(event, newLawnSchema))
  if (!lawn) throw new Refusal(409, 'taken', say('server.thisCouldNotBe'))
  return lawn
})
