import gammaQuantile from '@stdlib/stats-base-dists-gamma-quantile'
import negativeBinomial from '@stdlib/stats-base-dists-negative-binomial-cdf'
import poisson from '@stdlib/stats-base-dists-poisson-cdf'
import { describe, expect, test } from 'vitest'
import { draws } from './draws'
import { countInterval, negativeBinomialCdf, poissonCdf, poissonQuantile, sizeOf } from '../intervals'

describe('distributions of counts', () => {
  test.each([
    [0, 0.3],
    [3, 3],
    [10, 16.96],
    [180, 200],
    [2400, 2300],
  ])('chance of %i or fewer of a Poisson count of mean %f, against @stdlib', (x, mean) => {
    expect(poissonCdf(x, mean)).toBeCloseTo(poisson(x, mean), 9)
  })
  test.each([
    [0, 2, 0.5],
    [12, 34, 3.2],
    [40, 34, 3.2],
    [700, 650, 12.5],
  ])('chance of %i or fewer of a negative binomial count of mean %f and size %f, against @stdlib', (x, mean, size) => {
    // There by chance of a success; size successes are waited for.
    expect(negativeBinomialCdf(x, mean, size)).toBeCloseTo(negativeBinomial(x, size, size / (size + mean)), 9)
  })
})

test('a Poisson quantile is the first count at which the distribution of a statistics library reaches it', () => {
  for (const mean of [0, 0.7, 6, 24])
    for (const part of [0.01, 0.3, 0.5, 0.9, 0.999]) {
      const count = poissonQuantile(part, mean)
      expect(poisson(count, mean)).toBeGreaterThanOrEqual(part - 1e-9)
      if (count > 0) expect(poisson(count - 1, mean)).toBeLessThan(part)
    }
})

describe('an interval of counts', () => {
  test.each([
    [[10], 5.4254, 16.9622],
    [[0], 0, 2.9957],
    [[3], 0.8177, 7.7537],
  ])('of one frame is the exact Poisson interval: %j', (counts, low, high) => {
    // Garwood 1936, 90 %: half of chi squared quantiles (from memory of its tables).
    const told = countInterval(counts)
    expect(told.low).toBeCloseTo(low, 3)
    expect(told.high).toBeCloseTo(high, 3)
  })

  test('of frames that differ by chance alone is that of their sum, by gamma quantiles of @stdlib', () => {
    const counts = [31, 29, 33, 28, 30, 31]
    const sum = counts.reduce((a, b) => a + b, 0)
    const told = countInterval(counts)
    expect(told.patchy).toBe(false)
    expect(told.low * 6).toBeCloseTo(gammaQuantile(0.05, sum, 1), 4)
    expect(told.high * 6).toBeCloseTo(gammaQuantile(0.95, sum + 1, 1), 4)
  })

  test('of patchy frames leaves 5 % at each end of the negative binomial sum, by @stdlib, and is wider', () => {
    const counts = [36, 29, 31, 12, 33, 28]
    const [size, sum] = [sizeOf(counts) * 6, 169]
    const { low, high, patchy, mean } = countInterval(counts)
    expect(patchy).toBe(true)
    const of = (x: number, middle: number) => negativeBinomial(x, size, size / (size + middle * 6))
    expect(1 - of(sum - 1, low)).toBeCloseTo(0.05, 6)
    expect(of(sum, high)).toBeCloseTo(0.05, 6)
    expect(high - low).toBeGreaterThan((gammaQuantile(0.95, sum + 1, 1) - gammaQuantile(0.05, sum, 1)) / 6)
    expect(mean).toBeCloseTo(28.17, 2)
  })

  test('holds the true mean in 88 to 97 of 100 draws of eight Poisson frames', () => {
    const next = draws(20260908)
    const one = (mean: number) => {
      const left = Math.exp(-mean)
      let k = 0
      for (let p = next(); p > left; p *= next()) k++
      return k
    }
    let held = 0
    for (let i = 0; i < 400; i++) {
      const { low, high } = countInterval(Array.from({ length: 8 }, () => one(20)))
      if (low <= 20 && high >= 20) held++
    }
    expect(held / 400).toBeGreaterThan(0.88)
    expect(held / 400).toBeLessThan(0.97)
  })

  test('is refused without a frame, and takes a heap of seedlings', () => {
    expect(() => countInterval([])).toThrow(RangeError)
    const { low, high } = countInterval(Array.from({ length: 30 }, () => 2000))
    expect([Math.round(low), Math.round(high)]).toEqual([1987, 2013])
  })
})
