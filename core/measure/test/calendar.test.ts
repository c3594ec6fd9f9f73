import { CalendarDate, getDayOfWeek } from '@internationalized/date'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { addDays, dayFromNumber, dayNumber, dayOfYear, daysBetween, isDay, toDay, weekdayIndex } from '../calendar'

const anyDay = fc
  .integer({ min: dayNumber(toDay('1900-01-01')), max: dayNumber(toDay('2199-12-31')) })
  .map(dayFromNumber)
const reference = (day: string) =>
  new CalendarDate(Number(day.slice(0, 4)), Number(day.slice(5, 7)), Number(day.slice(8)))

test('days are added and weekdays named as the reference library does', () => {
  fc.assert(
    fc.property(anyDay, fc.integer({ min: -400, max: 400 }), (day, days) => {
      const moved = reference(day).add({ days }).toString()
      if (isDay(moved)) expect(addDays(day, days)).toBe(moved)
      expect(weekdayIndex(day)).toBe(getDayOfWeek(reference(day), 'en-US'))
    }),
  )
})

test('days between and days added are each other’s inverse', () => {
  fc.assert(fc.property(anyDay, anyDay, (a, b) => addDays(a, daysBetween(a, b)) === b))
})

test('only dates that exist are days', () => {
  for (const text of ['2026-02-29', '2026-13-01', '2026-9-1', '26-09-01', '1899-12-31', '', 'today'])
    expect(isDay(text)).toBe(false)
  expect(isDay('2024-02-29')).toBe(true)
  expect(() => toDay('2026-02-30')).toThrow(RangeError)
  expect(dayOfYear(toDay('2024-12-31'))).toBe(366)
})
