import { told } from '../../explain/test/told'
import { all, create } from 'mathjs'
import { describe, expect, test } from 'vitest'
import fc from 'fast-check'
import { inUnits, lotOf, show, showText, figure, tapeInches, type Quantity } from '../figure'
import { parseArea } from '../../site/typedArea'
import { parseList, parseQuantity } from '../parse'
import {
  celsius,
  fahrenheit,
  G_PER_LB,
  G_PER_M2_PER_LB_PER_1000FT2,
  K_PER_K2O,
  KG_PER_OZ,
  L_PER_US_GAL,
  M2_PER_ACRE,
  M2_PER_FT2,
  KPA_PER_PSI,
  M3_PER_YD3,
  MM_PER_INCH,
  P_PER_P2O5,
} from '../units'

const math = create(all!, {})
const by = (value: string, unit: string) => math.unit(value).toNumber(unit)

describe('conversion factors', () => {
  // NIST SP 811 appendix B, from memory; mathjs as the reference library.
  test.each([
    ['inch', MM_PER_INCH, 25.4, by('1 in', 'mm')],
    ['square foot', M2_PER_FT2, 0.09290304, by('1 sqft', 'm2')],
    ['cubic yard', M3_PER_YD3, 0.764554857984, by('1 cuyd', 'm3')],
    ['pound', G_PER_LB, 453.59237, by('1 lbm', 'g')],
    ['ounce', KG_PER_OZ * 1000, 453.59237 / 16, by('1 oz', 'g')],
  ])('%s agrees with NIST and with the library', (_, ours, nist, library) => {
    expect(ours).toBeCloseTo(nist, 10)
    expect(ours).toBeCloseTo(library, 6)
  })

  test('acre and US gallon agree with NIST', () => {
    expect(M2_PER_ACRE).toBeCloseTo(4046.8564224, 7)
    expect(L_PER_US_GAL).toBeCloseTo(231 * 0.0254 ** 3 * 1000, 9)
  })

  test('1 lb on 1,000 ft² is 4.882428 g/m², and 25 and 50 g/m² are 5.12 and 10.24 lb', () => {
    expect(G_PER_M2_PER_LB_PER_1000FT2).toBeCloseTo(4.882428, 6)
    expect(inUnits('rateGPerM2', 25, 'us')).toBeCloseTo(5.12, 2)
    expect(inUnits('rateGPerM2', 50, 'us')).toBeCloseTo(10.24, 2)
  })

  test('an inch of water on 1,000 ft² is 623.4 US gallons', () => {
    expect((1000 * M2_PER_FT2 * MM_PER_INCH) / L_PER_US_GAL).toBeCloseTo(623.4, 1)
  })

  test('oxides hold phosphorus and potassium by their atomic masses', () => {
    // Standard atomic masses: P 30.974, K 39.098, O 15.999.
    expect(P_PER_P2O5).toBeCloseTo((2 * 30.974) / (2 * 30.974 + 5 * 15.999), 4)
    expect(K_PER_K2O).toBeCloseTo((2 * 39.098) / (2 * 39.098 + 15.999), 4)
  })

  test('temperatures go there and back', () => {
    expect(fahrenheit(18)).toBeCloseTo(by('18 degC', 'degF'), 9)
    fc.assert(
      fc.property(fc.double({ min: -80, max: 80, noNaN: true }), (t) => Math.abs(celsius(fahrenheit(t)) - t) < 1e-9),
    )
  })
})

describe('what people type', () => {
  test.each([
    ['rateGPerM2', '25 g/m2', 25],
    ['rateGPerM2', '5 lb', 24.41214],
    ['rateGPerM2', '5 lb/1,000 ft²', 24.41214],
    ['rateGPerM2', '250 kg/ha', 25],
    ['depthMm', '1/2 in', 12.7],
    ['depthMm', '½"', 12.7],
    ['depthMm', '1 1/2 in', 38.1],
    ['depthMm', '12mm', 12],
    ['depthMm', '0.7', 17.78],
    ['tempC', '50 °F', 10],
    ['tempC', '10C', 10],
    ['share', '85%', 0.85],
    ['share', '85', 0.85],
    ['massKg', '50 lb', 22.6796185],
    ['volumeM3', '2 cu yd', 1.529109714],
    ['volumeM3', '1½ yards', 1.146832],
    ['volumeM3', '10 ft³', 0.283168],
    ['volumeM3', '3', 0.084951],
  ] as [Quantity, string, number][])('%s: "%s"', (quantity, typed, si) => {
    const parsed = parseQuantity(quantity, typed, 'us')
    expect(parsed.ok && parsed.value).toBeCloseTo(si, 4)
  })

  test.each([
    ['6,590 sq ft', 612.231],
    ['612 m2', 612],
    ['40x16 m', 640],
    ['40 x 16', 59.458],
    ['60x40 ft + 20 x 10 ft', 241.548],
    ['10x10 m - 2x2 m', 96],
    ['0.15 acre', 607.028],
  ])('area "%s"', (typed, m2) => {
    const parsed = parseArea(typed, 'us')
    expect(parsed.ok && parsed.value).toBeCloseTo(m2, 2)
  })

  test.each(['', 'lots', '12 parsecs', '1/0 in', '--3', '12,5 mm', '40x m', '1x1 m - 2x2 m', '9'.repeat(400)])(
    'refuses "%s" with a sentence',
    (typed) => {
      const parsed = parseArea(typed, 'us')
      expect(parsed.ok).toBe(false)
      expect(!parsed.ok && told(parsed.message).length).toBeGreaterThan(5)
    },
  )

  test('never answers NaN or infinity, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom<Quantity>('areaM2', 'depthMm', 'rateGPerM2', 'tempC', 'share'),
        (typed, quantity) => {
          const parsed = parseQuantity(quantity, typed, 'metric')
          return !parsed.ok || Number.isFinite(parsed.value)
        },
      ),
    )
  })

  test('what is shown can be typed back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1000, max: 99999, noNaN: true }),
        fc.constantFrom<Quantity>('areaM2', 'rateGPerM2', 'massKg'),
        fc.constantFrom('us' as const, 'metric' as const),
        (value, quantity, system) => {
          const parsed = parseQuantity(quantity, showText(figure(quantity, value, 6), system), system)
          expect(parsed.ok && Math.abs(parsed.value / value - 1)).toBeLessThan(0.001)
        },
      ),
    )
  })
})

test('no more digits than the measurement bears', () => {
  expect(showText(figure('areaM2', 612.231), 'us')).toBe('6,590 ft²')
  expect(showText(figure('massKg', 11.975), 'us')).toBe('26.4 lb')
  // A pound is 16 ounces.
  expect(showText(figure('smallMassKg', 0.45359237 / 8), 'us')).toBe('2.0 oz')
  expect(showText(figure('smallMassKg', 0.0567), 'metric')).toBe('57 g')
  expect(showText(figure('tempC', 21.33), 'us')).toBe('70.4 °F')
  expect(show(figure('depthMm', 12.7), 'us')).toEqual({ value: '½', unit: 'in' })
  expect(tapeInches(38.1)).toBe('1½')
  expect(tapeInches(17.78)).toBeUndefined()
  expect(showText(figure('depthMm', 17.78), 'us')).toBe('0.7 in')
  expect(tapeInches(19.05)).toBe('¾')
  expect(tapeInches(1)).toBeUndefined()
})

test('a pound-force per square inch is 6.894757 kPa, as NIST SP 811 and the library have it', () => {
  expect(KPA_PER_PSI).toBeCloseTo(6.894757, 6)
  expect(KPA_PER_PSI).toBeCloseTo(by('1 psi', 'kPa'), 6)
  expect(showText(figure('kPa', 2000), 'us')).toBe('290 psi')
  expect(parseQuantity('speedKmh', '10 mph', 'metric')).toEqual({
    ok: true,
    value: expect.closeTo(by('10 mi/hour', 'km/hour'), 9) as number,
  })
  expect(showText(figure('speedKmh', 16), 'us')).toBe('10 mph')
  expect(parseQuantity('flowLPerMin', '5 gpm', 'metric')).toEqual({ ok: true, value: 5 * L_PER_US_GAL })
})

describe('prices by what people buy', () => {
  const price = (per: 'hours' | 'massKg' | 'volumeM3' | 'areaM2', minor: number) => ({
    quantity: 'money' as const,
    value: minor,
    currency: 'USD',
    per,
  })
  test('are a pound, a yard, an hour or a thousand square feet, or their metric fellows', () => {
    expect(showText(price('massKg', 900), 'us')).toBe('$4.08 / lb')
    expect(showText(price('massKg', 900), 'metric')).toBe('$9.00 / kg')
    // A cubic yard is 0.764555 m³, 1,000 ft² are 92.903 m².
    expect(showText(price('volumeM3', 10_000), 'us')).toBe('$76.46 / yd³')
    expect(showText(price('areaM2', 100), 'us')).toBe('$92.90 / 1,000 ft²')
    expect(showText(price('areaM2', 100), 'metric')).toBe('$100.00 / 100 m²')
    expect(showText(price('hours', 5800), 'us')).toBe('$58.00 / h')
  })

  test('cost the same for the same heap in either system', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('hours' as const, 'massKg' as const, 'volumeM3' as const, 'areaM2' as const),
        fc.double({ min: 0.1, max: 900, noNaN: true }),
        (per, amount) => {
          const cost = (['us', 'metric'] as const).map(
            (system) => (amount / lotOf(per, system).of) * lotOf(per, system).of,
          )
          expect(cost[0]! / cost[1]!).toBeCloseTo(1, 12)
          expect(amount / lotOf('massKg', 'us').of / inUnits('massKg', amount, 'us')).toBeCloseTo(1, 12)
        },
      ),
    )
  })
})

describe('several measurements typed in a row', () => {
  const read = (typed: string) => parseList('depthMm', typed, 'us')
  test('share the unit at the end, and keep one of their own', () => {
    expect(read('1/2, 3/4, 1 in')).toEqual({ ok: true, values: [12.7, 0.75 * 25.4, 25.4] })
    expect(read('12 mm; 1/2 in')).toEqual({ ok: true, values: [12, 12.7] })
    expect(read('⅝, ¾ in')).toEqual({ ok: true, values: [0.625 * 25.4, 0.75 * 25.4] })
    expect(parseList('kPa', '250, 300 psi', 'metric')).toEqual({
      ok: true,
      values: [250 * KPA_PER_PSI, 300 * KPA_PER_PSI],
    })
    expect(read(' ')).toEqual({ ok: true, values: [] })
  })

  test('with one that cannot be read are refused as a whole', () => {
    for (const typed of ['1/2, soft, 3/4 in', '1/2 in, 3 lb', '1 in, x'])
      expect([typed, read(typed).ok]).toEqual([typed, false])
  })

  test('shown and read again are what they were, to the rounding of what is shown', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 1, max: 150, noNaN: true }), { minLength: 1, maxLength: 6 }), (values) => {
        const again = parseList(
          'depthMm',
          values.map((value) => showText(figure('depthMm', value, 3), 'metric')).join(', '),
          'metric',
        )
        if (!again.ok) throw new Error(told(again.message))
        values.forEach((value, i) => expect(Math.abs(again.values[i]! - value)).toBeLessThanOrEqual(0.5))
      }),
    )
  })
})
