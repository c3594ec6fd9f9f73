import { describe, expect, test } from 'vitest'
import { GERMINATION_CAUSES } from '#core/learning/cause'
import { LEAF_STAGES } from '#core/learning/leafStage'
import { MOST_FRAMES, MOST_SEEDLINGS, seenSchema, type NewSeen } from '../seen'
import { ZONE_ID } from './looks'

const common = { id: '6f9619ff-8b86-4d01-b42d-00cf4fc964ff', seenOn: '2026-09-20', note: '' }
/** One of each kind, as it is sent. */
const GOOD: { [K in NewSeen['kind']]: object } = {
  count: {
    zoneId: ZONE_ID,
    frameMm: 76.2,
    seedlings: [12, 0, MOST_SEEDLINGS],
    moist: null,
    washed: false,
    birds: true,
  },
  check: { zoneId: ZONE_ID, moist: false, washed: true, birds: false },
  height: { zoneId: ZONE_ID, heightMm: 40 },
  leaf: { zoneId: ZONE_ID, stage: 'second leaf' },
  cover: { zoneId: ZONE_ID, coverShare: 0.4, from: 'eye', photoId: null },
  watering: { zoneId: null, given: false, hours: [6, 12], by: 'client' },
  spot: { zoneId: ZONE_ID, areaM2: 3, missingShare: 0.5, cause: 'birds', at: [1, -2] },
  rain: { zoneId: null, rainMm: 12, by: 'firm' },
  visit: { zoneId: null, task: 'mow', answers: { height: 80, tug: true } },
}
const KINDS = Object.keys(GOOD) as NewSeen['kind'][]
const seen = (kind: NewSeen['kind'], change: object = {}) => ({ ...common, kind, ...GOOD[kind], ...change })
const pathsOf = (value: object) => seenSchema.safeParse(value).error?.issues.map(({ path }) => path.join('.'))

describe('what was seen after sowing', () => {
  test.each(KINDS)('%s is taken as it is sent, and nothing is added to it', (kind) => {
    expect(seenSchema.parse(seen(kind))).toEqual(seen(kind))
  })

  test('of nobody’s kind is refused', () => {
    expect(pathsOf({ ...seen('check'), kind: 'guess' })).toEqual(['kind'])
  })

  test.each<[NewSeen['kind'], string, object]>([
    ['count', 'seedlings', { seedlings: [] }],
    ['count', 'seedlings', { seedlings: Array.from({ length: MOST_FRAMES + 1 }, () => 1) }],
    ['count', 'seedlings.0', { seedlings: [MOST_SEEDLINGS + 1] }],
    ['count', 'seedlings.0', { seedlings: [1.5] }],
    ['count', 'frameMm', { frameMm: 5 }],
    // Dry or moist is what a check is for.
    ['check', 'moist', { moist: null }],
    ['check', 'zoneId', { zoneId: null }],
    ['height', 'heightMm', { heightMm: 0 }],
    ['height', 'heightMm', { heightMm: 601 }],
    ['leaf', 'stage', { stage: 'five leaves' }],
    ['cover', 'coverShare', { coverShare: 1.01 }],
    ['cover', 'coverShare', { coverShare: NaN }],
    ['watering', 'hours', { hours: [] }],
    ['watering', 'hours.0', { hours: [24] }],
    ['watering', 'by', { by: 'neighbor' }],
    ['spot', 'areaM2', { areaM2: 0 }],
    ['spot', 'missingShare', { missingShare: 0 }],
    ['spot', 'cause', { cause: 'moles' }],
    ['rain', 'rainMm', { rainMm: 401 }],
    ['rain', 'zoneId', { zoneId: ZONE_ID }],
    ['visit', 'task', { task: 'dance' }],
    ['visit', 'zoneId', { zoneId: ZONE_ID }],
    ['visit', 'answers', { answers: {} }],
    ['visit', 'answers', { answers: { moles: true } }],
    ['visit', 'answers', { answers: { height: 601 } }],
    // Of another visit.
    ['visit', 'answers', { task: 'uncover' }],
    ['visit', 'answers.tug', { answers: { tug: 'yes' } }],
  ])('%s is refused at %s for %j', (kind, path, change) => {
    expect(pathsOf(seen(kind, change))).toContain(path)
  })

  test.each(KINDS)('%s wants a day, and an id of its own', (kind) => {
    expect(pathsOf(seen(kind, { seenOn: '2026-02-30', id: 'x' }))).toEqual(expect.arrayContaining(['seenOn', 'id']))
  })

  test('hours of watering are told once each, in their order', () => {
    expect(seenSchema.parse(seen('watering', { hours: [18, 6, 18] }))).toMatchObject({ hours: [6, 18] })
  })

  test('stages and causes are those of the core', () => {
    for (const stage of LEAF_STAGES) expect(pathsOf(seen('leaf', { stage }))).toBeUndefined()
    for (const cause of GERMINATION_CAUSES) expect(pathsOf(seen('spot', { cause }))).toBeUndefined()
  })
})
