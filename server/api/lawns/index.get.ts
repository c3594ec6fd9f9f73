import { lawnsAskedSchema } from '#contract/lawn'
import { lawnsOf } from '../../records/lawns'
import { answer } from '../../utils/answer'
import { queryOf } from '../../utils/ask'

/** All lawns, or the first so many by what is due: enough to fill a screen while the rest is on its way. */
export default answer((event, { firm }) => lawnsOf(firm.id, queryOf(event, lawnsAskedSchema)))
