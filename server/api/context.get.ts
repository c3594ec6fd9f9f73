import type { Context } from '#contract/context'
import { allPractices } from '#core/job/decision/practices'
import { countedOf } from '../records/counted'
import { answer } from '../utils/answer'

export default answer(async (_event, { firm, person, today }): Promise<Context> => ({
  firm: { ...firm, practices: allPractices(firm.practices) },
  person,
  today,
  ...(await countedOf(firm.id)),
}))
