import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { keptMoistShare, washedShare, winteredShare, type Covering } from '../losses'

// Figures of the model, worked by hand.
describe('rain', () => {
  test('takes of loose seed by slope, cover and what stands there', () => {
    expect(washedShare(25, 'bare', 0)).toBe(0)
    // 0.3 (50 − 25) / 25 on the flat; 1.2 of it on a bank, nine tenths at the most.
    expect(washedShare(50, 'bare', 0.01)).toBeCloseTo(0.3, 9)
    expect(washedShare(50, 'bare', 0.05)).toBeCloseTo(0.6, 9)
    expect(washedShare(50, 'bare', 0.15)).toBe(0.9)
    // 0.3 (50 − 38) / 38, and three tenths of it under a full sward.
    expect(washedShare(50, 'covered', 0)).toBeCloseTo(0.0947, 4)
    expect(washedShare(50, 'covered', 0, 1)).toBeCloseTo(0.0284, 4)
    expect(washedShare(50, 'fleece', 0.2)).toBe(0)
  })
  test('takes more the more falls and the steeper it lies, less under a cover and a sward, never more than all', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 400, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (rainMm, slope, sward) => {
          const taken = (covering: Covering, of = rainMm, on = slope, under = sward) =>
            washedShare(of, covering, on, under)
          expect(taken('bare')).toBeGreaterThanOrEqual(taken('covered'))
          expect(taken('covered')).toBeGreaterThanOrEqual(taken('fleece'))
          expect(taken('bare', rainMm + 5)).toBeGreaterThanOrEqual(taken('bare'))
          expect(taken('bare', rainMm, Math.min(1, slope + 0.1))).toBeGreaterThanOrEqual(taken('bare'))
          expect(taken('bare', rainMm, slope, 0)).toBeGreaterThanOrEqual(taken('bare'))
          expect(taken('bare') >= 0 && taken('bare') <= 0.9).toBe(true)
        },
      ),
    )
  })
})

test('winter takes nothing of what has rooted, and by its cold of what has not', () => {
  expect([winteredShare(0.6, -10), winteredShare(2, -10)]).toEqual([1, 1])
  expect([winteredShare(0, 3), winteredShare(0, 1), winteredShare(0, -1)]).toEqual([0.9, 0.75, 0.5])
  expect(winteredShare(0.3, -1)).toBeCloseTo(0.75, 9)
})

test('dry hours are a dose: none takes nothing, twice as many take twice as often, a cover halves it', () => {
  expect(keptMoistShare(0, false)).toBe(1)
  expect(keptMoistShare(20, false)).toBeCloseTo(keptMoistShare(10, false) ** 2, 9)
  expect(keptMoistShare(20, true)).toBeCloseTo(keptMoistShare(10, false), 9)
})
