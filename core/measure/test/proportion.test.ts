import { expect, test } from 'vitest'
import { wilsonInterval } from '../proportion'

// Newcombe 1998, Statistics in Medicine 17, table I, method 3 (Wilson without continuity correction), 95 %; from memory.
test.each([
  [81, 263, 0.2553, 0.3662],
  [15, 148, 0.0624, 0.1605],
  [0, 20, 0, 0.1611],
  [1, 29, 0.0061, 0.1718],
])('%i of %i may be %d to %d in truth', (counted, of, low, high) => {
  const [least, most] = wilsonInterval(counted / of, of, 1.95996)
  expect(least).toBeCloseTo(low, 4)
  expect(most).toBeCloseTo(high, 4)
})

test('87 of 100 over 200 years is 83 to 90, as the method of the odds has it', () => {
  expect(wilsonInterval(0.87, 200).map((share) => Math.round(share * 100))).toEqual([83, 90])
})

test('shares outside of 0 to 1, and nothing counted, are refused', () => {
  for (const [share, of] of [
    [-0.1, 10],
    [1.1, 10],
    [Number.NaN, 10],
    [0.5, 0],
  ] as const)
    expect(() => wilsonInterval(share, of)).toThrow(RangeError)
})
