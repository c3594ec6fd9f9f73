import fc from 'fast-check'
import { expect, test } from 'vitest'
import { hollowProblem, liftsFor, measureHollow, parseDepthRows } from '../hollow'

const grid = (rowsMm: number[][], spacingM = 1) => ({ name: '', spacingM, widthM: null, rowsMm })

test('a bowl comes out as its formula, half of the cylinder round it, as the grid gets finer', () => {
  // Volume of a paraboloid: ½·π·r²·depth; any handbook of solids.
  const n = 60
  const rows = Array.from({ length: n + 1 }, (_, r) =>
    Array.from({ length: n + 1 }, (_, c) =>
      Math.max(0, 100 * (1 - ((r - n / 2) ** 2 + (c - n / 2) ** 2) / (n / 2) ** 2)),
    ),
  )
  const { volume, deepestMm } = measureHollow(grid(rows, 4 / n))
  expect(volume.value / ((Math.PI / 2) * 2 ** 2 * 0.1)).toBeCloseTo(1, 2)
  expect(deepestMm).toBe(100)
})

test('a slope in both directions is its mean depth times its ground, exactly', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 6 }),
      fc.integer({ min: 2, max: 6 }),
      fc.double({ min: 0.5, max: 9, noNaN: true }),
      (rows, columns, step) => {
        const depths = Array.from({ length: rows }, (_, r) =>
          Array.from({ length: columns }, (_, c) => step * (r + c) + 1),
        )
        const mean = (depths[0]![0]! + depths[rows - 1]![columns - 1]!) / 2
        expect(measureHollow(grid(depths)).volume.value).toBeCloseTo((mean / 1000) * (rows - 1) * (columns - 1), 9)
      },
    ),
  )
})

test('a string over a trench: its section times its width', () => {
  // 0, 50, 50, 0 mm at 0.5 m: a section of 0.05 m², for 4 m of trench 0.2 m³.
  const trench = { name: 'trench', spacingM: 0.5, widthM: 4, rowsMm: [[0, 50, 50, 0]] }
  expect(measureHollow(trench).volume.value).toBeCloseTo(0.2, 9)
  expect(hollowProblem({ ...trench, widthM: null })).toEqual({ key: 'site.oneRowNeedsThe' })
})

test('what is no grid is refused in words', () => {
  expect(() => measureHollow(grid([[1, 2], [3]]))).toThrow(/everyRowNeedsAs/)
  expect(() =>
    measureHollow(
      grid([
        [0, 0],
        [0, 0],
      ]),
    ),
  ).toThrow(/noDepthIsAbove/)
  expect(parseDepthRows('0 10 20 / 5, 15, 25')).toEqual([
    [0, 10, 20],
    [5, 15, 25],
  ])
  for (const bad of ['', '1 two 3', '4 -5 6']) expect(parseDepthRows(bad)).toBeUndefined()
})

test('lifts of half an inch over living grass', () => {
  // Common practice, no source: not more than ½ in (12 mm) in one lift.
  expect([1, 12, 12.1, 24, 25, 75].map(liftsFor)).toEqual([1, 1, 2, 2, 3, 7])
})
