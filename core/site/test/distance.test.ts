import fc from 'fast-check'
import { getDistance } from 'ol/sphere.js'
import { describe, expect, test } from 'vitest'
import { distanceKm, farKm } from '../geodesy'

const place = fc.record({
  latDeg: fc.double({ min: -66, max: 66, noNaN: true }),
  lonDeg: fc.double({ min: -180, max: 180, noNaN: true }),
})

describe('how far a station is', () => {
  // General reference library: OpenLayers, distance over a sphere of the same radius.
  test('over the sphere is what OpenLayers makes of it', () => {
    fc.assert(
      fc.property(place, place, (a, b) => {
        // To a metre: at the other end of the world both formulas lose digits.
        expect(
          Math.abs(distanceKm(a, b) - getDistance([a.lonDeg, a.latDeg], [b.lonDeg, b.latDeg]) / 1000),
        ).toBeLessThan(0.001)
      }),
    )
  })
  test('counts height where both are known, and only then', () => {
    const [here, there] = [
      { latDeg: 37, lonDeg: -79 },
      { latDeg: 37, lonDeg: -79.1 },
    ]
    expect(farKm({ ...here, heightM: 100 }, { ...there, heightM: 350 })).toBeCloseTo(distanceKm(here, there) + 50, 9)
    expect(farKm({ ...here, heightM: 100 }, there)).toBe(distanceKm(here, there))
    expect(farKm({ ...here, heightM: null }, { ...there, heightM: 350 })).toBe(distanceKm(here, there))
  })
})
