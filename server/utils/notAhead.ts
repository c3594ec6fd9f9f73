import { say, shortDay } from '#core/explain/message'
import type { Day } from '#core/measure/calendar'
import { Refusal } from './refusal'

/** What is written down has happened. @throws Refusal 422 at the field of a day to come */
export function notAhead(day: Day, today: Day, field: string): void {
  if (day > today)
    throw new Refusal(422, 'invalid', say('server.thisDayHasNot'), {
      [field]: say('server.notAfterToday2', { today: shortDay(today) }),
    })
}
