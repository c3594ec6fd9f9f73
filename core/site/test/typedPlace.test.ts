import { told } from '../../explain/test/told'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { parseDegrees } from '../typedPlace'

describe('a place as typed', () => {
  const lat = (typed: string) => parseDegrees('latitude', typed)
  const value = (parsed: ReturnType<typeof lat>) => (parsed.ok ? parsed.value : undefined)

  test('is read from decimals, from minutes and seconds, and with the letter of its side', () => {
    for (const typed of ['37.05', '37.05 N', "37° 3' N", '37°3′N', '37 3', '37 3 0'])
      expect(value(lat(typed))).toBeCloseTo(37.05, 9)
    for (const typed of ['-37.05', '−37.05', '37.05 s', "37° 3' S"]) expect(value(lat(typed))).toBeCloseTo(-37.05, 9)
    expect(value(parseDegrees('longitude', '79° 24\' 36" W'))).toBeCloseTo(-79.41, 9)
  })

  test('that cannot be is refused in words', () => {
    for (const typed of ['', 'north', '37.05 W', '-37.05 S', "37° 61'", "37.5° 30'", '1e2', '37,05', '37 3 70'])
      expect(lat(typed)).toMatchObject({ ok: false })
    const refused = parseDegrees('longitude', '79 N')
    expect(!refused.ok && told(refused.message)).toContain('79.4')
  })

  test('in minutes and seconds is within a hundredth of a second of its decimals', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 65 }),
        fc.integer({ min: 0, max: 59 }),
        fc.integer({ min: 0, max: 5999 }),
        fc.constantFrom('N', 'S'),
        (d, m, hundredths, side) => {
          const parsed = lat(`${d}° ${m}' ${(hundredths / 100).toFixed(2)}" ${side}`)
          expect(
            Math.abs(value(parsed)! - ((side === 'S' ? -1 : 1) * (d * 3600 + m * 60 + hundredths / 100)) / 3600),
          ).toBeLessThan(0.01 / 3600)
        },
      ),
    )
  })
})
