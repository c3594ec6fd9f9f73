import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { mean as meanOf, quantile as quantileOf } from 'simple-statistics'
import { depthInCanMm, evennessOf, precipitationOf, runMinutes } from '../catchCans'
import { cycleAndSoak, supplyOf } from '../irrigation'

const cans = (values: readonly number[], change = {}) => ({
  minutes: 20,
  read: 'depth' as const,
  widthMm: null,
  values,
  ...change,
})

describe('a catch-can test', () => {
  test('comes to the rate and the low-quarter uniformity of an audit worked by hand', () => {
    // Irrigation audit practice (low quarter over mean of all cans), from memory; eight cans after 20 minutes.
    // Mean 4.0 mm in 20 min: 12 mm/h. The lowest two, 2 and 3: 2.5 over 4.0 is 0.625.
    const found = precipitationOf(cans([2, 3, 4, 4, 4, 5, 5, 5]))!
    expect(found.rateMmPerH).toBeCloseTo(12, 9)
    expect(found.uniformity).toBeCloseTo(0.625, 9)
    expect([found.lowQuarterMm, found.weakest, evennessOf(found.uniformity)]).toEqual([2.5, 0, 'fair'])
    // Ten minutes wanted of 6 mm: half an hour by the mean, and 48 minutes for the driest quarter.
    expect(runMinutes(6, found)).toEqual({ mean: 30, lowQuarter: 48 })
  })

  test('counts the next can by its part where the cans do not divide by four', () => {
    // Six cans: a quarter is one and a half of them, (1 + 0.5 × 2) / 1.5.
    expect(precipitationOf(cans([4, 1, 3, 2, 5, 6]))!.lowQuarterMm).toBeCloseTo(2 / 1.5, 9)
  })

  test('reads millilitres of any straight-sided can', () => {
    // A can of 75 mm holds 4.418 ml for each mm of water: π/4 × 75² mm² × 1 mm.
    expect(depthInCanMm(44.18, 75)).toBeCloseTo(10, 2)
    const [depths, volumes] = [
      precipitationOf(cans([3, 4, 5, 6]))!,
      precipitationOf(
        cans(
          [3, 4, 5, 6].map((mm) => (mm * (Math.PI / 4) * 65 ** 2) / 1000),
          { read: 'volume', widthMm: 65 },
        ),
      ),
    ]
    expect(volumes!.rateMmPerH).toBeCloseTo(depths.rateMmPerH, 9)
    expect(volumes!.uniformity).toBeCloseTo(depths.uniformity, 9)
  })

  test('says nothing of too few cans, of no time, of no width, and of dry cans', () => {
    for (const bad of [
      cans([1, 2, 3]),
      cans([1, 2, 3, 4], { minutes: 0 }),
      cans([1, 2, 3, 4], { read: 'volume' }),
      cans([0, 0, 0, 0]),
    ])
      expect(precipitationOf(bad)).toBeUndefined()
  })

  test('lies between none and all, its mean that of a library, and is 1 for even cans', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 30, noNaN: true }), { minLength: 4, maxLength: 40 }),
        (values) => {
          const found = precipitationOf(cans(values))!
          expect(found.meanMm).toBeCloseTo(meanOf(values), 9)
          expect(found.uniformity).toBeGreaterThan(0)
          expect(found.uniformity).toBeLessThanOrEqual(1 + 1e-9)
          // The mean of the lowest quarter lies under the quarter point of a library.
          expect(found.lowQuarterMm).toBeLessThanOrEqual(quantileOf(values, 0.25) + 1e-9)
          expect(precipitationOf(cans(values.map(() => 7)))!.uniformity).toBeCloseTo(1, 9)
        },
      ),
    )
  })
})

describe('what a zone puts down', () => {
  const zone = { kind: 'sprinklers', cans: null, rateMmPerH: null, flowLPerMin: null } as const
  test('is measured before it is typed, typed before it is reckoned, and usual at last', () => {
    const measured = { ...zone, cans: cans([3, 4, 5, 6]), rateMmPerH: 99 }
    expect(supplyOf(measured, 100)).toMatchObject({ known: 'cans', rateMmPerH: 13.5 })
    expect(supplyOf({ ...zone, rateMmPerH: 20, flowLPerMin: 30 }, 100)).toMatchObject({
      known: 'typed',
      rateMmPerH: 20,
    })
    // 30 L/min over 100 m² is 18 L/m² an hour.
    expect(supplyOf({ ...zone, flowLPerMin: 30 }, 100)).toMatchObject({ known: 'flow', rateMmPerH: 18 })
    expect(supplyOf(zone, 100)).toMatchObject({ known: 'usual', rateMmPerH: 15 })
    expect(supplyOf({ ...zone, kind: 'by hand' }, 72)).toMatchObject({ known: 'usual', rateMmPerH: 10 })
    expect(supplyOf({ ...zone, kind: 'none' }, 72)).toBeUndefined()
  })

  test('is cut into runs with a soak between them where it would run off', () => {
    // 25 mm/h on ground that takes 13: 3 mm stand after 15 minutes and have gone in after 13.8.
    expect(cycleAndSoak(40, 25, 13, 0)).toEqual({ minutes: 40 / 3, runs: 3, soakMinutes: (60 * 3) / 13 })
    expect(cycleAndSoak(40, 12, 13, 0)).toEqual({ minutes: 40, runs: 1, soakMinutes: 0 })
    expect(cycleAndSoak(40, 25, 13, 0.1).runs).toBeGreaterThan(3)
  })
})
