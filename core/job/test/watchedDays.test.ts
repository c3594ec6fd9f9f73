import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ZONE_ID } from '../../../contract/test/looks'
import type { Seen } from '../../learning/seen'
import { addDays, daysBetween, type Day } from '../../measure/calendar'
import { SEED, SOWN } from './counted'
import { columbus, watched } from './watched'

describe('seed that went down on another day than planned', () => {
  const LATE = 6
  const late = { ...SEED, doneOn: addDays(SOWN, LATE) }
  const mowOn = ({ plan }: ReturnType<typeof watched>) =>
    plan.schedule!.tasks.find(({ operation }) => operation.opensLawn)!.to

  // Found: leaves that were measured were reckoned from the planned day in Do and from the real one in Watch.
  test('is mown in Do when Watch says that it is, by what was measured too', () => {
    for (const heights of [
      [],
      [{ kind: 'height', seenOn: addDays(SOWN, 30), zoneId: ZONE_ID, heightMm: 30, note: '' }],
    ]) {
      const of = watched(31, heights as Seen[], { done: [late] })
      const { mow } = of.watch!.growth!
      expect(of.watch!.sownOn).toBe(late.doneOn)
      const day = daysBetween(late.doneOn, mowOn(of))
      // A Sunday puts it off by a day.
      expect(Math.abs(day - Math.max(mow.middle, 0))).toBeLessThanOrEqual(2)
    }
  })

  test('is watered by the season of that day', () => {
    const of = (day: Day) => columbus().glance!(day)!.sowing!
    const { mow, up } = watched(8, [], { done: [late] }).plan.watering!
    expect({ mow, up }).toMatchObject({ mow: of(late.doneOn).mow, up: of(late.doneOn).up })
    expect(mow).not.toMatchObject(of(SOWN).mow!)
  })
})

describe('rain that is told of', () => {
  const rain = (day: number, rainMm: number): Seen => ({
    kind: 'rain',
    seenOn: addDays(SOWN, day),
    zoneId: null,
    rainMm,
    by: 'client',
    note: '',
  })
  /** Nobody waters: what is left is rain's. */
  const dry = Array.from({ length: 12 }, (_, day): Seen => ({
    kind: 'watering',
    seenOn: addDays(SOWN, day),
    zoneId: null,
    given: false,
    hours: Array.from({ length: 24 }, (__, hour) => hour),
    by: 'firm',
    note: '',
  }))
  const dryHours = (seen: readonly Seen[]) =>
    watched(12, [...dry, ...seen]).watch!.logs.reduce((sum, log) => sum + log.dryHours, 0)

  test('counts before what the station says, the last word of a day alone', () => {
    const days = Array.from({ length: 12 }, (_, day) => day)
    const [none, wet] = [dryHours(days.map((day) => rain(day, 0))), dryHours(days.map((day) => rain(day, 12)))]
    expect(wet).toBeLessThan(none)
    expect(dryHours(days.flatMap((day) => [rain(day, 12), rain(day, 0)]))).toBe(none)
  })

  test('never leaves a bed drier the more of it fell', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 11 }), fc.double({ min: 0, max: 40, noNaN: true }), (day, mm) => {
        expect(dryHours([rain(day, mm + 3)])).toBeLessThanOrEqual(dryHours([rain(day, mm)]))
      }),
      { numRuns: 12 },
    )
  })
})
