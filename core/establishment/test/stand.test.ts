import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { emptyRun } from '../../weather/weather'
import { grassByCode } from '../../grass/grasses'
import { toDay } from '../../measure/calendar'
import type { SeasonYear } from '../season'
import { coverOf, coverShare, footprintCm2, oldMowIndex, seedlingsPerCm2, type Stand } from '../stand'

const STAND: Stand = { old: grassByCode('TF'), keptShare: 0.5, scalpToMm: 40, liveSeedsPerCm2: 1, buried: true }
function steady(meanC: number, days = 200): SeasonYear {
  const weather = emptyRun(toDay('2026-09-01'), days)
  weather.tmaxC.fill(meanC + 5)
  weather.tminC.fill(meanC - 5)
  return { weather, soil: { seedbedHourlyC: new Float32Array(days * 24), probeDailyC: new Float64Array(days) } }
}

// Own: 0.05 cm² at emergence towards 1.0 cm², midpoint 350 °C·d, scale 90.
describe('the footprint of a seedling', () => {
  test('is half grown at its midpoint, and at a scale on either side where a logistic puts it', () => {
    expect(footprintCm2(350)).toBeCloseTo(0.525, 9)
    expect(footprintCm2(440)).toBeCloseTo(0.05 + 0.95 * 0.7310586, 6)
    expect(footprintCm2(0)).toBeLessThan(0.08)
    expect(footprintCm2(2000)).toBeCloseTo(1, 6)
  })
  test('makes a cover that grows with seedlings, warmth and what stands, and never passes all of it', () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 1500, noNaN: true }),
        share,
        (n, cd, old) => {
          const cover = coverShare(n, cd, old)
          expect(cover).toBeGreaterThanOrEqual(old - 1e-12)
          expect(cover).toBeLessThanOrEqual(1)
          expect(coverShare(n + 1, cd, old)).toBeGreaterThanOrEqual(cover)
          expect(coverShare(n, cd + 50, old)).toBeGreaterThanOrEqual(cover)
        },
      ),
    )
  })
  // By hand: 0.6 seedlings a cm², each 0.525 cm²: 1 − exp(−0.315) = 0.2702; half of the ground old grass: 0.6351.
  test('is what a hand makes of it', () => {
    expect(coverShare(0.6, 350)).toBeCloseTo(0.2702, 4)
    expect(coverShare(0.6, 350, 0.5)).toBeCloseTo(0.6351, 4)
  })
})

describe('a bed after sowing', () => {
  test('counts on fewer seedlings among standing grass, and on the surface', () => {
    expect([
      seedlingsPerCm2(STAND),
      seedlingsPerCm2({ ...STAND, keptShare: 0 }),
      seedlingsPerCm2({ ...STAND, keptShare: 0, buried: false }),
    ]).toEqual([0.3, 0.6, 0.4])
  })
  test('is the old grass alone where nothing comes up within six weeks, and more the sooner it does', () => {
    const year = steady(16)
    expect(coverOf(STAND, year, 0, 60)).toBe(0.5)
    expect(coverOf(STAND, year, 0, 8)).toBeGreaterThan(coverOf(STAND, year, 0, 20))
  })
  // Reference §8, tall fescue: 65 °C·d to 25 mm, 130 to 50, 230 to 80 above 5 °C; at 15 °C ten a day. From 50 mm to
  // 80 mm: 100 °C·d, ten days from the cut three days ahead.
  test('has its old grass up to mowing height when its thermal time is over, counted from the cut', () => {
    expect(oldMowIndex({ ...STAND, scalpToMm: 50 }, steady(15), 10, 80 / 1.5)).toBe(16)
    expect(oldMowIndex({ ...STAND, old: null }, steady(15), 10, 60)).toBe(Infinity)
    expect(oldMowIndex(STAND, steady(2), 10, 60)).toBe(Infinity)
  })
})
