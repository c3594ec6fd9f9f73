import { stockOf } from '../../records/stock'
import { answer } from '../../utils/answer'

export default answer(async (_event, { firm }) => stockOf(firm.id))
