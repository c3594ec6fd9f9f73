import { addDays, dayNumber, weekdayIndex, type Day } from '../../measure/calendar'
import type { Laying } from './constraints'
import type { ScheduleInput } from './input'

/** How far ahead a day for missed work is looked for. @source own */
const LOOKED_AHEAD_DAYS = 120

/**
 * The next day on which work that was missed still fits: a working day from today on, no nearer to what comes before and
 * after it than it has to be, and no farther from what it follows.
 * @returns null where no such day is left: done now it would do no good
 */
export function nextDayFor(input: ScheduleInput, laying: Laying, key: string): Day | null {
  const own = laying.lags.filter(({ from, to }) => from === key || to === key)
  const fits = (day: number): boolean =>
    own.every(({ from, to, leastDays, mostDays }) => {
      const other = laying.days.get(from === key ? to : from)!
      // What follows and is done already waits for nothing any more.
      if (from === key) return input.done.has(to) || other - day >= leastDays
      return day - other >= leastDays && day - other <= (mostDays ?? Number.POSITIVE_INFINITY)
    })
  for (let ahead = 0; ahead < LOOKED_AHEAD_DAYS; ahead++) {
    const day = addDays(input.today, ahead)
    if (!input.workingDays.includes(weekdayIndex(day)) || input.holidays.has(day)) continue
    if (fits(dayNumber(day))) return day
  }
  return null
}
