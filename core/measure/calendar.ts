/**
 * A calendar date without a time zone, `YYYY-MM-DD`. The one date type of the product: agronomy counts whole days at
 * the lawn, so no instant, offset or clock enters here.
 */
export type Day = string & { readonly __day: unique symbol }

const MS_PER_DAY = 86_400_000

/** True for a date that exists, between the years 1900 and 2199. */
export function isDay(text: string): text is Day {
  if (!/^(19|20|21)\d\d-\d\d-\d\d$/.test(text)) return false
  const ms = Date.parse(`${text}T00:00:00Z`)
  return Number.isFinite(ms) && new Date(ms).toISOString().startsWith(text)
}

/** @throws RangeError when the text is not a date that exists. */
export function toDay(text: string): Day {
  if (!isDay(text)) throw new RangeError(`"${text}" is not a date like 2026-09-24`)
  return text
}

const digit = (day: Day, i: number): number => day.charCodeAt(i) - 48
/** Days since 1 January 1970. Read digit by digit: asked some ten thousand times for a plan. */
export const dayNumber = (day: Day): number =>
  Date.UTC(
    digit(day, 0) * 1000 + digit(day, 1) * 100 + digit(day, 2) * 10 + digit(day, 3),
    digit(day, 5) * 10 + digit(day, 6) - 1,
    digit(day, 8) * 10 + digit(day, 9),
  ) / MS_PER_DAY

const two = (n: number): string => (n < 10 ? `0${n}` : String(n))
export function dayFromNumber(n: number): Day {
  const date = new Date(n * MS_PER_DAY)
  return `${date.getUTCFullYear()}-${two(date.getUTCMonth() + 1)}-${two(date.getUTCDate())}` as Day
}

export const addDays = (day: Day, days: number): Day => dayFromNumber(dayNumber(day) + days)

/** Whole days from the first to the second; negative when the second is earlier. */
export const daysBetween = (from: Day, to: Day): number => dayNumber(to) - dayNumber(from)

/** 1 on 1 January. */
export const dayOfYear = (day: Day): number => daysBetween(`${day.slice(0, 4)}-01-01` as Day, day) + 1

/** 0 in January. */
export const monthIndex = (day: Day): number => Number(day.slice(5, 7)) - 1

/** 0 on Sunday. */
export const weekdayIndex = (day: Day): number => weekdayOfNumber(dayNumber(day))
/** The same of a day number; day 0 was a Thursday. */
export const weekdayOfNumber = (n: number): number => (((n + 4) % 7) + 7) % 7

/**
 * The working day nearest to a day, the later of two as near, within a span; the day itself where there is none.
 * @param workingDays 0 on Sunday
 */
export function nearestWorkingDay(day: Day, workingDays: readonly number[], earliest: Day, latest: Day): Day {
  for (let away = 0; away < 7; away++) {
    for (const candidate of [addDays(day, away), addDays(day, -away)]) {
      if (candidate >= earliest && candidate <= latest && workingDays.includes(weekdayIndex(candidate)))
        return candidate
    }
  }
  return day
}

/** The last of some days. @throws RangeError for none */
export function latestOf(days: readonly Day[]): Day {
  if (!days.length) throw new RangeError('No day to be the last.')
  return days.reduce((a, b) => (b > a ? b : a))
}
