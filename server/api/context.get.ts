import type { Context } from '#contract/context'
import { allPractices } from '#core/job/decision/usualPractices'
import { answer } from '../utils/answer'
import { countedNow } from '../utils/firmNow'

export default answer(async (_event, work): Promise<Context> => {
  const { firm, person, today } = work
  const practices = allPractices(firm.practices)
  return { firm: { ...firm, practices }, person, today, ...(await countedNow(work)) }
})
