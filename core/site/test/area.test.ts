import fc from 'fast-check'
import { expect, test } from 'vitest'
import { M2_PER_FT2 } from '../../quantity/units'
import { rectangleM2, triangleM2 } from '../area'
import { parseArea } from '../typedArea'

const side = fc.double({ min: 0.1, max: 500, noNaN: true })

test('Heron agrees with half base times height for any right triangle', () => {
  fc.assert(fc.property(side, side, (a, b) => {
    expect(triangleM2(a, b, Math.hypot(a, b)) / ((a * b) / 2)).toBeCloseTo(1, 6)
  }))
})

test('Heron does not mind in which order the sides were taped', () => {
  fc.assert(fc.property(side, side, (a, b) => {
    const c = Math.hypot(a, b)
    expect(triangleM2(c, a, b)).toBe(triangleM2(b, c, a))
  }))
})

test('shapes that cannot be are refused', () => {
  expect(() => triangleM2(1, 2, 4)).toThrow(/close/)
  expect(() => rectangleM2(0, 3)).toThrow(RangeError)
  expect(() => rectangleM2(3, Number.NaN)).toThrow(RangeError)
})

test('taped shapes are typed by their sides, and add up', () => {
  const m2 = (typed: string) => {
    const parsed = parseArea(typed, 'metric')
    return parsed.ok ? parsed.value : parsed.message
  }
  expect(m2('3x4x5 m')).toBeCloseTo(6, 9)
  expect(m2('3x4x5')).toBeCloseTo(6, 9)
  expect(m2('10x10 m + 3x4x5 m - 1x1')).toBeCloseTo(105, 9)
  expect(m2('30x40x50 ft')).toBeCloseTo(600 * M2_PER_FT2, 9)
  expect(m2('1x2x9 m')).toContain('do not close')
  expect(m2('0x5 m')).toContain('longer than nothing')
  expect(m2('1x2x3x4 m')).toContain('Sides such as')
})
