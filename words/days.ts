import { monthIndex, weekdayIndex, type Day } from '#core/measure/calendar'
import type { MessageKey } from './message'

type Told = (key: MessageKey, values?: Readonly<Record<string, string | number | undefined>>) => string

/** How days are said in a language. */
export interface DayWords {
  /** "Sep 24", and the year too when it is not the year of `near`. */
  shortDay: (day: Day, near?: Day) => string
  /** "Sep 24, 2026". */
  dayWithYear: (day: Day) => string
  /** "Thu Sep 24". */
  shortDayWithWeekday: (day: Day, near?: Day) => string
  /** "Thursday, September 24". */
  longDay: (day: Day) => string
  /** "Sep 12–14", "Sep 29–Oct 2". */
  daysFromTo: (from: Day, to: Day, near?: Day) => string
  monthName: (day: Day) => string
  /** Twelve months from January, short. */
  monthsShort: () => readonly string[]
  weekdayName: (day: Day) => string
  /** Seven days from Sunday. */
  weekdays: () => readonly string[]
}

/** @param told a teller of the language; the names of a row stand in one message, parted by spaces */
export function dayWordsOf(told: Told): DayWords {
  const rows = new Map<MessageKey, readonly string[]>()
  const row = (key: MessageKey): readonly string[] => {
    let names = rows.get(key)
    if (!names) rows.set(key, (names = told(key).split(' ')))
    return names
  }
  const date = (day: Day) => Number(day.slice(8))
  const monthShort = (day: Day) => row('days.monthsShort')[monthIndex(day)]
  const dayWithYear = (day: Day): string =>
    told('days.shortWithYear', { month: monthShort(day), date: date(day), year: day.slice(0, 4) })
  const shortDay = (day: Day, near?: Day): string =>
    near && near.slice(0, 4) !== day.slice(0, 4)
      ? dayWithYear(day)
      : told('days.short', { month: monthShort(day), date: date(day) })
  return {
    shortDay,
    dayWithYear,
    shortDayWithWeekday: (day, near) =>
      told('days.withWeekday', { weekday: row('days.weekdaysShort')[weekdayIndex(day)], day: shortDay(day, near) }),
    longDay: (day) =>
      told('days.long', {
        weekday: row('days.weekdays')[weekdayIndex(day)],
        month: row('days.months')[monthIndex(day)],
        date: date(day),
      }),
    daysFromTo: (from, to, near) =>
      from.slice(0, 7) === to.slice(0, 7) && (!near || near.slice(0, 4) === to.slice(0, 4))
        ? told('days.inMonth', { month: monthShort(to), from: date(from), to: date(to) })
        : told('days.across', { from: shortDay(from, near), to: shortDay(to, near) }),
    monthName: (day) => row('days.months')[monthIndex(day)]!,
    monthsShort: () => row('days.monthsShort'),
    weekdayName: (day) => row('days.weekdays')[weekdayIndex(day)]!,
    weekdays: () => row('days.weekdays'),
  }
}
