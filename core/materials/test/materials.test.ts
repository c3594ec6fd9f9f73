import { say } from '../../explain/message'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { grassByCode } from '../../grass/grasses'
import { G_PER_M2_PER_LB_PER_1000FT2, KG_PER_LB, M2_PER_FT2, MM_PER_INCH } from '../../measure/units'
import { cubicYards } from '../../measure/figure'
import { pickBags } from '../bags'
import { feedNeed, parseAnalysis } from '../feed'
import { pureSeed } from '../../seed/blends'
import { liveShare, overseedRate, seedNeed, seedsPerCm2 } from '../../seed/liveSeed'
import { layerVolume } from '../volume'

const THOUSAND_FT2 = 1000 * M2_PER_FT2
const user = { kind: 'user', text: say('operations.look') } as const
const lot = (purityShare: number, germinationShare: number) => ({
  purityShare,
  germinationShare,
  coatingShare: 0,
  purityOfBareSeed: false,
  testedOn: null,
})

describe('seed', () => {
  test('0.98 pure and 0.85 sprouting is 0.833 live, so 8 lb of live seed takes 9.60 lb of product', () => {
    // US Federal Seed Act regulations, 7 CFR 201: pure live seed = purity × germination; from memory.
    expect(liveShare(lot(0.98, 0.85))).toBeCloseTo(0.833, 6)
    const need = seedNeed(THOUSAND_FT2, 8 * G_PER_M2_PER_LB_PER_1000FT2, lot(0.98, 0.85), user)
    expect(need.product.value / KG_PER_LB).toBeCloseTo(9.6, 2)
    expect(need.pass.value * 2).toBeCloseTo(need.product.value, 12)
  })

  test('coating of half the seed weight again takes half as much product again', () => {
    // Common practice, no source.
    const coated = { ...lot(0.98, 0.85), coatingShare: 1 / 3, purityOfBareSeed: true, testedOn: null }
    const rate = 1 * G_PER_M2_PER_LB_PER_1000FT2
    const ratio =
      seedNeed(100, rate, coated, user).product.value / seedNeed(100, rate, lot(0.98, 0.85), user).product.value
    expect(ratio).toBeCloseTo(1.5, 9)
    expect(liveShare({ ...coated, purityOfBareSeed: false, testedOn: null })).toBeCloseTo(0.833, 6)
  })

  test('an overseeding takes half of a new stand: 3.5 lb of tall fescue, and 20 g/m² of ryegrass is one seed per cm²', () => {
    expect(overseedRate(grassByCode('TF')).value / G_PER_M2_PER_LB_PER_1000FT2).toBeCloseTo(3.5, 9)
    expect(seedsPerCm2(20, pureSeed('PRG'))).toBeCloseTo(1, 9)
  })

  test('dead lots and impossible labels are refused', () => {
    expect(() => liveShare(lot(0.98, 0))).toThrow(RangeError)
    expect(() => liveShare(lot(1.2, 0.9))).toThrow(RangeError)
    expect(() => seedNeed(0, 10, lot(0.9, 0.9), user)).toThrow(RangeError)
  })

  test('the working of the load multiplies out to its result', () => {
    const { working, value } = seedNeed(612, 17, lot(0.98, 0.9), user).product
    const [rate, purity, germination, , area] = working.lines.map((line) => line.value.value) as [
      number,
      number,
      number,
      number,
      number,
    ]
    expect(((rate / (purity * germination)) * area) / 1000).toBeCloseTo(value, 9)
  })
})

describe('bags', () => {
  test('priced bags are picked by price, unpriced ones by what is left over', () => {
    expect(
      pickBags(26, [
        { massKg: 20, priceMinor: 9000 },
        { massKg: 5, priceMinor: 5000 },
      ]),
    ).toMatchObject({ counts: [2, 0], priceMinor: 18000 })
    expect(
      pickBags(26, [
        { massKg: 20, priceMinor: null },
        { massKg: 5, priceMinor: null },
      ]),
    ).toMatchObject({ counts: [1, 2], leftOverKg: 4 })
  })

  test('no cheaper combination exists, against every combination tried', () => {
    const size = fc.record({ massKg: fc.integer({ min: 1, max: 25 }), priceMinor: fc.integer({ min: 100, max: 9000 }) })
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.array(size, { minLength: 1, maxLength: 3 }), (need, sizes) => {
        let cheapest = Number.POSITIVE_INFINITY
        const tryAll = (i: number, mass: number, price: number): void => {
          if (mass >= need) cheapest = Math.min(cheapest, price)
          else if (i < sizes.length)
            for (let n = 0; mass + (n - 1) * sizes[i]!.massKg < need; n++)
              tryAll(i + 1, mass + n * sizes[i]!.massKg, price + n * sizes[i]!.priceMinor)
        }
        tryAll(0, 0, 0)
        const pick = pickBags(need, sizes)
        expect(pick.priceMinor).toBe(cheapest)
        expect(pick.totalKg).toBeGreaterThanOrEqual(need)
      }),
      { numRuns: 60 },
    )
  })

  test('impossible needs are refused', () => {
    expect(() => pickBags(0, [{ massKg: 5, priceMinor: null }])).toThrow(RangeError)
    expect(() => pickBags(1e6, [{ massKg: 1, priceMinor: null }])).toThrow(/500 bags/)
  })
})

describe('feed', () => {
  test('1 lb of nitrogen from a 16-16-16 is 6.25 lb of product, with 0.436 lb of phosphorus', () => {
    // Arithmetic of the bag's analysis; oxide factors from atomic masses.
    const need = feedNeed(THOUSAND_FT2, G_PER_M2_PER_LB_PER_1000FT2, parseAnalysis('16-16-16')!)
    expect(need.product.value / KG_PER_LB).toBeCloseTo(6.25, 9)
    expect(need.pGPerM2 / G_PER_M2_PER_LB_PER_1000FT2).toBeCloseTo(0.43643, 5)
  })

  test('more than 1 lb of nitrogen in one go, or a bag without any, is refused', () => {
    expect(() => feedNeed(100, 1.1 * G_PER_M2_PER_LB_PER_1000FT2, parseAnalysis('18-24-12')!)).toThrow(/1 lb/)
    expect(parseAnalysis('0-24-12')).toBeUndefined()
    expect(parseAnalysis('60-60-60')).toBeUndefined()
    expect(parseAnalysis('lots')).toBeUndefined()
  })
})

test('½ in over 1,000 ft² is 1.543 yd³, and 2 to 3 in of loam 6.17 to 9.26 yd³', () => {
  const yards = (inches: number) =>
    cubicYards(layerVolume(say('operations.soil'), THOUSAND_FT2, inches * MM_PER_INCH, 0, user).value)
  expect(yards(0.5)).toBeCloseTo(1.543, 3)
  expect(yards(2)).toBeCloseTo(6.17, 2)
  expect(yards(3)).toBeCloseTo(9.26, 2)
})
