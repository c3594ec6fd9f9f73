import { describe, expect, test } from 'vitest'
import { dayOfHeight, growthLine, heightOn, lagDays, movedBy } from '../height'

const at = (middle: number) => ({ early: middle - 2, middle, late: middle + 4 })
/** Up on day 10, an inch on day 20, 90 mm on day 46. */
const LINE = growthLine({ up: at(10), tall: at(20), mow: at(46), firstMowMm: 90 })

describe('leaves after sowing', () => {
  test('stand on straight lines through what the season says', () => {
    expect([5, 10, 15, 20, 33, 46].map((day) => heightOn(LINE, day))).toEqual([0, 0, 12.5, 25, 57.5, 90])
    // Beyond the first mowing they go on as before it.
    expect(heightOn(LINE, 59)).toBeCloseTo(122.5, 9)
  })
  test('a height has its day, and back', () => {
    for (const mm of [1, 12.5, 25, 60, 90, 110]) expect(heightOn(LINE, dayOfHeight(LINE, mm))).toBeCloseTo(mm, 9)
  })
  test('lag behind by what is read off sideways', () => {
    expect(lagDays(LINE, 20, 12.5)).toBe(5)
    expect(lagDays(LINE, 20, 25)).toBe(0)
    expect(lagDays(LINE, 20, 57.5)).toBe(-13)
  })
  test('move the first mowing, never to before they were measured and never by more than three weeks', () => {
    expect(movedBy(at(46), 5, 20)).toEqual({ early: 49, middle: 51, late: 55 })
    expect(movedBy(at(46), -40, 30)).toEqual({ early: 30, middle: 30, late: 31 })
    expect(movedBy(at(46), 90, 20).middle).toBe(67)
  })
  test('of grass kept low have no inch between emergence and first mowing', () => {
    expect(growthLine({ up: at(10), tall: at(20), mow: at(16), firstMowMm: 18 })).toEqual([
      [10, 0],
      [16, 18],
    ])
    // A first mowing on the day of emergence still has a slope.
    expect(heightOn(growthLine({ up: at(10), tall: null, mow: at(10), firstMowMm: 18 }), 11)).toBe(18)
  })
})
