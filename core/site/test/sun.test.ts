import { Body, Equator, Horizon, Observer } from 'astronomy-engine'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { daylightHours } from '../../weather/radiation'
import { addDays, dayNumber, dayOfYear, toDay, type Day } from '../../measure/calendar'
import { insideOutline, type Ring } from '../geometry'
import { cellFor, centreOf, horizonsOf, MOST_SHADOWS, sunGrid, sunReaches } from '../shade'
import type { Feature, Features } from '../sitePlan'
import { daysOfYear, shadedGround, sunByMonth, sunMapOf, sunPath } from '../sun'
import { sunOn } from '../sunYear'

const PLACE = { latDeg: 37, lonDeg: -79.4 }
const box = (x: number, y: number, w: number, h: number): Ring => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
]
const feature = (change: Partial<Feature>): Feature => ({
  kind: 'zone',
  name: '',
  points: box(0, 0, 10, 10),
  holes: [],
  zoneId: 'lawn',
  heightM: null,
  radiusM: null,
  depthMm: null,
  located: false,
  ...change,
})
const lawn = { lawn: feature({}) }
const wall = (points: Feature['points'], heightM: number) => feature({ kind: 'fence', points, heightM, zoneId: null })
const EQUINOX = toDay('2026-03-20')
const meanHours = (features: Features, day = EQUINOX, place = PLACE) =>
  sunMapOf(shadedGround(features, ['lawn'], place), 1, day).zones[0]!.meanHours

interface Stand {
  altitude: number
  azimuth: number
}
/** Angle between two directions in the sky, degrees. */
function apart(a: Stand, b: Stand): number {
  const rad = Math.PI / 180
  const direction = ({ altitude, azimuth }: Stand) => [
    Math.cos(altitude * rad) * Math.sin(azimuth * rad),
    Math.cos(altitude * rad) * Math.cos(azimuth * rad),
    Math.sin(altitude * rad),
  ]
  const [p, q] = [direction(a), direction(b)]
  return (2 * Math.asin(Math.min(1, Math.hypot(p[0]! - q[0]!, p[1]! - q[1]!, p[2]! - q[2]!) / 2))) / rad
}

describe('the path of the sun', () => {
  test('stands where astronomy-engine puts it, anywhere and on any day', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -66, max: 66, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.integer({ min: 0, max: 3000 }),
        (latDeg, lonDeg, after) => {
          const day = addDays(toDay('2024-01-01'), after)
          const path = sunPath({ latDeg, lonDeg }, day)
          if (!path.length) return
          const noon = path.reduce((a, b) => (b.tangent > a.tangent ? b : a))
          const heights = Array.from({ length: 144 }, (_, i) => {
            const time = new Date(dayNumber(day) * 86_400_000 - (lonDeg / 15) * 3_600_000 + (5 + 10 * i) * 60_000)
            const where = new Observer(latDeg, lonDeg, 0)
            const { ra, dec } = Equator(Body.Sun, time, where, true, true)
            return Horizon(time, where, ra, dec, 'normal')
          })
          const highest = Math.max(...heights.map(({ altitude }) => altitude))
          const ours = { altitude: (Math.atan(noon.tangent) * 180) / Math.PI, azimuth: noon.azimuthDeg }
          // By the angle in the sky: overhead an azimuth says little, and two steps about noon may be equally high.
          const theirs = heights.reduce((a, b) => (apart(b, ours) < apart(a, ours) ? b : a))
          expect(apart(theirs, ours)).toBeLessThan(0.3)
          expect(Math.abs(ours.altitude - highest)).toBeLessThan(0.05)
          expect(Math.abs(theirs.altitude - highest)).toBeLessThan(0.05)
          expect(Math.abs(path.length - heights.filter(({ altitude }) => altitude > 3).length)).toBeLessThanOrEqual(1)
        },
      ),
      { numRuns: 40 },
    )
  })

  test('open ground gets the daylight of FAO-56, less the low sun of morning and evening', () => {
    for (const day of [toDay('2026-06-21'), toDay('2026-09-24'), toDay('2026-12-21')]) {
      const hours = meanHours(lawn, day)
      const daylight = daylightHours(PLACE.latDeg, dayOfYear(day))
      expect(hours).toBeLessThan(daylight)
      expect(hours).toBeGreaterThan(daylight - 1.1)
    }
  })
})

describe('shade', () => {
  test('a wall hides the sun below h over distance, and not above', () => {
    // One cell, a long wall 4 m high 8 m south of it: the sun of due south is hidden below arctan(4/8).
    const grid = sunGrid([[{ outer: box(-0.25, -0.25, 0.5, 0.5), holes: [] }]], 0.5)
    const horizons = horizonsOf(grid, {
      wall: wall(
        [
          [-100, -8],
          [100, -8],
        ],
        4,
      ),
    })
    for (const azimuth of [120, 150, 180, 205, 240]) {
      // Aslant the wall is farther: h·cos(off south)/distance.
      const hidden = (4 / 8) * Math.cos(((azimuth - 180) * Math.PI) / 180)
      expect(sunReaches(horizons, 0, azimuth, hidden * 0.99)).toBe(false)
      expect(sunReaches(horizons, 0, azimuth, hidden * 1.01)).toBe(true)
    }
    expect(sunReaches(horizons, 0, 0, 0.06)).toBe(true)
  })

  test('low sun comes in under a crown, high sun over it', () => {
    const grid = sunGrid([[{ outer: box(-0.25, -0.25, 0.5, 0.5), holes: [] }]], 0.5)
    const horizons = horizonsOf(grid, {
      tree: feature({ kind: 'tree', points: [[10, 0]], heightM: 8, radiusM: 2, zoneId: null }),
    })
    // Crown from 2 m (a quarter) to 8 m, between 8 and 12 m east.
    expect([0.1, 0.2, 0.5, 0.95, 1.05].map((tangent) => sunReaches(horizons, 0, 90, tangent))).toEqual([
      true,
      false,
      false,
      false,
      true,
    ])
    expect(sunReaches(horizons, 0, 110, 0.5)).toBe(true)
  })

  test('a wall along the equator’s side takes more than one along the pole’s, in both hemispheres', () => {
    const [south, north] = [
      wall(
        [
          [-5, -1],
          [15, -1],
        ],
        3,
      ),
      wall(
        [
          [-5, 11],
          [15, 11],
        ],
        3,
      ),
    ]
    expect(meanHours({ ...lawn, south })).toBeLessThan(meanHours({ ...lawn, north }) - 0.5)
    const down = { latDeg: -37, lonDeg: 145 }
    expect(meanHours({ ...lawn, north }, EQUINOX, down)).toBeLessThan(
      meanHours({ ...lawn, south }, EQUINOX, down) - 0.5,
    )
  })

  test('an east wall at the equinox takes half of the day from the ground at its foot, as the sun rises in the east', () => {
    const strip = {
      lawn: feature({ points: box(0, 0, 0.5, 10) }),
      wall: wall(
        [
          [0.7, -300],
          [0.7, 310],
        ],
        60,
      ),
    }
    expect(meanHours(strip) / meanHours(lawn)).toBeGreaterThan(0.46)
    expect(meanHours(strip) / meanHours(lawn)).toBeLessThan(0.54)
  })

  test('what is built higher or added never lets in more sun', () => {
    const building = fc.record({
      x: fc.integer({ min: -15, max: 20 }),
      y: fc.integer({ min: -15, max: 20 }),
      heightM: fc.integer({ min: 1, max: 12 }),
    })
    fc.assert(
      fc.property(building, building, ({ x, y, heightM }, second) => {
        const house = (at: { x: number; y: number; heightM: number }) =>
          feature({ kind: 'building', points: box(at.x, at.y, 6, 6), heightM: at.heightM, zoneId: null })
        // Seen from one fixed cell, so that what is built over is not taken for brighter.
        const grid = sunGrid([[{ outer: box(2.3, 2.3, 0.5, 0.5), holes: [] }]], 0.5)
        const lit = (features: Features) => {
          const horizons = horizonsOf(grid, features)
          return sunPath(PLACE, EQUINOX).filter(({ azimuthDeg, tangent }) =>
            sunReaches(horizons, 0, azimuthDeg, tangent),
          ).length
        }
        const one = { a: house({ x, y, heightM }) }
        expect(lit({ a: house({ x, y, heightM: heightM + 2 }) })).toBeLessThanOrEqual(lit(one))
        expect(lit({ ...one, b: house(second) })).toBeLessThanOrEqual(lit(one))
      }),
      { numRuns: 60 },
    )
  })
})

test('spots never shaded are told apart, and a zone keeps its year', () => {
  const half = {
    ...lawn,
    wall: wall(
      [
        [0, -0.5],
        [10, -0.5],
      ],
      2,
    ),
  }
  const [zone] = sunMapOf(shadedGround(half, ['lawn'], PLACE), 1, toDay('2026-12-21')).zones
  expect(zone!.neverShadedShare).toBeGreaterThan(0.1)
  expect(zone!.neverShadedShare).toBeLessThan(0.9)
  expect(zone!.leastHours).toBeLessThan(zone!.mostHours)
  const [byMonth, none] = sunByMonth(half, ['lawn', 'not drawn'], PLACE)
  expect(none).toBeNull()
  for (const day of [toDay('2026-01-03'), toDay('2026-05-09'), toDay('2026-09-24')]) {
    const today = sunMapOf(shadedGround(half, ['lawn'], PLACE, 1), 1, day).zones[0]!.meanHours
    expect(Math.abs(sunOn(byMonth!, day) - today)).toBeLessThan(0.35)
  }
})

test('the mean of a year is that of its days, counted one by one', () => {
  const garden: Features = {
    ...lawn,
    wall: wall(
      [
        [0, -0.5],
        [10, -0.5],
      ],
      2,
    ),
    tree: feature({ kind: 'tree', points: [[6, 6]], heightM: 7, radiusM: 2.5, zoneId: null }),
  }
  const ground = shadedGround(garden, ['lawn'], PLACE, 1)
  const days = daysOfYear(2026).filter((_, i) => i % 9 === 0) as [Day, ...Day[]]
  const mean = sunMapOf(ground, 1, ...days)
  const each = days.map((day) => sunMapOf(ground, 1, day))
  mean.hours.forEach((h, i) => {
    expect(h).toBeCloseTo(each.reduce((sum, { hours }) => sum + hours[i]!, 0) / each.length, 4)
  })
  // Against the plain question, asked for each stand of the sun at each cell.
  const [day] = days
  const asked = sunPath(PLACE, day).reduce(
    (sum, { azimuthDeg, tangent }) =>
      sum +
      Array.from(mean.hours, (_, i) => Number(sunReaches(ground.horizons, i, azimuthDeg, tangent))).reduce(
        (a, b) => a + b,
        0,
      ),
    0,
  )
  expect(each[0]!.hours.reduce((sum, h) => sum + h, 0)).toBeCloseTo(asked / 6, 3)
  expect(daysOfYear(2026).at(-1)).toBe('2026-12-31')
})

describe('the grid', () => {
  const star = fc
    .array(fc.double({ min: 3, max: 40, noNaN: true }), { minLength: 4, maxLength: 12 })
    .map((radii): Ring =>
      radii.map(
        (r, i) =>
          [r * Math.cos((2 * Math.PI * i) / radii.length), r * Math.sin((2 * Math.PI * i) / radii.length)] as const,
      ),
    )

  test('gives each zone the cells whose middle lies in it, as counting crossings says cell by cell', () => {
    fc.assert(
      fc.property(star, star, fc.double({ min: -30, max: 30, noNaN: true }), (one, other, dx) => {
        const groups = [
          [{ outer: one, holes: [one.map(([x, y]) => [x / 3, y / 3] as const)] }],
          [{ outer: other.map(([x, y]) => [x + dx, y] as const), holes: [] }],
        ]
        const grid = sunGrid(groups, 1.7)
        const wanted = Array.from(grid.owner, (_, cell) =>
          groups.findIndex((outlines) => outlines.some((outline) => insideOutline(centreOf(grid, cell), outline))),
        )
        expect(Array.from(grid.owner)).toEqual(wanted)
      }),
      { numRuns: 60 },
    )
  })

  test('is coarser over a plan that asks for more shadows than one lawn may', () => {
    const outline = [[{ outer: box(0, 0, 200, 200), holes: [] }]]
    expect(cellFor(outline, 1, 100)).toBe(1)
    for (const shadows of [1000, 5000]) {
      const cellM = cellFor(outline, 1, shadows)
      expect(cellM).toBeGreaterThan(1)
      expect((40_000 / cellM ** 2) * shadows).toBeLessThanOrEqual(MOST_SHADOWS * 1.001)
    }
  })
})
