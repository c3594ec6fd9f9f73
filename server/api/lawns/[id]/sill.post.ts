import { settingsTriedSchema } from '#contract/lawn'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { lawnAsked } from '../../../utils/lawnAsked'
import { coarseAsked, sillAnswer } from '../../../utils/sillAnswer'
import { lawnSill } from '../../../weather/lawnSill'

/** The season of a lawn by settings that are tried out; nothing of the plan changes. */
export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const { settings } = await bodyOf(event, settingsTriedSchema)
  return sillAnswer(event, () => lawnSill(work, { ...lawn, plan: { ...lawn.plan, settings } }, coarseAsked(event)))
})
