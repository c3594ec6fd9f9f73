import poissonCdf from '@stdlib/stats-base-dists-poisson-cdf'
import { expect, test } from 'vitest'
import { poissonOf } from './simulatedCounts'

test('counts are drawn as the Poisson distribution of a statistics library has them', () => {
  for (const mean of [0, 0.7, 6, 24])
    for (const part of [0.01, 0.3, 0.5, 0.9, 0.999]) {
      const drawn = poissonOf(mean, part)
      expect(poissonCdf(drawn, mean)).toBeGreaterThanOrEqual(part - 1e-9)
      if (drawn > 0) expect(poissonCdf(drawn - 1, mean)).toBeLessThan(part)
    }
})
