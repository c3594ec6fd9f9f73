import { say } from '#core/explain/message'
import { clockStepSchema } from '#contract/firm'
import { simulateCounts } from '../../plans/simulatedCounts'
import { log } from '../../utils/log'
import { stepClock } from '../../records/firms'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { Refusal } from '../../utils/refusal'
import { LAST_STANDIN_DAY } from '../../weather/standin'
import { addDays } from '#core/measure/calendar'

/** Steps the demo's clock; its devices deliver the days it passes when they are next asked. */
export default answer(async (event, work) => {
  const { firm, today } = work
  const { days } = await bodyOf(event, clockStepSchema)
  if (!firm.demo) throw new Refusal(409, 'not_demo', say('server.onlyTheDemoHas'))
  const day = addDays(today, days)
  if (day > LAST_STANDIN_DAY)
    throw new Refusal(422, 'invalid', say('server.theSimulatedStationEnds', { LAST_STANDIN_DAY }))
  await stepClock(firm.id, days)
  // The clock has moved, whether or not there is something to count.
  await simulateCounts(work, day).catch((error: unknown) => {
    log.warn({ firm: firm.id, reason: String(error) }, 'nothing was counted')
  })
  return { today: day }
})
