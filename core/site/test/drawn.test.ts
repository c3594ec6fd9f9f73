import { describe, expect, test } from 'vitest'
import { hoseReachM } from '../drawn'
import type { PointM } from '../geometry'
import type { Feature, FeatureKind, Features } from '../sitePlan'

const feature = (kind: FeatureKind, points: PointM[], zoneId: string | null = null): Feature => ({
  kind,
  name: '',
  points,
  holes: [],
  zoneId,
  heightM: null,
  radiusM: null,
  depthMm: null,
  located: false,
})
const square = (x: number, y: number, side: number): PointM[] => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
]

describe('hose from a tap to the farthest corner', () => {
  const front = feature('zone', square(0, 0, 30), 'front')
  const back = feature('zone', square(0, 40, 6), 'back')

  test('is the diagonal by Pythagoras, of the nearest tap', () => {
    // 30 and 40 make 50.
    const features: Features = {
      a: feature(
        'zone',
        [
          [0, 0],
          [30, 0],
          [30, 40],
        ],
        'front',
      ),
      tap: feature('tap', [[0, 0]]),
    }
    expect(hoseReachM(features, 'front')).toBeCloseTo(50, 9)
    expect(hoseReachM({ ...features, near: feature('tap', [[15, 20]]) }, 'front')).toBeCloseTo(25, 9)
  })
  test('is of the zone that is asked for, or of all of them', () => {
    const features: Features = { front, back, tap: feature('tap', [[0, 0]]) }
    expect(hoseReachM(features, 'back')).toBeCloseTo(Math.hypot(6, 46), 9)
    expect(hoseReachM(features, 'front')).toBeCloseTo(Math.hypot(30, 30), 9)
    expect(hoseReachM(features, null)).toBeCloseTo(Math.hypot(6, 46), 9)
  })
  test('is not known without a tap, or without the zone', () => {
    expect(hoseReachM({ front }, 'front')).toBeUndefined()
    expect(hoseReachM({ tap: feature('tap', [[0, 0]]) }, 'front')).toBeUndefined()
  })
})
