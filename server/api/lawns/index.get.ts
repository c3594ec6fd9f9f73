import { lawnsAskedSchema } from '#contract/list'
import { listedLawns } from '../../records/listed'
import { answer, asJson } from '../../utils/answer'
import { queryOf } from '../../utils/ask'
import { engine } from '../../utils/engine'

/** Lawns by what is due, a page at once: the first fills a screen while the rest is on its way. */
export default answer(async (event, { firm }) =>
  asJson(event, await listedLawns(firm.id, engine(), queryOf(event, lawnsAskedSchema))),
)
