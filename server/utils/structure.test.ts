import fc from 'fast-check'
import { expect, test } from 'vitest'
import { tooManyValues } from './structure'

/** Commas and openings of what was parsed: what the count counts. */
function structure(value: unknown): number {
  if (Array.isArray(value))
    return 1 + Math.max(0, value.length - 1) + value.reduce<number>((sum, one) => sum + structure(one), 0)
  if (typeof value === 'object' && value !== null)
    return (
      1 +
      Math.max(0, Object.keys(value).length - 1) +
      Object.values(value).reduce<number>((sum, one) => sum + structure(one), 0)
    )
  return 0
}

test('the values of a text are counted as a parser finds them, whatever stands in its strings', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 4 }), fc.integer({ min: 0, max: 12 }), (value, most) => {
      expect(tooManyValues(JSON.stringify(value), most)).toBe(structure(value) > most)
    }),
  )
  expect(tooManyValues(JSON.stringify(['[[[[,,,,{{{{"\\', ',']), 2)).toBe(false)
  expect(tooManyValues(`[${'0,'.repeat(60_000)}0]`)).toBe(true)
})
