import { SOWN_AHEAD } from '../../establishment/season'
import { addDays, shortDay, type Day } from '../../measure/calendar'

/**
 * Why a day cannot be planned for; undefined where it can. A day that has passed is no plan, and beyond what is worked out
 * nobody knows its odds.
 */
export function dayOutOfReach(day: Day, today: Day): string | undefined {
  const last = addDays(today, SOWN_AHEAD - 1)
  if (day < today) return `${shortDay(day, today)} has passed. Choose a day from today on.`
  if (day > last) return `${shortDay(day, today)} is too far ahead. Odds go to ${shortDay(last, today)}.`
  return undefined
}
