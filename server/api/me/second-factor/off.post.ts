import { passwordSchema } from '#contract/firm'
import { authorOf } from '../../../records/firms'
import { turnSecondFactorOff } from '../../../records/secondFactors'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { ownPasswordGiven } from '../../../utils/ownPassword'

export default answer(async (event, work) => {
  await ownPasswordGiven(event, work, (await bodyOf(event, passwordSchema)).current)
  await turnSecondFactorOff(authorOf(work))
  return { on: false }
})
