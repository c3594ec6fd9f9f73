import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { distanceM, type PointM } from '../geometry'
import { layUnder, movedFrom, onPlan, scaledBy, turnedTo, type Underlay } from '../underlay'

const PHOTO = { id: 'a', widthPx: 1600, heightPx: 1200 }
const picture: Underlay = { photoId: 'a', at: [10, 5], mPerPx: 0.02, turnDeg: 0, widthPx: 1600, heightPx: 1200 }
const pixel = fc.tuple(fc.double({ min: 0, max: 1600, noNaN: true }), fc.double({ min: 0, max: 1200, noNaN: true }))

describe('a picture under the plan', () => {
  test('covers what is drawn, or a plot, before it is scaled', () => {
    expect(layUnder(PHOTO, undefined)).toMatchObject({ at: [0, 0], mPerPx: 30 / 1600 })
    const over = layUnder(PHOTO, { minX: 0, minY: 0, maxX: 20, maxY: 60 })
    expect(over.at).toEqual([10, 30])
    expect(over.heightPx * over.mPerPx).toBeGreaterThanOrEqual(60)
  })

  test('lies with its upper left corner up and left', () => {
    expect(onPlan(picture, [0, 0])).toEqual([10 - 16, 5 + 12])
    const quarter = onPlan({ ...picture, turnDeg: 90 }, [800, 0])
    // Clockwise by a quarter, its upper edge looks east.
    expect(quarter[0]).toBeCloseTo(22, 9)
    expect(quarter[1]).toBeCloseTo(5, 9)
  })

  test('scaled by a length has that length between the two pixels, and its first point where it was, however it is turned', () => {
    fc.assert(
      fc.property(
        pixel,
        pixel,
        fc.double({ min: 1, max: 60, noNaN: true }),
        fc.integer({ min: -180, max: 179 }),
        (a, b, lengthM, turnDeg) => {
          fc.pre(Math.hypot(a[0] - b[0], a[1] - b[1]) > 50)
          const turned = turnedTo(picture, turnDeg)
          const from = onPlan(turned, a)
          const fits = lengthM / Math.hypot(a[0] - b[0], a[1] - b[1])
          fc.pre(fits > 0.001 && fits < 1.9)
          const scaled = scaledBy(turned, from, onPlan(turned, b), lengthM)
          expect(distanceM(onPlan(scaled, a), onPlan(scaled, b))).toBeCloseTo(lengthM, 6)
          expect(distanceM(onPlan(scaled, a), from)).toBeLessThan(1e-6)
        },
      ),
    )
  })

  test('moved or turned keeps every length', () => {
    fc.assert(
      fc.property(pixel, pixel, fc.double({ min: -400, max: 400, noNaN: true }), (a, b, turn) => {
        const was = distanceM(onPlan(picture, a), onPlan(picture, b))
        const now = turnedTo(movedFrom(picture, [0, 0], [7, -3]), turn)
        expect(distanceM(onPlan(now, a), onPlan(now, b))).toBeCloseTo(was, 6)
        expect(Math.abs(now.turnDeg)).toBeLessThanOrEqual(180)
      }),
    )
    const [from, to]: [PointM, PointM] = [onPlan(picture, [100, 100]), [3, 4]]
    expect(onPlan(movedFrom(picture, from, to), [100, 100])).toEqual([expect.closeTo(3, 9), expect.closeTo(4, 9)])
  })

  test('refuses two points in one place, no length, and a scale that cannot be', () => {
    expect(() => scaledBy(picture, [0, 0], [0.01, 0], 5)).toThrow('pointsTooNear')
    expect(() => scaledBy(picture, [0, 0], [5, 0], 0)).toThrow('lengthMoreThanNothing')
    expect(() => scaledBy(picture, [0, 0], [5, 0], 5000)).toThrow('pictureImpossible')
  })
})
