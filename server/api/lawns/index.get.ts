import { lawnsAskedSchema } from '#contract/lawn'
import { lawnsOf } from '../../records/lawns'
import { answer } from '../../utils/answer'
import { queryOf } from '../../utils/ask'
import { sunFollows } from '../../utils/sunFollows'

/** Lawns by what is due, a page at once: the first fills a screen while the rest is on its way. */
export default answer(async (event, { firm }) => {
  const lawns = await lawnsOf(firm.id, queryOf(event, lawnsAskedSchema))
  // Where a server ended before the sun of a saved plan was there, it is worked out by whoever lists the lawn next.
  for (const lawn of lawns) if (lawn.sunAwaited) void sunFollows(firm.id, lawn).catch(() => undefined)
  return lawns
})
