import { answer } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'
import { sunFollows } from '../../../utils/sunFollows'

/** A lawn. Where its sun is still awaited, as after a restart, it is worked out now. */
export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  return (await sunFollows(work.firm.id, lawn)) ? lawnAsked(event, work, true) : lawn
})
