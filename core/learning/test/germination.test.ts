import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile'
import { describe, expect, test } from 'vitest'
import { addDays, toDay } from '../../measure/calendar'
import { judgeCount, learnEmergence, perFrame, PRIOR } from '../germination'

const SOWN = toDay('2026-08-25')
const on = (day: number) => addDays(SOWN, day)
/** An invented curve: nothing for five days, then a straight rise to the fifteenth. */
const rising = (delay: number) =>
  Array.from({ length: 71 }, (_, day) => Math.max(0, Math.min(1, (day - 5 - delay) / 10)))
const CURVE = { slow: rising(1), middle: rising(0), fast: rising(-1) }
/** Seedlings in 76 mm: 36. */
const PER_CM2 = 36 / 7.6 ** 2
const count = (day: number, seedlings: number[]) => ({ seenOn: on(day), frameMm: 76, seedlings })
const judged = (day: number, seedlings: number[]) => judgeCount(count(day, seedlings), CURVE, SOWN, PER_CM2)

describe('a count beside what was expected', () => {
  test('a frame holds what its area holds', () => {
    expect(perFrame(PER_CM2, 76)).toBeCloseTo(36, 9)
    expect(perFrame(1, 50)).toBe(25)
  })

  test('is on track within a fifth, ahead and behind outside of it', () => {
    // Day 12: 70 % of 36 is 25.2; 60 to 80 % and a fifth about it is 17.3 to 34.6, worked by hand.
    expect(judged(12, [25, 26, 24, 25]).expected).toBeCloseTo(25.2, 9)
    expect(judged(12, [25, 26, 24, 25]).fair.map((n) => Math.round(n * 10) / 10)).toEqual([17.3, 34.6])
    expect(judged(12, [25, 26, 24, 25])).toMatchObject({ state: 'on track', sure: true })
    expect(judged(12, [40, 41, 43, 39])).toMatchObject({ state: 'ahead', sure: true })
    expect(judged(12, [8, 9, 7, 8])).toMatchObject({ state: 'behind', sure: true })
    expect(judged(12, [17, 16])).toMatchObject({ state: 'behind', sure: false })
  })

  test('reads days behind off the curve sideways', () => {
    // 12.6 of 36 is 35 %, where the curve is on day 8.5; seen on day 12.
    expect(judged(12, [12, 13, 13, 12.4]).daysBehind).toBe(3.5)
    expect(judged(9, [18, 18]).daysBehind).toBe(-1)
    // Once it is flat nothing can be read off it.
    expect(judged(40, [30, 30]).daysBehind).toBeNull()
  })

  test('says too early before there is anything to see, and failed once all should be up', () => {
    expect(judged(4, [0, 0, 0])).toMatchObject({ state: 'early', daysBehind: null })
    expect(judged(6, [0]).state).toBe('early')
    // Four squares of nothing where eighteen are expected are no failure while the rest may come.
    expect(judged(10, [0, 0, 0, 0]).state).toBe('behind')
    expect(judged(20, [2, 0, 1, 1])).toMatchObject({ state: 'failed', sure: true })
  })

  test('names the frames that stand alone', () => {
    expect(judged(20, [36, 29, 31, 12, 33, 28]).weak).toEqual([3])
  })

  test('is never judged better for fewer seedlings', () => {
    const rank = { failed: 0, behind: 1, early: 2, 'on track': 3, ahead: 4 }
    for (const day of [3, 7, 9, 12, 16, 25, 50]) {
      let before = -1
      for (let n = 0; n <= 60; n++) {
        const now = rank[judged(day, [n, n, n]).state]
        expect(now, `day ${day}, ${n} seedlings`).toBeGreaterThanOrEqual(before)
        before = now
      }
    }
  })
})

describe('what counts say of a bed', () => {
  const learn = (...counts: ReturnType<typeof count>[]) => learnEmergence(counts, CURVE, SOWN, PER_CM2)

  test('nothing counted says nothing', () => {
    expect(learn()).toBeUndefined()
  })

  test('once all is up it is the conjugate gamma answer, by @stdlib', () => {
    // Of a Poisson sum with expectation E and a gamma prior (a, a) the factor is gamma (a + sum, a + E).
    const seedlings = [20, 19, 22, 21, 18, 20]
    const [sum, expected] = [120, 6 * 36]
    const [shape, scale] = [PRIOR.shape + sum, 1 / (PRIOR.shape + expected)]
    const { factor, factorLow, factorHigh } = learn(count(40, seedlings))!
    expect(factor).toBeCloseTo(shape * scale, 2)
    expect(factorLow).toBeCloseTo(gammaQuantile(0.05, shape, 1 / scale), 1)
    expect(factorHigh).toBeCloseTo(gammaQuantile(0.95, shape, 1 / scale), 1)
  })

  test('a low count while it comes up may be late; a second one tells thin from late', () => {
    const first = learn(count(10, [9, 8, 9, 10]))!
    expect(first.delayDays).toBeGreaterThan(0.5)
    expect(first.factor).toBeGreaterThan(0.5)
    const late = learn(count(10, [9, 8, 9, 10]), count(20, [35, 36, 37, 36]))!
    expect(late.factor).toBeGreaterThan(0.93)
    expect(late.delayDays).toBeGreaterThan(1.5)
    const thin = learn(count(10, [9, 8, 9, 10]), count(20, [18, 17, 18, 19]))!
    expect(thin.factor).toBeLessThan(0.6)
    expect(thin.delayDays).toBeLessThan(1)
  })

  test('one frame moves it less than ten', () => {
    const one = learn(count(40, [12]))!
    const ten = learn(
      count(
        40,
        Array.from({ length: 10 }, () => 12),
      ),
    )!
    expect(one.factor).toBeGreaterThan(ten.factor)
    expect(one.factorHigh - one.factorLow).toBeGreaterThan(ten.factorHigh - ten.factorLow)
  })
})
