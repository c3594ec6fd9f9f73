import { told } from '#core/explain/test/told'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { Feature } from '#core/site/sitePlan'
import { drawnAreaM2 } from '#core/site/drawn'
import { fromPlan, type PlaceDeg } from '#core/site/geodesy'
import type { PointM } from '#core/site/geometry'
import { planFile, readPlan, type GeoFile } from '../planFile'
import { ZONE_ID } from './looks'

const PLACE: PlaceDeg = { latDeg: 37.05, lonDeg: -79.4 }
const thing = (change: Partial<Feature>): Feature => ({
  kind: 'zone',
  name: '',
  points: [
    [0, 0],
    [20, 0],
    [20, 10],
    [0, 10],
  ],
  holes: [],
  zoneId: ZONE_ID,
  heightM: null,
  radiusM: null,
  depthMm: null,
  located: false,
  ...change,
})
const file = (geometry: unknown, properties: object = {}): unknown => ({
  type: 'FeatureCollection',
  features: [{ type: 'Feature', geometry, properties }],
})
const degrees = (points: readonly PointM[]) => points.map((point) => fromPlan(PLACE, point))
const track = (points: readonly PointM[]) =>
  file({ type: 'LineString', coordinates: degrees(points) }, { name: 'walk' })

test('what is written out is read back as it was, to the centimetre', () => {
  const features = {
    a: thing({
      holes: [
        [
          [2, 2],
          [4, 2],
          [4, 4],
          [2, 4],
        ],
      ],
    }),
    b: thing({ kind: 'tree', points: [[3, 7]], zoneId: null, heightM: 11.5, radiusM: 4, name: 'maple' }),
    c: thing({
      kind: 'buried',
      points: [
        [0, 0],
        [9, 3],
      ],
      zoneId: null,
      located: true,
    }),
    d: thing({
      kind: 'building',
      points: [
        [30, 0],
        [40, 0],
        [40, 8],
        [30, 8],
      ],
      zoneId: null,
      heightM: 6,
    }),
  }
  const written = JSON.parse(JSON.stringify(planFile(features, { [ZONE_ID]: 'Front' }, PLACE))) as GeoFile
  const read = readPlan(written, PLACE, PLACE)
  if (!read.ok) throw new Error(read.message.key)
  expect(read.left).toEqual([])
  expect(read.things.map(({ zoneName }) => zoneName)[0]).toBe('Front')
  Object.values(features).forEach((feature, i) => {
    const back = read.things[i]!.feature
    expect([back.kind, back.heightM, back.radiusM, back.located, back.holes.length]).toEqual([
      feature.kind,
      feature.heightM,
      feature.radiusM,
      feature.located,
      feature.holes.length,
    ])
    feature.points.forEach(([x, y], k) =>
      expect(Math.hypot(back.points[k]![0] - x, back.points[k]![1] - y)).toBeLessThan(0.01),
    )
  })
  expect(drawnAreaM2({ a: { ...read.things[0]!.feature, zoneId: ZONE_ID } }, ZONE_ID)).toBeCloseTo(196, 1)
})

describe('a walked track', () => {
  const round: PointM[] = Array.from({ length: 40 }, (_, i) => [15 * Math.cos(i / 6.4), 10 * Math.sin(i / 6.4)])
  test('that comes back to where it began becomes an outline, and its area is that of the ellipse walked', () => {
    const read = readPlan(track(round), PLACE, PLACE)
    if (!read.ok) throw new Error(read.message.key)
    expect(read.things[0]!.feature.kind).toBe('zone')
    expect(drawnAreaM2({ a: { ...read.things[0]!.feature, zoneId: ZONE_ID } }, ZONE_ID)! / (Math.PI * 150)).toBeCloseTo(
      1,
      1,
    )
  })
  test('that does not stays a line', () => {
    const read = readPlan(
      track([
        [0, 0],
        [10, 0],
        [20, 1],
        [40, 3],
      ]),
      PLACE,
      PLACE,
    )
    expect(read).toMatchObject({ ok: true, things: [{ feature: { kind: 'path' } }] })
  })
})

describe('a file that cannot be drawn', () => {
  test.each<[unknown, string]>([
    [null, 'no drawing'],
    ['text', 'no drawing'],
    [{ type: 'FeatureCollection' }, 'no drawing'],
    [{ type: 'FeatureCollection', features: [] }, 'empty'],
    [file(null), 'no outline'],
    [file({ type: 'Polygon', coordinates: [] }), 'no outline'],
    [
      file({
        type: 'Polygon',
        coordinates: [
          [
            ['a', 'b'],
            [1, 2],
            [3, 4],
          ],
        ],
      }),
      'no outline',
    ],
    [file({ type: 'Point', coordinates: [1e9, 0] }), 'no outline'],
    [file({ type: 'Point', coordinates: [Number.NaN, 0] }), 'no outline'],
    [file({ type: 'Sphere', coordinates: [0, 0] }), 'no outline'],
    [
      file({
        type: 'Polygon',
        coordinates: [
          degrees([
            [0, 0],
            [9, 9],
            [9, 0],
            [0, 9],
            [0, 0],
          ]),
        ],
      }),
      'crosses itself',
    ],
    [
      file({
        type: 'Polygon',
        coordinates: [
          degrees([
            [0, 0],
            [1, 1],
          ]),
        ],
      }),
      'points at least',
    ],
    [file({ type: 'Point', coordinates: [10, 50] }), 'km from the lawn'],
    [
      { type: 'FeatureCollection', features: Array(301).fill({ type: 'Feature', geometry: null, properties: null }) },
      '301 things',
    ],
  ])('%# is told in words', (given, says) => {
    const read = readPlan(given, PLACE, PLACE)
    expect(read.ok ? 'ok' : told(read.message)).toContain(says)
  })

  test('of anything at all never throws, and gives nothing that a plan would refuse', () => {
    fc.assert(
      fc.property(fc.anything(), fc.anything(), (geometry, properties) => {
        for (const given of [
          geometry,
          file(geometry, properties as object),
          { type: 'FeatureCollection', features: [geometry] },
        ]) {
          const read = readPlan(given, PLACE, PLACE)
          expect(typeof read.ok).toBe('boolean')
        }
      }),
    )
  })

  test('lets the good part in and names the rest', () => {
    const mixed = {
      type: 'FeatureCollection',
      features: [
        { type: 'Feature', geometry: null, properties: { name: 'ghost' } },
        {
          type: 'Feature',
          geometry: {
            type: 'Polygon',
            coordinates: [
              degrees([
                [0, 0],
                [9, 0],
                [9, 9],
              ]),
            ],
          },
          properties: null,
        },
      ],
    }
    const read = readPlan(mixed, PLACE, PLACE)
    expect(read).toMatchObject({ ok: true, left: [{ values: { name: 'ghost' } }] })
    expect(read.ok && read.things).toHaveLength(1)
  })

  test('an empty plan takes its place from the file', () => {
    const far = file({
      type: 'Polygon',
      coordinates: [
        [
          [10, 50],
          [10.0002, 50],
          [10.0002, 50.0001],
          [10, 50],
        ],
      ],
    })
    expect(readPlan(far, undefined, PLACE)).toMatchObject({ ok: true, place: { latDeg: 50.00005, lonDeg: 10.0001 } })
  })
})
