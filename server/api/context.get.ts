import type { Context } from '#contract/context'
import { schoolsOf } from '#contract/schools'
import { paceOf } from '../records/workDone'
import { answer } from '../utils/answer'

export default answer(async (_event, { firm, person, today }): Promise<Context> => ({ firm: { ...firm, schools: schoolsOf(firm.schools) }, person, today, pace: await paceOf(firm.id) }))
