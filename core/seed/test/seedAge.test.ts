import fc from 'fast-check'
import { expect, test } from 'vitest'
import { addDays, toDay } from '../../measure/calendar'
import { labelAge } from '../seedAge'

const SOWN = toDay('2026-09-12')
const said = (testedOn: string) => labelAge(toDay(testedOn), SOWN)?.text.values

test('the age of a label is told from nine months on, and that it is old from fifteen', () => {
  // Spans of seed laws, 9 to 15 months, from memory.
  expect(said('2026-03-01')).toBeUndefined()
  expect(said('2025-12-14')).toBeUndefined()
  expect(said('2025-12-10')).toEqual({ months: 9, old: false })
  expect(said('2025-07-01')).toEqual({ months: 14, old: false })
  expect(said('2025-06-01')).toEqual({ months: 15, old: true })
})

test('a later sowing never makes a label fresher', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1500 }), fc.integer({ min: 0, max: 400 }), (age, later) => {
      const tested = addDays(SOWN, -age)
      const [now, then] = [labelAge(tested, SOWN), labelAge(tested, addDays(SOWN, later))]
      if (now) expect(Number(then!.text.values!.months)).toBeGreaterThanOrEqual(Number(now.text.values!.months))
      expect(then?.state ?? 'met').not.toBe('hold')
    }),
  )
})
