import fc from 'fast-check'
import { expect, test } from 'vitest'
import { circleM2, offsetsM2, rectangleM2, trapezoidM2, triangleM2 } from '../area'

test('offsets 0, 4, 7, 8, 7, 4, 0 m at 3 m are 90.0 m² by trapezoids and 92.0 m² by Simpson', () => {
  expect(offsetsM2([0, 4, 7, 8, 7, 4, 0], 3)).toEqual({ trapezoidal: 90, simpson: 92 })
  expect(offsetsM2([1, 2], 3).simpson).toBeUndefined()
})

test('Heron agrees with half base times height for any right triangle', () => {
  fc.assert(fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), fc.double({ min: 0.1, max: 500, noNaN: true }), (a, b) => {
    expect(triangleM2(a, b, Math.hypot(a, b)) / ((a * b) / 2)).toBeCloseTo(1, 6)
  }))
})

test('a parabola is measured exactly by Simpson', () => {
  const offsets = Array.from({ length: 9 }, (_, i) => i * (8 - i))
  expect(offsetsM2(offsets, 1).simpson).toBeCloseTo((8 * 8 ** 2) / 2 - 8 ** 3 / 3, 9)
})

test('shapes that cannot be are refused', () => {
  expect(() => triangleM2(1, 2, 4)).toThrow(/close/)
  expect(() => rectangleM2(0, 3)).toThrow(RangeError)
  expect(() => offsetsM2([1], 3)).toThrow(RangeError)
  expect(() => offsetsM2([1, -2], 3)).toThrow(RangeError)
  expect(circleM2(2)).toBeCloseTo(Math.PI, 9)
  expect(trapezoidM2(4, 6, 3)).toBe(15)
})
