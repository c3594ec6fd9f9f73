import { say } from '../explain/message'
import type { Gate } from '../explain/judgement'
import { daysBetween } from '../measure/calendar'
import { putDownOn } from './states'
import { logsOf, type WatchAsked } from './watch'

/** An hour of the clock for a message. */
const hourValues = (hour: number) => ({ hour12: hour % 12 || 12, half: hour < 12 ? 'am' : 'pm' })

/**
 * The bed that falls dry first tomorrow while seed is kept wet: although it is watered as planned, or unless somebody waters
 * where a watering of today or yesterday was missed.
 * @returns undefined where all of them hold, and where nothing is kept wet or its season is not worked out
 */
export function dryTomorrow(asked: Omit<WatchAsked, 'beds'>): Gate | undefined {
  const { job, firm, plan } = asked
  const sownOn = putDownOn({ programme: job.programme, marks: job.done })
  const wetEnds = plan.watering?.phases[0]?.to
  if (!sownOn || !wetEnds || daysBetween(sownOn, firm.today) >= wetEnds.middle) return undefined
  const [first] = logsOf(asked, sownOn)
    .flatMap(({ name, missedLately, tomorrow: { asPlanned, unwatered } }) => {
      const hour = asPlanned ?? (missedLately ? unwatered : null)
      return hour === null ? [] : [{ name, hour, planned: asPlanned !== null }]
    })
    .sort((a, b) => a.hour - b.hour)
  if (!first) return undefined
  const { name, hour, planned } = first
  return {
    state: 'risk',
    text: say(planned ? 'planned.dryTomorrowPlanned' : 'planned.dryTomorrow', { name, ...hourValues(hour) }),
  }
}
