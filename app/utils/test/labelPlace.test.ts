import { describe, expect, test } from 'vitest'
import { distanceM, insideOutline, type Outline, type PointM } from '#core/site/geometry'
import { labelPlace, middleOf } from '../labelPlace'

const box: Outline = {
  outer: [
    [0, 0],
    [20, 0],
    [20, 10],
    [0, 10],
  ],
  holes: [],
}

describe('the name of a zone', () => {
  test('stands about in the middle of a plain one', () => {
    expect(distanceM(labelPlace(box, [])!, [10, 5])).toBeLessThan(4)
  })

  test('stands inside of a bent one, and not in what is cut out of it', () => {
    const bent: Outline = {
      outer: [
        [0, 0],
        [20, 0],
        [20, 4],
        [4, 4],
        [4, 20],
        [0, 20],
      ],
      holes: [
        [
          [8, 1],
          [12, 1],
          [12, 3],
          [8, 3],
        ],
      ],
    }
    expect(insideOutline(labelPlace(bent, [])!, bent)).toBe(true)
  })

  test('keeps away from other names', () => {
    const others: PointM[] = [[10, 5]]
    expect(distanceM(labelPlace(box, others)!, others[0]!)).toBeGreaterThan(3)
    expect(labelPlace({ outer: [], holes: [] }, [])).toBeUndefined()
    expect(middleOf(box.outer)).toEqual([10, 5])
  })
})
