import { shortDay, type Day } from '#core/measure/calendar'
import { Refusal } from './refusal'

/** What is written down has happened. @throws Refusal 422 at the field of a day to come */
export function notAhead(day: Day, today: Day, field: string): void {
  if (day > today)
    throw new Refusal(422, 'invalid', 'This day has not come yet.', { [field]: `Not after today, ${shortDay(today)}.` })
}
