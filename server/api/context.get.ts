import type { Context } from '#contract/context'
import { schoolsOf } from '#core/job/decision/practices'
import { practiceOf } from '../records/practice'
import { answer } from '../utils/answer'

export default answer(async (_event, { firm, person, today }): Promise<Context> => ({
  firm: { ...firm, schools: schoolsOf(firm.schools) },
  person,
  today,
  ...(await practiceOf(firm.id)),
}))
