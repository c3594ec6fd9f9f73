import { ownUnitsSchema } from '#contract/firm'
import { authorOf } from '../../records/firms'
import { saveOwnUnits } from '../../records/people'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'

export default answer(async (event, work) => {
  const { units } = await bodyOf(event, ownUnitsSchema)
  await saveOwnUnits(authorOf(work), units)
  return { units }
})
