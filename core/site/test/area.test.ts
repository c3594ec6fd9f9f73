import { told } from '../../explain/test/told'
import fc from 'fast-check'
import { expect, test } from 'vitest'
import { M2_PER_FT2 } from '../../measure/units'
import { ellipseM2, offsetM2, rectangleM2, ringSectorM2, trapezoidM2, triangleM2 } from '../area'
import { parseArea, readTaped, SHAPE_EXAMPLES } from '../typedArea'

const side = fc.double({ min: 0.1, max: 500, noNaN: true })

test('Heron agrees with half base times height for any right triangle', () => {
  fc.assert(
    fc.property(side, side, (a, b) => {
      expect(triangleM2(a, b, Math.hypot(a, b)) / ((a * b) / 2)).toBeCloseTo(1, 6)
    }),
  )
})

test('Heron does not mind in which order the sides were taped', () => {
  fc.assert(
    fc.property(side, side, (a, b) => {
      const c = Math.hypot(a, b)
      expect(triangleM2(c, a, b)).toBe(triangleM2(b, c, a))
    }),
  )
})

test('shapes that cannot be are refused', () => {
  expect(() => triangleM2(1, 2, 4)).toThrow(/noTriangle/)
  expect(() => rectangleM2(0, 3)).toThrow(RangeError)
  expect(() => rectangleM2(3, Number.NaN)).toThrow(RangeError)
})

test('taped shapes are typed by their sides, and add up', () => {
  const m2 = (typed: string) => {
    const parsed = parseArea(typed, 'metric')
    return parsed.ok ? parsed.value : told(parsed.message)
  }
  expect(m2('3x4x5 m')).toBeCloseTo(6, 9)
  expect(m2('3x4x5')).toBeCloseTo(6, 9)
  expect(m2('10x10 m + 3x4x5 m - 1x1')).toBeCloseTo(105, 9)
  expect(m2('30x40x50 ft')).toBeCloseTo(600 * M2_PER_FT2, 9)
  expect(m2('1x2x9 m')).toContain('do not close')
  expect(m2('0x5 m')).toContain('longer than nothing')
  expect(m2('1x2x3x4 m')).toContain('Sides such as')
  expect(m2('trapezoid 10x8x6 m + circle 2 m')).toBeCloseTo(54 + Math.PI, 9)
  expect(m2('ring 8x5 m 90°')).toBeCloseTo((Math.PI / 4) * 39, 9)
  expect(m2('ring 5x8 m 90°')).toContain('inner radius')
  expect(m2('ellipse 8 m')).toContain('ellipse such as ellipse 8x5 m')
  expect(m2('offsets 3 m: 0 4 x')).toContain('"x" is not understood')
  expect(m2('offsets 3 m 0 4 7')).toContain('the spacing, then each offset')
})

test('the offset method gives the worked example: 90.0 m² by trapezoids, 92.0 m² by Simpson', () => {
  // Worked by hand: offsets 0, 4, 7, 8, 7, 4, 0 m at 3 m.
  expect(offsetM2([0, 4, 7, 8, 7, 4, 0], 3)).toEqual({ trapezoidalM2: 90, simpsonM2: 92, bestM2: 92 })
  expect(parseArea('offsets 3 m: 0 4 7 8 7 4 0', 'us')).toEqual({ ok: true, value: 92 })
  expect(offsetM2([0, 4, 7, 8], 3)).toMatchObject({ simpsonM2: null, trapezoidalM2: 45 })
  for (const bad of [
    [1, 2],
    [1, -1, 2],
    [0, 0, 0],
  ])
    expect(() => offsetM2(bad, 3)).toThrow(RangeError)
})

test('Simpson’s rule is exact for parabolas and cubics, as every textbook of analysis proves', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 3, noNaN: true }),
      fc.double({ min: 0.1, max: 5, noNaN: true }),
      fc.integer({ min: 1, max: 8 }),
      (a, width, half) => {
        const n = 2 * half
        const f = (x: number) => a * x ** 3 + x ** 2 + 1
        const offsets = Array.from({ length: n + 1 }, (_, i) => f((i * width) / n))
        const exact = (a * width ** 4) / 4 + width ** 3 / 3 + width
        expect(offsetM2(offsets, width / n).simpsonM2! / exact).toBeCloseTo(1, 9)
      },
    ),
  )
})

test('shapes agree with those they turn into', () => {
  fc.assert(
    fc.property(side, side, side, (a, b, c) => {
      expect(trapezoidM2(a, a, b)).toBeCloseTo(rectangleM2(a, b), 6)
      expect(ellipseM2(a, b)).toBeCloseTo((Math.PI * a * b) / 4, 6)
      const [inner, outer] = [Math.min(a, b), Math.max(a, b) + 1]
      expect(ringSectorM2(outer, inner, 360) / (Math.PI * (outer ** 2 - inner ** 2))).toBeCloseTo(1, 9)
      expect(trapezoidM2(a, b, c)).toBeCloseTo(trapezoidM2(b, a, c), 6)
    }),
  )
})

test('every example that the screen gives is read, and kept as the shape it names', () => {
  for (const [kind, example] of Object.entries(SHAPE_EXAMPLES))
    expect(readTaped(example, 'us'), example).toMatchObject({ ok: true, parts: [{ shape: { kind }, cutOut: false }] })
  expect(readTaped('6,590 sq ft', 'us')).toBeUndefined()
})
