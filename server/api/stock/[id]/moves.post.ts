import { say } from '#core/explain/message'
import { stockMoveSchema } from '#contract/stock'
import { authorOf } from '../../../records/firms'
import { MOST_ON_HAND, moveStock, stockOf } from '../../../records/stock'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { notAhead } from '../../../utils/notAhead'
import { Refusal } from '../../../utils/refusal'
import { stockAsked } from '../../../utils/stockAsked'

export default answer(async (event, work) => {
  const { id } = await stockAsked(event, work)
  const move = await bodyOf(event, stockMoveSchema)
  notAhead(move.day, work.today, 'day')
  if (!(await moveStock(authorOf(work), id, move)))
    throw new Refusal(422, 'invalid', say('server.thatIsMoreThanAny'), {
      amount: say('server.noLineSaysMore', { MOST_ON_HAND: MOST_ON_HAND.toLocaleString('en-US') }),
    })
  return stockOf(work.firm.id)
})
