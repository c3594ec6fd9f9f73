import type { Context } from '#contract/context'
import { schoolsOf } from '#core/job/decision/practices'
import { paceOf } from '../records/marks'
import { spokenFor, stockLevels } from '../records/stock'
import { answer } from '../utils/answer'

export default answer(async (_event, { firm, person, today }): Promise<Context> => ({
  firm: { ...firm, schools: schoolsOf(firm.schools) },
  person,
  today,
  ...(await paceOf(firm.id)),
  stock: await stockLevels(firm.id),
  spokenFor: await spokenFor(firm.id),
}))
