import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hargreavesEt0Mm, radiationOf } from '../../weather/radiation'
import { emptyRun, type WeatherRun } from '../../weather/weather'
import { toDay } from '../../measure/calendar'
import { availableMm, followRootZone, rootDepthMm, rootingDays } from '../rootZone'

const FIRST = toDay('2026-06-01')
const GROUND = { latDeg: 40, sun: 'full', texture: 'sandy loam' } as const
function weather(days: number, rain: (d: number) => number, tmaxC = 28, tminC = 15): WeatherRun {
  const run = emptyRun(FIRST, days)
  run.tmaxC.fill(tmaxC)
  run.tminC.fill(tminC)
  for (let d = 0; d < days; d++) run.rainMm[d] = rain(d)
  return run
}

// FAO Irrigation and Drainage Paper 56, eq. 82 and table 19 (from memory): sandy loam 0.23 - 0.10 over 150 mm.
test('water for roots is field capacity less wilting point over their depth', () => {
  expect(availableMm('sandy loam', 150)).toBeCloseTo(19.5, 9)
})

// Worked by hand from FAO-56 eq. 85: a full zone, no rain, first day uncurbed.
test('the first dry day takes the turf’s share of the reference, and no rain leaves it falling ever more slowly', () => {
  const run = weather(60, () => 0)
  const { leftShare } = followRootZone(run, GROUND, 150, 'cool')
  const et0 = hargreavesEt0Mm(28, 15, radiationOf(40, FIRST, 1)[0]!)
  expect(leftShare[0]!).toBeCloseTo(1 - (0.95 * et0) / 19.5, 9)
  const steps = Array.from(leftShare.slice(1), (left, i) => leftShare[i]! - left)
  expect(leftShare[59]!).toBeGreaterThan(0)
  expect(steps.at(-1)!).toBeLessThan(steps[0]!)
})

describe('water of the root zone', () => {
  const rains = fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 30, maxLength: 30 })
  test('is neither made nor lost: what fell is used, kept or drained', () => {
    fc.assert(
      fc.property(rains, (rain) => {
        const run = weather(30, (d) => rain[d]!)
        const { leftShare, drainedMm } = followRootZone(run, GROUND, 150, 'cool')
        const raMJ = radiationOf(40, FIRST, 30)
        let left = 1
        let used = 0
        for (let d = 0; d < 30; d++) {
          used += Math.min(hargreavesEt0Mm(28, 15, raMJ[d]!) * 0.95 * Math.min(1, left / 0.6), left * 19.5 + rain[d]!)
          left = leftShare[d]!
        }
        const fell = rain.reduce((a, b) => a + b, 0)
        expect(19.5 + fell).toBeCloseTo(used + drainedMm.reduce((a, b) => a + b, 0) + left * 19.5, 6)
      }),
    )
  })
  test('is never less for more rain, nor for watering', () => {
    fc.assert(
      fc.property(rains, fc.nat(29), (rain, more) => {
        const plain = followRootZone(
          weather(30, (d) => rain[d]!),
          GROUND,
          150,
          'cool',
        ).leftShare
        const wetter = followRootZone(
          weather(30, (d) => rain[d]! + (d === more ? 8 : 0)),
          GROUND,
          150,
          'cool',
        ).leftShare
        const watered = followRootZone(
          weather(30, (d) => rain[d]!),
          GROUND,
          150,
          'cool',
          { givenMm: new Float64Array(30).fill(3) },
        ).leftShare
        wetter.forEach((left, d) => {
          expect(left).toBeGreaterThanOrEqual(plain[d]! - 1e-12)
        })
        watered.forEach((left, d) => {
          expect(left).toBeGreaterThanOrEqual(plain[d]! - 1e-12)
        })
      }),
    )
  })
  test('of an irrigated lawn is never left without what turf takes freely, from the end of a ban on', () => {
    const dry = weather(40, () => 0, 32, 18)
    const { leftShare } = followRootZone(dry, GROUND, 150, 'cool', { sprinkledFrom: 20 })
    const rain = followRootZone(dry, GROUND, 150, 'cool').leftShare
    expect(leftShare.slice(0, 20)).toEqual(rain.slice(0, 20))
    // FAO-56 irrigates when the readily available water is gone: p = 0.4 of it for cool-season turf (table 22, from memory).
    expect(Math.min(...leftShare.slice(20))).toBeGreaterThanOrEqual(0.6)
    expect(Math.min(...rain)).toBeLessThan(0.2)
  })
  test('is kept from snow until it thaws', () => {
    const cold = (rain: number) =>
      followRootZone(
        weather(20, () => rain, -2, -9),
        GROUND,
        150,
        'cool',
      ).leftShare[19]!
    expect(cold(10)).toBe(cold(0))
  })
})

test('roots stand still in cold soil and grow 2 mm a day in warm, to 300 mm', () => {
  const days = rootingDays([5, 12, 12, 9, 12])
  // Up on the second day: it begins with 10 mm and gains 2 mm on each warm day after it.
  expect([0, 1, 2, 3, 4].map((day) => rootDepthMm(days, 1, day))).toEqual([0, 10, 12, 12, 14])
  expect(rootDepthMm(days, Infinity, 4)).toBe(0)
  expect(rootDepthMm(rootingDays(new Float64Array(400).fill(18)), 0, 399)).toBe(300)
})
