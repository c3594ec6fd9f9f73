import { stockMoveSchema } from '#contract/stock'
import { authorOf } from '../../../records/firms'
import { moveStock, stockOf } from '../../../records/stock'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { notAhead } from '../../../utils/notAhead'
import { stockAsked } from '../../../utils/stockAsked'

export default answer(async (event, work) => {
  const { id } = await stockAsked(event, work)
  const move = await bodyOf(event, stockMoveSchema)
  notAhead(move.day, work.today, 'day')
  await moveStock(authorOf(work), id, move)
  return stockOf(work.firm.id)
})
