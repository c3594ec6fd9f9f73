import { say } from '#core/explain/message'
import { stockEditSchema } from '#contract/stock'
import { editStock, stockOf } from '../../../records/stock'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { Refusal } from '../../../utils/refusal'
import { stockAsked } from '../../../utils/stockAsked'

export default answer(async (event, work) => {
  const { id } = await stockAsked(event, work)
  if (!(await editStock(work.firm.id, id, await bodyOf(event, stockEditSchema))))
    throw new Refusal(409, 'changed', say('server.somebodyChangedThisLine'))
  return stockOf(work.firm.id)
})
