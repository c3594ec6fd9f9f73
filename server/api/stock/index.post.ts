import { say } from '#core/explain/message'
import { newStockSchema } from '#contract/stock'
import { authorOf } from '../../records/firms'
import { addStock, stockOf } from '../../records/stock'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { notAhead } from '../../utils/notAhead'
import { Refusal } from '../../utils/refusal'

export default answer(async (event, work) => {
  const wanted = await bodyOf(event, newStockSchema)
  notAhead(wanted.day, work.today, 'day')
  if (!(await addStock(authorOf(work), wanted))) throw new Refusal(409, 'taken', say('server.thisLineCouldNot'))
  return stockOf(work.firm.id)
})
