import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { growthLine } from '../height'
import { LEAF_STAGES, stageFrom, stageLagDays } from '../leafStage'

const at = (middle: number) => ({ early: middle - 2, middle, late: middle + 4 })
/** Up on day 10, an inch on day 20, 90 mm on day 46. */
const LINE = growthLine({ up: at(10), tall: at(20), mow: at(46), firstMowMm: 90 })

describe('stages of leaves', () => {
  test('follow each other from emergence on, by hand', () => {
    // 20 mm at 2.5 mm a day; then 65 mm in 26 days, 2.5 mm a day as well.
    expect(LEAF_STAGES.map((stage) => stageFrom(LINE, stage))).toEqual([10, 18, 28, 38])
  })

  // Common practice, no source: seedlings tiller from the fourth to the sixth week after sowing, and before their first mowing.
  test('tillering begins before the first mowing, some weeks after emergence', () => {
    const from = stageFrom(LINE, 'tillering')
    expect(from).toBeLessThan(46)
    expect(from - 10).toBeGreaterThanOrEqual(14)
    expect(from).toBeLessThanOrEqual(42)
  })

  test('seen on a day they move the line no farther than to where it fits', () => {
    expect(stageLagDays(LINE, 20, 'second leaf')).toBe(0)
    expect(stageLagDays(LINE, 15, 'second leaf')).toBe(-3)
    expect(stageLagDays(LINE, 33, 'second leaf')).toBe(5)
    expect(stageLagDays(LINE, 90, 'tillering')).toBe(0)
    fc.assert(
      fc.property(fc.integer({ min: 11, max: 80 }), fc.constantFrom(...LEAF_STAGES), (day, stage) => {
        const fits = day - stageLagDays(LINE, day, stage)
        const [from, next] = [stageFrom(LINE, stage), LEAF_STAGES[LEAF_STAGES.indexOf(stage) + 1]]
        expect(fits).toBeGreaterThanOrEqual(from - 1e-9)
        if (next) expect(fits).toBeLessThanOrEqual(stageFrom(LINE, next) + 1e-9)
      }),
    )
  })
})
