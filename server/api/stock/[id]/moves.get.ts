import { movesOfStock } from '../../../records/stock'
import { answer } from '../../../utils/answer'
import { stockAsked } from '../../../utils/stockAsked'

/** As many as a season writes. */
const MOST_MOVES = 200

export default answer(async (event, work) => movesOfStock(work.firm.id, (await stockAsked(event, work)).id, MOST_MOVES))
