import { told } from '../../explain/test/told'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  BLENDS,
  blendFaults,
  blendWords,
  countShares,
  depthLimitOf,
  enoughSeedsPerCm2,
  mainOf,
  pureSeed,
  seedsPerGOf,
  standShares,
  type Blend,
} from '../blends'
import { GRASS_CODES } from '../../grass/grasses'

const mixture = fc.uniqueArray(fc.constantFrom(...GRASS_CODES), { minLength: 2, maxLength: 6 }).chain((codes) =>
  fc
    .array(fc.integer({ min: 1, max: 100 }), { minLength: codes.length, maxLength: codes.length })
    .map((weights): Blend => {
      const sum = weights.reduce((a, b) => a + b, 0)
      return codes.map((grass, i) => ({ grass, massShare: weights[i]! / sum }))
    }),
)

describe('shares of a mixture', () => {
  // Worked example: 86 % tall fescue, 6 % ryegrass, 6 % bluegrass by weight, 2 % inert.
  test('by number of seeds are those of the worked example', () => {
    const parts: Blend = [
      { grass: 'TF', massShare: 0.86 },
      { grass: 'PRG', massShare: 0.06 },
      { grass: 'KBG', massShare: 0.06 },
    ]
    expect(countShares(parts).map((share) => Math.round(share * 1000) / 10)).toEqual([57.5, 4, 38.5])
  })
  test('add up to one, and a part that grows takes no less of the seeds', () => {
    fc.assert(
      fc.property(mixture, (parts) => {
        for (const shares of [countShares(parts), standShares(parts)])
          expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12)
        const more = parts.map((part, i) => (i ? part : { ...part, massShare: part.massShare * 2 }))
        expect(countShares(more)[0]!).toBeGreaterThanOrEqual(countShares(parts)[0]!)
      }),
    )
  })
  // A tenth of small-seeded bluegrass can be half of all seeds (a saying of the trade); it is far from half of
  // the stand.
  test('of bluegrass are many seeds and less of the stand', () => {
    const parts = BLENDS.find(({ code }) => code === 'TF 90 KBG 10')!.parts
    expect(countShares(parts)[1]!).toBeGreaterThan(0.5)
    expect(standShares(parts)[1]!).toBeLessThan(0.3)
  })
})

describe('a full stand of a mixture', () => {
  test('of one grass wants what that grass wants, by its table', () => {
    expect(enoughSeedsPerCm2(pureSeed('KBG'))).toEqual([3, 7])
    expect(seedsPerGOf(pureSeed('KBG'))).toBe(4800)
  })
  test('lies between what its parts want, and each part then makes its share of one', () => {
    fc.assert(
      fc.property(mixture, (parts) => {
        const [low, high] = enoughSeedsPerCm2(parts)
        const ends = parts.map(({ grass }) => enoughSeedsPerCm2(pureSeed(grass)))
        expect(low).toBeGreaterThanOrEqual(Math.min(...ends.map(([end]) => end)) - 1e-9)
        expect(high).toBeLessThanOrEqual(Math.max(...ends.map(([, end]) => end)) + 1e-9)
        const stands = countShares(parts).reduce((sum, count, i) => sum + (count * low) / ends[i]![0], 0)
        expect(stands).toBeCloseTo(1, 9)
      }),
    )
  })
})

describe('mixtures offered', () => {
  test('add up to the whole and have nothing said against them', () => {
    for (const { parts } of BLENDS) {
      expect(parts.reduce((sum, { massShare }) => sum + massShare, 0)).toBeCloseTo(1, 9)
      expect(blendFaults(parts)).toEqual([])
    }
  })
  test('are told what is wrong with them: ryegrass over bluegrass, little tall fescue, two seasons', () => {
    const faults = (...parts: Blend) => blendFaults(parts).length
    expect(faults({ grass: 'PRG', massShare: 0.4 }, { grass: 'KBG', massShare: 0.6 })).toBe(1)
    expect(faults({ grass: 'TF', massShare: 0.3 }, { grass: 'CRF', massShare: 0.7 })).toBe(1)
    expect(faults({ grass: 'PRG', massShare: 0.5 }, { grass: 'BER', massShare: 0.5 })).toBe(1)
    expect(faults(...pureSeed('TF'))).toBe(0)
  })
  test('go by their largest part, and no deeper than their shallowest seed', () => {
    const [parts] = BLENDS.map(({ parts }) => parts)
    expect([mainOf(parts!), depthLimitOf(parts!)]).toEqual(['TF', 6])
    expect(told(blendWords(parts!))).toBe('95% tall fescue, 5% Kentucky bluegrass')
    expect(told(blendWords(pureSeed('KBG')))).toBe('Kentucky bluegrass')
  })
})
