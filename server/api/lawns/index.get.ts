import { lawnsAskedSchema } from '#contract/list'
import { answer, asJson } from '../../utils/answer'
import { queryOf } from '../../utils/ask'
import { engine } from '../../utils/engine'
import { listNow } from '../../utils/firmNow'

/** Lawns by what is due, a page at once: the first fills a screen while the rest is on its way. */
export default answer(async (event, work) =>
  asJson(event, await listNow(work, engine(), queryOf(event, lawnsAskedSchema))),
)
