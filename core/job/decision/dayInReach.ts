import { say, shortDay, type Message } from '../../explain/message'
import { SOWN_AHEAD } from '../../establishment/season'
import { addDays, type Day } from '../../measure/calendar'

/**
 * Why a day cannot be planned for; undefined where it can. A day that has passed is no plan, and beyond what is worked out
 * nobody knows its odds.
 */
export function dayOutOfReach(day: Day, today: Day): Message | undefined {
  const last = addDays(today, SOWN_AHEAD - 1)
  if (day < today) return say('rules.hasPassedChooseA', { day: shortDay(day, today) })
  if (day > last) return say('rules.isTooFarAhead', { day: shortDay(day, today), last: shortDay(last, today) })
  return undefined
}
