import { allPractices } from '#core/job/decision/usualPractices'
import { demandOf } from '#core/job/operations/demand'
import { planJob } from '#core/job/planJob'
import { firmRecordOf } from '#contract/context'
import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { keepWanted } from '../records/stock'
import { log } from '../utils/log'

type Firm = Pick<
  AtWork['firm'],
  'id' | 'practices' | 'planning' | 'workingDays' | 'holidays' | 'feedRules' | 'hoursADay' | 'currency'
>

/** Keeps what the job in view will still use up of the shed, for the other jobs that look at it. */
export async function keepDemand(lawn: Lawn, { firm, today }: { firm: Firm; today: AtWork['today'] }): Promise<void> {
  try {
    const practice = firmRecordOf({
      firm: { ...firm, practices: allPractices(firm.practices) },
      today,
      pace: {},
      stock: {},
      spokenFor: {},
    })
    // Amounts follow ground and settings; no season changes them.
    const { schedule } = planJob(jobOf(lawn), groundOf(lawn), practice)
    await keepWanted(firm.id, lawn.job.id, lawn.job.endedOn ? {} : demandOf(schedule?.tasks ?? []))
  } catch (error) {
    // What was saved stands; the shed is counted anew with the next change.
    log.warn({ lawn: lawn.id, reason: String(error) }, 'demand was not kept')
  }
}
