import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { ForecastDay } from '../../weather/weather'
import { addDays, toDay } from '../../measure/calendar'
import type { PutDown } from '../operations/definition'
import { forecastGates } from '../operations/putDownGates'

const ON = toDay('2026-09-14')
/**
 * Five quiet days. Limits: 12 mm in four days (own); wind 16 and 3 km/h (turf handbooks, from memory).
 */
const days = (...changes: Partial<ForecastDay>[]): ForecastDay[] =>
  Array.from({ length: 5 }, (_, i) => ({
    day: addDays(ON, i),
    tmaxC: 22,
    tminC: 11,
    rainMm: 0,
    windKmh: 9,
    ...changes[i],
  }))
const held = (what: PutDown, forecast: ForecastDay[]) =>
  forecastGates(what, ON, forecast).filter(({ state }) => state === 'hold').length
const risky = (what: PutDown, forecast: ForecastDay[]) =>
  forecastGates(what, ON, forecast).filter(({ state }) => state === 'risk').length

describe('seed', () => {
  test('goes down before four quiet days', () => {
    expect(forecastGates('seed', ON, days()).map(({ state }) => state)).toEqual(['met', 'met'])
  })
  test('is held before half an inch of rain in the four days after, not for rain on the day itself', () => {
    expect(held('seed', days({}, { rainMm: 5 }, {}, { rainMm: 4 }, { rainMm: 3 }))).toBe(1)
    expect(held('seed', days({}, { rainMm: 5 }, {}, { rainMm: 4 }, { rainMm: 2.9 }))).toBe(0)
    expect(held('seed', days({ rainMm: 30 }))).toBe(0)
  })
  test('is held before hard frost, great heat and in wind, and at risk before the lesser', () => {
    expect([held('seed', days({}, {}, { tminC: -4 })), risky('seed', days({}, {}, { tminC: -1 }))]).toEqual([1, 1])
    expect([held('seed', days({}, { tmaxC: 36 })), risky('seed', days({}, { tmaxC: 32 }))]).toEqual([1, 1])
    expect([held('seed', days({ windKmh: 16 })), held('seed', days({}, { windKmh: 40 }))]).toEqual([1, 0])
  })
  test('waits where the forecast ends too soon, or tells no wind', () => {
    expect(forecastGates('seed', ON, days().slice(0, 3)).map(({ state }) => state)).toEqual(['waiting', 'met'])
    expect(forecastGates('seed', ON, [])).toEqual([
      { state: 'waiting', text: { key: 'operations.seedForecastOfThe', values: { what: 'seed' } } },
    ])
    expect(forecastGates('seed', ON, days({ windKmh: null })).at(-1)!.state).toBe('waiting')
  })
})

describe('every product', () => {
  test('granules are held before heavy rain and on frozen ground', () => {
    expect([
      held('granules', days({ rainMm: 8 }, { rainMm: 4 })),
      held('granules', days({ rainMm: 11 })),
      held('granules', days({ tminC: -5 })),
      risky('granules', days({ tmaxC: 33 })),
    ]).toEqual([1, 0, 1, 1])
  })
  test('sprays are held before any rain, in wind and in still air, in heat and in frost', () => {
    expect(
      [
        days({ rainMm: 1 }),
        days({}, { rainMm: 2 }),
        days({ windKmh: 20 }),
        days({ windKmh: 2 }),
        days({ tmaxC: 31 }),
        days({ tminC: 0 }),
      ].map((told) => held('spray', told)),
    ).toEqual([1, 1, 1, 1, 1, 1])
    expect(held('spray', days())).toBe(0)
  })
  test('dressing is held on a wet day', () => {
    expect([held('dressing', days({ rainMm: 3 })), held('dressing', days({ rainMm: 2 }))]).toEqual([1, 0])
  })
  const kinds = fc.constantFrom<PutDown>('seed', 'granules', 'spray', 'dressing')
  test('more rain, harder frost or more heat never releases what was held', () => {
    fc.assert(
      fc.property(
        kinds,
        fc.array(
          fc.record({
            rainMm: fc.double({ min: 0, max: 40, noNaN: true }),
            tmaxC: fc.double({ min: 15, max: 42, noNaN: true }),
            tminC: fc.double({ min: -10, max: 14, noNaN: true }),
          }),
          { minLength: 5, maxLength: 5 },
        ),
        fc.nat(4),
        (what, told, at) => {
          const before = held(what, days(...told))
          for (const worse of [
            { rainMm: told[at]!.rainMm + 10 },
            { tminC: told[at]!.tminC - 5 },
            { tmaxC: told[at]!.tmaxC + 5 },
          ]) {
            expect(
              held(what, days(...told.map((one, i) => (i === at ? { ...one, ...worse } : one)))),
            ).toBeGreaterThanOrEqual(before)
          }
        },
      ),
    )
  })
})
