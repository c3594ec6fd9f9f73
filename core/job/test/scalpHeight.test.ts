import { describe, expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import { swardByCode, type SwardCode } from '../../grass/swards'
import { PROGRAMMES, type ProgrammeCode } from '../decision/programmes'
import { lowestCutMm, scalpGate } from '../scalpHeight'
import { beginningSettings } from '../seeding'
import { DEFAULT_PRACTICES } from '../decision/usualPractices'
import { aZone } from '../../../contract/test/looks'

const floor = (sward: SwardCode, programme: ProgrammeCode, desirableShare = 0.5) =>
  lowestCutMm({ sward, desirableShare }, PROGRAMMES[programme])
const scalpTo = (sward: SwardCode, programme: ProgrammeCode, desirableShare = 0.5) =>
  beginningSettings(
    { zones: { a: aZone({ sward, desirableShare }) }, measured: {}, latDeg: 33, soilTest: null },
    { blend: [], sowOn: null },
    DEFAULT_PRACTICES,
    programme,
  ).scalpToMm

// Found: St. Augustinegrass, centipede, kikuyu and bahia were cut to 12-25 mm, by the grass that was wanted.
// Mowing heights of turf handbooks, from memory.
describe('turf that is to live', () => {
  test.each([
    ['SAG', 65],
    ['CEN', 25],
    ['BAH', 75],
    ['KIK', 25],
  ] as const)('%s of the warm season is never cut below two thirds of %i mm', (sward, low) => {
    expect(swardByCode(sward).mowingMm[0]).toBe(low)
    for (const programme of ['overseed', 'level', 'warm'] as const) {
      expect(floor(sward, programme)).toBeCloseTo((2 / 3) * low, 9)
      expect(scalpTo(sward, programme)).toBeGreaterThanOrEqual((2 / 3) * low - 1e-9)
    }
  })
  test('is cut low and raked for winter color where it runs coarsely above ground', () => {
    expect([floor('SAG', 'winter'), floor('BAH', 'winter')]).toEqual([65, 75])
    expect(scalpTo('SAG', 'winter')).toBe(65)
    expect(scalpTo('BER', 'winter')).toBe(12)
  })
  test('of the cool season goes by how much of it stays', () => {
    expect([floor('TF', 'overseed', 0.8), floor('TF', 'overseed', 0.6)]).toEqual([expect.closeTo(43.33, 1), 0])
    expect(scalpTo('TF', 'overseed', 0.8)).toBe(50)
    expect(scalpTo('TF', 'overseed', 0.6)).toBe(25)
  })
})

test('turf that is to die may be cut as low as the machine goes', () => {
  expect([floor('SAG', 'kill'), floor('TF', 'strip', 0.9)]).toEqual([0, 0])
})

test('a cut below it is held, and one that cool-season turf bears once is a risk', () => {
  const gate = (sward: SwardCode, share: number, toMm: number, programme: ProgrammeCode = 'overseed') =>
    scalpGate({ sward, desirableShare: share }, PROGRAMMES[programme], toMm)
  expect(gate('SAG', 0.5, 25)).toMatchObject({ state: 'hold', code: 'height' })
  expect(told(gate('SAG', 0.5, 25)!.text)).toBe('St. Augustinegrass is to live: cut it no lower than 43 mm.')
  expect(gate('TF', 0.6, 25)).toMatchObject({ state: 'risk' })
  expect([gate('TF', 0.6, 50), gate('TF', 0.6, 10, 'kill')]).toEqual([undefined, undefined])
})
