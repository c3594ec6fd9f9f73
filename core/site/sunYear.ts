import { dayOfYear, type Day } from '../measure/calendar'

/** Days the year is looked at on for a zone's own record: the middle of each month. */
export const MONTHS = 12
export const MONTH_DAYS = 365.25 / MONTHS

/** Hours on any day, between the two middles it lies in. @param byMonth 12 values */
export function sunOn(byMonth: readonly number[], day: Day): number {
  const at = (dayOfYear(day) - 0.5) / MONTH_DAYS - 0.5
  const before = Math.floor(at)
  const share = at - before
  const month = (i: number) => byMonth[(i + MONTHS) % MONTHS]!
  return month(before) * (1 - share) + month(before + 1) * share
}
