import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addDays, toDay, type Day } from '../../measure/calendar'
import { followLog, type LogAsked, type Logged } from '../log'
import type { WateredBed } from '../programme'

const SOWN = toDay('2026-08-25')
const NOTHING: Logged = { missed: [], given: [] }
const bed: WateredBed = {
  id: 'a',
  name: 'Front',
  areaM2: 100,
  texture: 'loam',
  sun: 'full',
  cover: 'none',
  coverMm: 0,
  slopeShare: 0,
  supply: { rateMmPerH: 12, uniformity: 0.7, known: 'usual' },
  hours: [6, 9, 12, 15, 18],
  aheadH: 0,
  mostTimes: null,
}
const asked = (change: Partial<LogAsked> = {}): LogAsked => ({
  bed,
  hours: [6, 10, 14],
  sowOn: SOWN,
  today: addDays(SOWN, 9),
  dayOf: () => ({ et0Mm: 5, rainMm: 0 }),
  loggedOn: () => NOTHING,
  ...change,
})
const missing = (days: number[], hours: number[]) => (day: Day) =>
  days.some((i) => addDays(SOWN, i) === day) ? { missed: hours, given: [] } : NOTHING

describe('a bed by its watering log', () => {
  test('without a note it went as planned', () => {
    const log = followLog(asked())
    expect(log.dryHours).toBe(log.asPlannedHours)
    expect(log.missed).toBe(0)
  })

  test('a day by hand: FAO-56 eq. 73 and 74, from memory of both', () => {
    // Loam, 6 mm: TEW = 1000 (0.25 - 0.06) 0.006 = 1.14 mm, of which 45 %, 0.513, go at 1.1 times the reference. No watering
    // and 5 mm a day: the shares of the sun are cos(15° from noon) over their sum, 7.596. From 6 on, full at six: 7 o'clock
    // takes 5.5 × 0.2588 / 7.596 = 0.187; 8: 0.362, in all 0.549; 9: Kr = (1.14 - 0.549) / (1.14 - 0.513) = 0.942,
    // 0.942 × 0.512 = 0.483, in all 1.032: 9.5 % are left, under the tenth below which it is dry.
    const log = followLog(asked({ hours: [6], today: SOWN }))
    expect(log.tomorrow.asPlanned).toBe(9)
    // Ten hours from nine on, the one of sunset among them.
    expect(log.dryHours).toBe(10)
  })

  test('a missed watering costs hours, and the note of one given back again takes them off', () => {
    const whole = followLog(asked())
    const without = followLog(asked({ loggedOn: missing([3, 4], [10, 14]) }))
    expect(without.missed).toBe(4)
    // A bare bed at 5 mm is dry for eight hours of its ten from nine on, watered three times; without two of them for all ten.
    expect([whole.dryHours, without.dryHours]).toEqual([80, 84])
    expect(without.lostShare).toBeGreaterThan(whole.lostShare)
    const besides = followLog(
      asked({ loggedOn: (day) => ({ ...missing([3, 4], [10, 14])(day), given: day > SOWN ? [10, 14] : [] }) }),
    )
    expect(besides.dryHours).toBe(whole.dryHours)
  })

  test('rain of an evening carries a bed over the morning', () => {
    const dry = followLog(asked({ hours: [] }))
    const wet = followLog(asked({ hours: [], dayOf: () => ({ et0Mm: 5, rainMm: 8 }) }))
    expect(dry.tomorrow.unwatered).toBe(6)
    expect(wet.tomorrow.unwatered).toBe(9)
    expect(wet.dryHours).toBeLessThan(dry.dryHours)
  })

  test('a covered bed in shade on a dull day holds through tomorrow', () => {
    const dull = { bed: { ...bed, cover: 'compost' as const, coverMm: 6, sun: 'dense' as const }, hours: [6, 12] }
    const log = followLog(asked({ ...dull, dayOf: () => ({ et0Mm: 1.5, rainMm: 0 }) }))
    expect(log.tomorrow.asPlanned).toBeNull()
    expect(log.dryHours).toBe(0)
  })

  test('property: one more missed cycle never leaves more of a stand', () => {
    const days = fc.uniqueArray(fc.integer({ min: 0, max: 9 }), { maxLength: 6 })
    fc.assert(
      fc.property(
        days,
        fc.subarray([6, 10, 14]),
        fc.integer({ min: 0, max: 9 }),
        fc.constantFrom(6, 10, 14),
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.constantFrom(0, 0, 2, 12),
        (on, hours, day, hour, et0Mm, rainMm) => {
          const dayOf = (of: Day) => ({ et0Mm, rainMm: of.endsWith('1') ? rainMm : 0 })
          const before = missing(on, hours)
          const after = (of: Day): Logged => {
            const { missed } = before(of)
            return { missed: of === addDays(SOWN, day) ? [...new Set([...missed, hour])] : missed, given: [] }
          }
          const [less, more] = [before, after].map((loggedOn) => followLog(asked({ dayOf, loggedOn })))
          expect(more!.lostShare).toBeGreaterThanOrEqual(less!.lostShare - 1e-12)
          expect(more!.missed).toBeGreaterThanOrEqual(less!.missed)
        },
      ),
      { numRuns: 300 },
    )
  })
})
