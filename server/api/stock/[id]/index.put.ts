import { stockEditSchema } from '#contract/stock'
import { editStock, stockOf } from '../../../records/stock'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { conflict } from '../../../utils/refusal'
import { stockAsked } from '../../../utils/stockAsked'

export default answer(async (event, work) => {
  const { id } = await stockAsked(event, work)
  if (!(await editStock(work.firm.id, id, await bodyOf(event, stockEditSchema)))) throw conflict(await stockAsked(event, work))
  return stockOf(work.firm.id)
})
