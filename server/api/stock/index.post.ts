import { newStockSchema } from '#contract/stock'
import { authorOf } from '../../records/firms'
import { addStock, stockOf } from '../../records/stock'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { notAhead } from '../../utils/notAhead'

export default answer(async (event, work) => {
  const wanted = await bodyOf(event, newStockSchema)
  notAhead(wanted.day, work.today, 'day')
  await addStock(authorOf(work), wanted)
  return stockOf(work.firm.id)
})
