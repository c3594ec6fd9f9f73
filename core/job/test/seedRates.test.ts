import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { G_PER_M2_PER_LB_PER_1000FT2 as LB } from '../../measure/units'
import { GRASS_CODES } from '../../grass/grasses'
import { enoughSeedsPerCm2, pureSeed, type Blend } from '../../seed/blends'
import { newRateOf, seedsPerCm2 } from '../../seed/liveSeed'
import { allPractices } from '../decision/usualPractices'
import { PROGRAMMES, PROGRAMME_CODES } from '../decision/programmes'
import { enoughHere } from '../parts'
import { beginningRate } from '../settings'
import { decided, planned } from './ground'

describe('the rate of a mixture', () => {
  // Rates of a handbook table, from memory: tall fescue 6-8, bluegrass 2-3, ryegrass 6-8 lb on 1,000 ft². Found: a mixture was
  // sown at the rate of its main grass.
  test('is the sum of what each part would take by its share', () => {
    const mixture: Blend = [
      { grass: 'KBG', massShare: 0.85 },
      { grass: 'PRG', massShare: 0.15 },
    ]
    expect(newRateOf(mixture) / LB).toBeCloseTo(0.85 * 2.5 + 0.15 * 7, 9)
    expect(newRateOf(pureSeed('TF')) / LB).toBeCloseTo(7, 9)
    expect(planned({ programme: 'kill' })[0]!.settings.seedRateGPerM2).toBeCloseTo(7 * LB, 9)
  })

  test('is never raised past the mark beyond which more seed stops helping', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...GRASS_CODES),
        fc.constantFrom(...GRASS_CODES),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.constantFrom(...PROGRAMME_CODES),
        (one, other, share, code) => {
          const seed: Blend = [
            { grass: one, massShare: share },
            { grass: other, massShare: 1 - share },
          ]
          const practices = allPractices({ rate: 'heavy', springRate: 'more' })
          const rate = beginningRate({ seed, programme: PROGRAMMES[code], practices, inSpring: true })
          expect(seedsPerCm2(rate, seed)).toBeLessThanOrEqual(2 * enoughSeedsPerCm2(seed)[1] * (1 + 1e-9))
        },
      ),
    )
  })
})

// Found: half of a new stand's rate over thin turf read as too little, by what makes a full stand.
test('an overseed is judged by what the grass that stays leaves open', () => {
  const of = (programme: 'overseed' | 'kill', desirableShare: number) =>
    enoughHere(planned({ programme, zone: { desirableShare } })[0]!)
  const [low, high] = enoughSeedsPerCm2(pureSeed('TF'))
  expect(of('kill', 0.5)).toEqual({ seedsPerCm2: [low, high], openShare: 1 })
  expect(of('overseed', 0.5)).toEqual({ seedsPerCm2: [low * 0.5, high * 0.5], openShare: 0.5 })
  expect(of('overseed', 0.95).openShare).toBe(0.25)
})

describe('what is sown for the winter', () => {
  // Common practice, no source: annual, intermediate or perennial ryegrass at 5 to 10 lb on 1,000 ft².
  test.each([
    ['annual', 'ARG'],
    ['intermediate', 'IRG'],
    ['perennial', 'PRG'],
  ] as const)('%s ryegrass by the practice', (winterGrass, code) => {
    const [part] = planned({ programme: 'winter', zone: { grass: 'BER', sward: 'BER' }, practices: { winterGrass } })
    expect(part!.seed).toEqual(pureSeed(code))
    expect(part!.settings.seedRateGPerM2 / LB).toBeGreaterThanOrEqual(5)
    expect(part!.settings.seedRateGPerM2 / LB).toBeLessThanOrEqual(10)
  })
})

// Common practice, no source: hybrids set no seed, so what is sown is another grass.
test('hybrid bermuda is warned of seed, or wants it compared on a plug', () => {
  const zone = { sward: 'HBER', grass: 'BER', desirableShare: 0.7, weedShare: 0.2, bareShare: 0.1 } as const
  const risks = (practices: Parameters<typeof decided>[2]) =>
    decided(zone, {}, practices).verdicts.warm.risks.map(({ text }) => text.key)
  expect(risks({})).toContain('rules.hybridOffTypes')
  expect(risks({ hybridBermuda: 'named seed' })).toContain('rules.hybridNamedSeed')
})

// Common practice, no source. Found: strip asked for thatch, pH, hollows or standing water.
test.each([
  ['heavy clay', {}, { texture: 'clay' as const }],
  ['builder’s waste', { stones: 'many' as const }, {}],
  ['too little topsoil', { topsoilMm: 40 }, {}],
])('%s is a reason to strip and bring soil', (_, zone, lawn) => {
  expect(decided(zone, lawn).verdicts.strip.fits).toBe(true)
  expect(decided().verdicts.strip.fits).toBe(false)
})
