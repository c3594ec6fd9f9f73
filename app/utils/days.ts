import { dayWords } from './words'
import type { Day } from '#core/measure/calendar'

/** Days as the language of the firm says them; told anew where it changes. */
export const shortDay = (day: Day, near?: Day): string => dayWords().shortDay(day, near)
export const dayWithYear = (day: Day): string => dayWords().dayWithYear(day)
export const shortDayWithWeekday = (day: Day, near?: Day): string => dayWords().shortDayWithWeekday(day, near)
export const longDay = (day: Day): string => dayWords().longDay(day)
export const daysFromTo = (from: Day, to: Day, near?: Day): string => dayWords().daysFromTo(from, to, near)
export const monthName = (day: Day): string => dayWords().monthName(day)
export const monthsShort = (): readonly string[] => dayWords().monthsShort()
export const weekdayName = (day: Day): string => dayWords().weekdayName(day)
export const weekdays = (): readonly string[] => dayWords().weekdays()
