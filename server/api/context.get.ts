import type { Context } from '#contract/context'
import { answer } from '../utils/answer'

export default answer(async (_event, { firm, today }): Promise<Context> => ({
  firm: { name: firm.name, units: firm.units, currency: firm.currency },
  today,
  demo: firm.demo,
}))
