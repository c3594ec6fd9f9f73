import turfArea from '@turf/area'
import fc from 'fast-check'
import clipping from 'polygon-clipping'
import { describe, expect, test } from 'vitest'
import { fromPlan, toPlan } from '../geodesy'
import {
  crossesItself,
  insideOutline,
  outlineAreaM2,
  perimeterM,
  sidesM,
  signedAreaM2,
  tapeOn,
  withSide,
  type Outline,
  type PointM,
  type Ring,
} from '../geometry'
import { borderM, coveredM2, joined, splitAlong, without } from '../overlay'
import { featureProblem, type Feature } from '../sitePlan'
import { drawnAreaM2, handSownBorderM } from '../drawn'

/** Corners round a middle at growing angles: any such outline is sound. */
const star = fc
  .array(fc.double({ min: 3, max: 40, noNaN: true }), { minLength: 4, maxLength: 14 })
  .map((radii): Ring =>
    radii.map(
      (r, i) =>
        [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)] as PointM,
    ),
  )
const box = (x: number, y: number, w: number, h: number): Ring => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
]
const moved = (ring: Ring, dx: number, dy: number, turn: number): Ring =>
  ring.map(([x, y]) => [x * Math.cos(turn) - y * Math.sin(turn) + dx, x * Math.sin(turn) + y * Math.cos(turn) + dy])
const plain = (outer: Ring): Outline => ({ outer, holes: [] })
const feature = (change: Partial<Feature>): Feature => ({
  kind: 'zone',
  name: '',
  points: [],
  holes: [],
  zoneId: 'front',
  heightM: null,
  radiusM: null,
  depthMm: null,
  located: false,
  ...change,
})

/**
 * What polygon-clipping (Martinez-Rueda) leaves of an outline, apart from the Vatti clipping that is used; undefined where
 * it loses its way, as it does on edges that differ in the last bit.
 */
function leftByAnother(outer: Ring, holes: readonly Ring[]): number | undefined {
  let left: PointM[][][]
  try {
    left = clipping.difference([outer] as never, ...holes.map((hole) => [hole] as never)) as never
  } catch {
    return undefined
  }
  const rings = left.flatMap((polygon) => polygon.map((ring, i) => (i ? -1 : 1) * Math.abs(signedAreaM2(ring))))
  return rings.reduce((sum, area) => sum + area, 0)
}

describe('areas', () => {
  test('do not depend on which way round, where or how turned an outline was drawn', () => {
    fc.assert(
      fc.property(
        star,
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        fc.double({ min: 0, max: 7, noNaN: true }),
        (ring, away, turn) => {
          const area = outlineAreaM2(plain(ring))
          expect(outlineAreaM2(plain([...ring].reverse()))).toBeCloseTo(area, 8)
          expect(outlineAreaM2(plain(moved(ring, away, -away, turn))) / area).toBeCloseTo(1, 8)
          expect(signedAreaM2(ring)).toBeGreaterThan(0)
        },
      ),
    )
  })

  test('of regular polygons are ½·n·r²·sin(2π/n), the published formula', () => {
    for (const n of [3, 4, 6, 17, 100]) {
      const ring = Array.from({ length: n }, (_, i): PointM => [
        5 * Math.cos((2 * Math.PI * i) / n),
        5 * Math.sin((2 * Math.PI * i) / n),
      ])
      expect(outlineAreaM2(plain(ring))).toBeCloseTo((n / 2) * 25 * Math.sin((2 * Math.PI) / n), 9)
    }
  })

  test('agree with geodesic areas of @turf/area for gardens anywhere, holes subtracted', () => {
    fc.assert(
      fc.property(
        star,
        fc.double({ min: -66, max: 66, noNaN: true }),
        fc.double({ min: -179, max: 179, noNaN: true }),
        (ring, latDeg, lonDeg) => {
          const hole = ring.map(([x, y]): PointM => [x / 3, y / 3])
          const geographic = (r: Ring) => [...r, r[0]!].map((point) => fromPlan({ latDeg, lonDeg }, point))
          const turf = turfArea({ type: 'Polygon', coordinates: [geographic(ring), geographic(hole)] })
          // Turf reckons on a sphere of 6,371,008.8 m, the plan on the ellipsoid: up to 0.6 % between them.
          expect(outlineAreaM2({ outer: ring, holes: [hole] }) / turf).toBeGreaterThan(0.992)
          expect(outlineAreaM2({ outer: ring, holes: [hole] }) / turf).toBeLessThan(1.008)
        },
      ),
    )
  })

  test('of a drawing with cut-outs anywhere are what another library leaves of it: beside, over the edge and over each other they take no more than is there', () => {
    const within = fc.tuple(
      fc.double({ min: -40, max: 40, noNaN: true }),
      fc.double({ min: -40, max: 40, noNaN: true }),
    )
    fc.assert(
      fc.property(star, fc.array(fc.tuple(star, within), { maxLength: 4 }), fc.boolean(), (outer, cuts, twice) => {
        const holes = cuts.map(([ring, [dx, dy]]) => moved(ring, dx, dy, 0))
        const drawn = coveredM2([{ outer, holes: twice ? [...holes, ...holes] : holes }])
        expect(drawn).toBeLessThanOrEqual(outlineAreaM2(plain(outer)) + 0.01)
        const theirs = leftByAnother(outer, holes)
        if (theirs !== undefined) expect(drawn).toBeCloseTo(theirs, 1)
      }),
      { numRuns: 150 },
    )
    // As it was found: a cut-out beside a zone added its own area, two equal ones took nothing.
    expect(coveredM2([{ outer: box(0, 0, 21, 14), holes: [box(100, 0, 17, 14)] }])).toBeCloseTo(294, 3)
    expect(coveredM2([{ outer: box(0, 0, 10, 10), holes: [box(2, 2, 3, 3), box(2, 2, 3, 3)] }])).toBeCloseTo(91, 3)
  })

  test('a degree of latitude is 110.574 km at the equator and 111.694 km at the pole; of longitude 111.320 km at the equator', () => {
    // Lengths of a degree on WGS 84 as geodesy handbooks print them, from memory.
    expect(toPlan({ latDeg: 0, lonDeg: 0 }, [0, 1])[1]).toBeCloseTo(110_574.3, 0)
    expect(toPlan({ latDeg: 90, lonDeg: 0 }, [0, 91])[1]).toBeCloseTo(111_694, 0)
    expect(toPlan({ latDeg: 0, lonDeg: 0 }, [1, 0])[0]).toBeCloseTo(111_319.5, 0)
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        (x, y) => {
          const place = { latDeg: 37, lonDeg: -79 }
          const back = toPlan(place, fromPlan(place, [x, y]))
          expect(Math.hypot(back[0] - x, back[1] - y)).toBeLessThan(1e-5)
        },
      ),
    )
  })
})

/** Corners stand on tenths of a millimetre; along 300 m of edge that is 300 cm² at the very most. */
const SNAPPED_M2 = 0.03

describe('joining and cutting', () => {
  test('a union is no larger than its parts and no smaller than the largest, and parts cut off add up again', () => {
    fc.assert(
      fc.property(star, star, fc.double({ min: -20, max: 20, noNaN: true }), (a, b, shift) => {
        const [one, other] = [plain(a), plain(moved(b, shift, shift / 2, 0.3))]
        const [first, second, both] = [coveredM2([one]), coveredM2([other]), coveredM2([one, other])]
        expect(both).toBeLessThanOrEqual(first + second + SNAPPED_M2)
        expect(both).toBeGreaterThanOrEqual(Math.max(first, second) - SNAPPED_M2)
        // What is only in the one, and all of the other, is both.
        expect(Math.abs(coveredM2(without([one], [other])) + second - both)).toBeLessThan(SNAPPED_M2)
      }),
      { numRuns: 60 },
    )
  })

  test('split along any line through the middle, the pieces add up to the whole', () => {
    fc.assert(
      fc.property(star, fc.double({ min: 0, max: 3, noNaN: true }), (ring, angle) => {
        const { left, right } = splitAlong(plain(ring), [0, 0], [Math.cos(angle), Math.sin(angle)])
        expect(Math.abs(coveredM2(left) + coveredM2(right) - outlineAreaM2(plain(ring)))).toBeLessThan(SNAPPED_M2)
        for (const { outer } of left)
          for (const [x, y] of outer) expect(x * Math.sin(angle) - y * Math.cos(angle)).toBeLessThan(2e-4)
      }),
      { numRuns: 60 },
    )
    expect(() => splitAlong(plain(box(0, 0, 4, 4)), [9, 0], [9, 1])).toThrow(/lineDoesNotCross/)
    expect(() => splitAlong(plain(box(0, 0, 4, 4)), [1, 1], [1, 1])).toThrow(/lineNeedsTwoPoints/)
  })

  test('beds and buildings come out of a zone once, and edges between zones are not sown by hand', () => {
    const features = {
      a: feature({ points: box(0, 0, 10, 10) }),
      b: feature({ points: box(10, 0, 10, 10), zoneId: 'back' }),
      bed: feature({ kind: 'bed', points: box(2, 2, 3, 3), zoneId: null }),
      pond: feature({ kind: 'bed', points: box(3, 3, 3, 3), zoneId: null }),
      house: feature({ kind: 'building', points: box(8, 8, 4, 4), zoneId: null }),
    }
    expect(drawnAreaM2(features, 'front')).toBeCloseTo(100 - 14 - 4, 6)
    expect(drawnAreaM2(features, 'back')).toBeCloseTo(100 - 4, 9)
    expect(drawnAreaM2(features, 'shed')).toBeUndefined()
    // Round 20 × 10 with the house notched out of its upper edge, and round two beds that overlap.
    expect(handSownBorderM(features)).toBeCloseTo(60 + 4 + 16, 9)
    expect(borderM(joined([plain(box(0, 0, 10, 10)), plain(box(10, 0, 10, 10))]))).toBeCloseTo(60, 9)
  })
})

test('what cannot be drawn is said', () => {
  const bow: Ring = [
    [0, 0],
    [4, 4],
    [4, 0],
    [0, 4],
  ]
  expect(crossesItself(bow)).toBe(true)
  expect(crossesItself(box(0, 0, 3, 3))).toBe(false)
  expect(featureProblem(feature({ points: bow }))).toEqual({ key: 'site.itsEdgeCrossesItself' })
  expect(
    featureProblem(
      feature({
        points: [
          [0, 0],
          [1, 1],
        ],
      }),
    ),
  ).toEqual({ key: 'site.aNeedsPointsAt', values: { kind: { key: 'site.kindZone' }, least: 3 } })
  expect(
    featureProblem(
      feature({
        points: [
          [0, 0],
          [1, 1],
          [2, 2],
        ],
      }),
    ),
  ).toEqual({ key: 'site.itEnclosesNothing' })
  expect(
    featureProblem(
      feature({
        kind: 'tree',
        points: [
          [0, 0],
          [1, 1],
        ],
      }),
    ),
  ).toMatchObject({ key: 'site.aIsOnePlace' })
  expect(featureProblem(feature({ points: box(0, 0, 9, 9), holes: [box(1, 1, 2, 2)] }))).toBeUndefined()
  expect(insideOutline([2, 2], { outer: box(0, 0, 9, 9), holes: [box(1, 1, 2, 2)] })).toBe(false)
})

test('by tape and turn, four equal sides with left turns come back to where they began', () => {
  let line: PointM[] = [[3, 4]]
  for (const turn of [0, 90, 90, 90]) line = [...line, tapeOn(line, 7, turn)]
  expect(Math.hypot(line[1]![0] - 3, line[1]![1] - 11)).toBeLessThan(1e-9)
  expect(Math.hypot(line[4]![0] - 3, line[4]![1] - 4)).toBeLessThan(1e-9)
  expect(perimeterM(box(0, 0, 3, 4))).toBe(14)
  expect(sidesM(box(0, 0, 3, 4))).toEqual([3, 4, 3, 4])
})

describe('a side typed to a length', () => {
  test('has that length, and no other side changes but the one that closes', () => {
    fc.assert(
      fc.property(star, fc.nat(), fc.double({ min: 0.5, max: 60, noNaN: true }), (ring, pick, metres) => {
        const side = pick % ring.length
        const before = sidesM(ring)
        const after = sidesM(withSide(ring, side, metres))
        expect(after[side]).toBeCloseTo(metres, 6)
        const closing = side === ring.length - 1 ? side - 1 : ring.length - 1
        after.forEach((length, i) => {
          if (i !== side && i !== closing) expect(length).toBeCloseTo(before[i]!, 6)
        })
      }),
    )
  })

  test('keeps a rectangle one where its two pairs are typed in turn', () => {
    const typed = [20, 10, 20].reduce((ring, metres, side) => withSide(ring, side, metres), [...box(0, 0, 7, 5)])
    expect(sidesM(typed)).toEqual([20, 10, 20, 10])
    expect(() => withSide(box(0, 0, 7, 5), 0, 0)).toThrow(RangeError)
    expect(() =>
      withSide(
        [
          [0, 0],
          [0, 0],
          [3, 3],
        ],
        0,
        5,
      ),
    ).toThrow(RangeError)
  })
})

test('an outline crosses itself exactly where two of its sides that do not meet cross, each looked at with each', () => {
  const turn = ([ax, ay]: PointM, [bx, by]: PointM, [cx, cy]: PointM) => (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
  const anyTwo = (ring: Ring) =>
    ring.some((a, i) =>
      ring.some((c, k) => {
        const [b, d] = [ring[(i + 1) % ring.length]!, ring[(k + 1) % ring.length]!]
        const apart = Math.abs(i - k)
        return (
          apart > 1 && apart < ring.length - 1 && turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0
        )
      }),
    )
  const corner = fc.tuple(fc.integer({ min: -9, max: 9 }), fc.integer({ min: -9, max: 9 }))
  fc.assert(
    fc.property(fc.array(corner, { minLength: 3, maxLength: 12 }), (ring) => {
      expect(crossesItself(ring)).toBe(anyTwo(ring))
    }),
    { numRuns: 500 },
  )
})
