import { outlinesAskedSchema } from '#contract/list'
import { outlinesToday } from '../plans/outlines'
import { answer } from '../utils/answer'
import { queryOf } from '../utils/ask'

/** What the list says of the lawns asked for, as of today. Long work, done beside the server's own thread. */
export default answer((event, work) => {
  const { of, coarse } = queryOf(event, outlinesAskedSchema)
  return outlinesToday(work, of, { coarse: coarse !== undefined, gone: () => event.node.req.destroyed })
})
