import { stockEditSchema } from '#contract/stock'
import { editStock, stockOf } from '../../../records/stock'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { Refusal } from '../../../utils/refusal'
import { stockAsked } from '../../../utils/stockAsked'

export default answer(async (event, work) => {
  const { id } = await stockAsked(event, work)
  if (!(await editStock(work.firm.id, id, await bodyOf(event, stockEditSchema))))
    throw new Refusal(
      409,
      'changed',
      'Somebody changed this line meanwhile. Nothing of yours was kept; here it is as it now stands.',
    )
  return stockOf(work.firm.id)
})
