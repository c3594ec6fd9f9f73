import { expect, test } from 'vitest'
import { dayOfYear, toDay } from '../../measure/calendar'
import { daylightHours, extraterrestrialRadiationMJ, hargreavesEt0Mm } from '../radiation'

// Worked examples of FAO Irrigation and Drainage Paper 56, from memory.
test('example 8: 32.2 MJ m⁻² d⁻¹ reach the top of the air at 20° S on 3 September', () => {
  expect(extraterrestrialRadiationMJ(-20, dayOfYear(toDay('2026-09-03')))).toBeCloseTo(32.2, 1)
})

test('example 9: daylight there lasts 11.7 h', () => {
  expect(daylightHours(-20, dayOfYear(toDay('2026-09-03')))).toBeCloseTo(11.7, 1)
})

test('example 20: Hargreaves gives 5.0 mm a day at 45°43′ N in mid July for 26.6 and 14.8 °C', () => {
  const raMJ = extraterrestrialRadiationMJ(45.72, dayOfYear(toDay('2026-07-15')))
  expect(raMJ).toBeCloseTo(40.6, 1)
  expect(hargreavesEt0Mm(26.6, 14.8, raMJ)).toBeCloseTo(5.0, 1)
})

test('the pole has a day and a night, and north is south half a year away', () => {
  expect(daylightHours(80, 172)).toBe(24)
  expect(daylightHours(80, 355)).toBe(0)
  expect(extraterrestrialRadiationMJ(80, 355)).toBeCloseTo(0, 9)
})
