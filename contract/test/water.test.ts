import { describe, expect, test } from 'vitest'
import { NEW_IRRIGATION_ZONE } from '#core/water/irrigation'
import { irrigationZoneSchema, NO_WATER, waterSchema } from '../water'
import { ZONE_ID } from './looks'

const zone = (change: object = {}) => ({ id: ZONE_ID, ...NEW_IRRIGATION_ZONE, name: 'Front', ...change })
const cans = (change: object = {}) => ({ minutes: 20, read: 'depth', widthMm: null, values: [3, 4, 5, 6], ...change })
const pathsOf = (value: object) => irrigationZoneSchema.safeParse(value).error?.issues.map(({ path }) => path.join('.'))

describe('an irrigation zone', () => {
  test('as it begins, and with cans, is one', () => {
    for (const good of [zone(), zone({ cans: cans() }), zone({ cans: cans({ read: 'volume', widthMm: 72 }) })])
      expect(irrigationZoneSchema.parse(good)).toEqual(good)
  })

  test.each<[string, object]>([
    ['name', { name: '' }],
    ['kind', { kind: 'drip' }],
    ['zoneId', { zoneId: 'front' }],
    ['areaM2', { areaM2: -1 }],
    ['hoseM', { hoseM: 501 }],
    ['rateMmPerH', { rateMmPerH: 301 }],
    ['timer', { timer: 'stolen' }],
    ['cans.minutes', { cans: cans({ minutes: 0 }) }],
    ['cans.values', { cans: cans({ values: Array.from({ length: 49 }, () => 1) }) }],
    ['cans.values.0', { cans: cans({ values: [-1] }) }],
    ['cans.widthMm', { cans: cans({ read: 'volume' }) }],
    ['cans.widthMm', { cans: cans({ read: 'volume', widthMm: 5000 }) }],
  ])('is refused at %s for %j', (path, change) => {
    expect(pathsOf(zone(change))).toContain(path)
  })
})

describe('what is told of water', () => {
  test('from before irrigation zones were asked reads as none of them', () => {
    const { irrigation: _zones, hours: _hours, ...before } = NO_WATER
    expect(waterSchema.parse(before)).toEqual(NO_WATER)
  })
  test('bounds hours of the day, and how many runs of them and zones there are', () => {
    const good = (hours: unknown) => waterSchema.safeParse({ ...NO_WATER, hours }).success
    expect([[[5, 10]], [[0, 24]], []].map(good)).toEqual([true, true, true])
    expect([[[10, 5]], [[5, 25]], [[5.5, 6]], Array.from({ length: 4 }, () => [5, 6])].map(good)).toEqual([
      false,
      false,
      false,
      false,
    ])
    const many = Array.from({ length: 17 }, () => zone())
    expect(waterSchema.safeParse({ ...NO_WATER, irrigation: many }).success).toBe(false)
  })
})
