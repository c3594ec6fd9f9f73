import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { toDay } from '#core/measure/calendar'
import type { Lawn } from '#contract/lawn'
import { ANSWERED, aZone, withZone } from '../../contract/test/looks'
import { owner } from '../test/database'
import { added, NEW_LAWN, on, PLACE, useTwoFirms } from '../test/firms'
import { atWork, stepClock, type Author } from './firms'
import { addLawn, lawnById, lawnsOf, removeLawn, saveLook } from './lawns'
import { listedLawns } from './listed'
import { migrate } from './migrate'
import { sunWantedOf } from './keptLook'
import { keepSun } from './sun'
import { sunQuestionOf } from '#core/site/measure'
import { savePlan } from './jobs'
import { openSession } from './sessions'
import { markDone } from './marks'
import { addStation } from './stations'

const ALL = { first: 400, from: 0 }
let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})
const survey = (lawn: Lawn): Lawn => withZone(lawn, ANSWERED)

test('migrating again changes nothing', async () => {
  const before = await migrate()
  expect(await migrate()).toBe(before)
})

describe('a lawn', () => {
  test('belongs to its firm: the other neither reads, changes, plans nor deletes it', async () => {
    const lawn = await added(ours)
    expect(await lawnById(theirs.firmId, lawn.id)).toBeUndefined()
    expect(await lawnsOf(theirs.firmId, [lawn.id])).toEqual([])
    expect(await listedLawns(theirs.firmId, '', ALL)).toBe('[]')
    expect(await saveLook(theirs, lawn.id, { ...lawn, client: 'Taken' })).toBe(false)
    expect(await savePlan(theirs, lawn.job.id, { ...lawn.plan, programme: 'overseed' })).toBe(false)
    await expect(
      markDone(theirs, { lawnId: lawn.id, jobId: lawn.job.id }, on('scalp', '2026-09-01')),
    ).rejects.toMatchObject({ code: '23503' })
    expect(await removeLawn(theirs.firmId, lawn.id)).toBe(false)
    expect((await lawnById(ours.firmId, lawn.id))?.client).toBe('Odell')
  })

  test('cannot read the weather of another firm’s station', async () => {
    const station = await addStation(theirs.firmId, { name: 'Ridge', ...PLACE })
    const lawn = await added(ours)
    await expect(saveLook(ours, lawn.id, { ...lawn, stationId: station!.id })).rejects.toMatchObject({ code: '23503' })
  })

  test('keeps its survey and what was put on it exactly', async () => {
    const lawn = await added(ours)
    const applications = [
      { ingredient: 'prodiamine', product: 'granules', rate: '1 lb', appliedOn: toDay('2026-03-02'), waitDays: 182 },
    ]
    expect(await saveLook(ours, lawn.id, { ...withZone(survey(lawn), { plugsMm: [17.78, 12] }), applications })).toBe(
      true,
    )
    const saved = (await lawnById(ours.firmId, lawn.id))!
    expect(saved).toMatchObject({ applications, version: lawn.version + 1 })
    expect(Object.values(saved.zones)[0]).toMatchObject({ ...ANSWERED, plugsMm: [17.78, 12] })
  })

  test('keeps its zones, its plan and its answers whole, measures what is drawn, and forgets what is taken out', async () => {
    const lawn = survey(await added(ours))
    const [front] = Object.keys(lawn.zones) as [string]
    const [back, bed, outline] = [randomUUID(), randomUUID(), randomUUID()]
    const thing = { name: '', holes: [], zoneId: null, heightM: null, radiusM: null, depthMm: null, located: false }
    const look: Lawn = {
      ...lawn,
      zones: {
        ...lawn.zones,
        [back]: aZone({
          name: 'Back',
          order: 1,
          areaFrom: 'drawn',
          sunHours: null,
          hollows: [
            {
              name: 'dip',
              spacingM: 1,
              widthM: null,
              rowsMm: [
                [0, 5],
                [5, 9],
              ],
            },
          ],
        }),
      },
      features: {
        [outline]: {
          ...thing,
          kind: 'zone',
          zoneId: back,
          points: [
            [0, 0],
            [20, 0],
            [20, 10],
            [0, 10],
          ],
        },
        [bed]: {
          ...thing,
          kind: 'bed',
          points: [
            [2, 2],
            [4, 2],
            [4, 4],
            [2, 4],
          ],
        },
      },
      soilTest: {
        sampledOn: toDay('2026-08-26'),
        method: 'Mehlich-3',
        ph: 6.4,
        bufferPh: null,
        pPpm: 18,
        kPpm: 128,
        organicShare: 0.031,
        note: 'none',
      },
      water: { ...lawn.water, timesADay: 2, restriction: 'ban', restrictedUntil: toDay('2026-09-20') },
      access: { ...lawn.access, services: 'asked' },
      wishes: { ...lawn.wishes, goal: 'levels' },
      nothingPutOn: true,
    }
    expect(await saveLook(ours, lawn.id, look)).toBe(true)
    const saved = (await lawnById(ours.firmId, lawn.id))!
    for (const key of ['zones', 'features', 'soilTest', 'water', 'access', 'wishes', 'nothingPutOn'] as const)
      expect([key, saved[key]]).toEqual([key, look[key]])
    // 20 × 10 m less a bed of 2 × 2.
    expect(saved.measured[back]!.areaM2).toBeCloseTo(196, 6)
    expect(saved.measured[front]).toEqual({ areaM2: 612, sunByMonthH: null })
    // The sun follows: what is worked out for this drawing is kept, what for another is not.
    const wanted = sunWantedOf(sunQuestionOf(look))!
    const hours = Array.from({ length: 12 }, (_, i) => 5 + i / 10)
    expect([saved.sunAwaited, saved.measured[back]!.sunByMonthH]).toEqual([true, null])
    await keepSun(ours.firmId, lawn.id, 'f'.repeat(64), { [back]: hours })
    await keepSun(theirs.firmId, lawn.id, wanted, { [back]: hours })
    expect((await lawnById(ours.firmId, lawn.id))!.sunAwaited).toBe(true)
    await keepSun(ours.firmId, lawn.id, wanted, { [back]: hours, [front]: null })
    expect(await lawnById(ours.firmId, lawn.id)).toMatchObject({
      sunAwaited: false,
      measured: { [back]: { sunByMonthH: hours } },
    })
    // Nothing that casts a shadow was changed: it stays. A tree was moved: it is awaited again.
    expect(await saveLook(ours, lawn.id, { ...saved, address: 'elsewhere' })).toBe(true)
    expect(await lawnById(ours.firmId, lawn.id)).toMatchObject({
      sunAwaited: false,
      measured: { [back]: { sunByMonthH: hours } },
    })
    const tree = { ...thing, kind: 'tree' as const, points: [[3, 3]] as [number, number][] }
    expect(
      await saveLook(ours, lawn.id, {
        ...saved,
        version: saved.version + 1,
        features: { ...saved.features, [randomUUID()]: tree },
      }),
    ).toBe(true)
    expect(await lawnById(ours.firmId, lawn.id)).toMatchObject({
      sunAwaited: true,
      measured: { [back]: { sunByMonthH: null } },
    })
    expect(saved.areaM2).toBeCloseTo(808, 6)

    const { [back]: gone, ...zones } = saved.zones
    expect(gone).toBeDefined()
    expect(await saveLook(ours, lawn.id, { ...saved, version: saved.version + 2, zones, features: {} })).toBe(true)
    expect(Object.keys((await lawnById(ours.firmId, lawn.id))!.zones)).toEqual([front])
    await expect(saveLook(ours, lawn.id, { ...saved, version: saved.version + 3, zones })).rejects.toMatchObject({
      code: '23503',
    })
  })

  test('asked for twice under one id is there once, and not for another firm', async () => {
    const id = randomUUID()
    const [first, second] = await Promise.all([1, 2].map(() => addLawn(ours, { id, ...NEW_LAWN })))
    expect([first!.id, second!.id]).toEqual([id, id])
    expect(await addLawn(theirs, { id, ...NEW_LAWN })).toBeUndefined()
    expect(JSON.parse(await listedLawns(ours.firmId, '', ALL))).toHaveLength(1)
  })

  test('tells who saved it last', async () => {
    const lawn = await added(ours)
    expect(lawn).toMatchObject({ savedBy: 'Somebody of Ours' })
    expect(Math.abs(Date.now() - Date.parse(lawn.savedAt!))).toBeLessThan(60_000)
  })

  test('saved twice from the same version keeps the first and tells the second', async () => {
    const lawn = await added(ours)
    const results = await Promise.all(['First', 'Second'].map((client) => saveLook(ours, lawn.id, { ...lawn, client })))
    expect(results.filter(Boolean)).toHaveLength(1)
  })

  test('refuses what cannot be, in the schema itself', async () => {
    const lawn = survey(await added(ours))
    await expect(saveLook(ours, lawn.id, withZone(lawn, { bareShare: 0.5 }))).rejects.toMatchObject({
      constraint: 'cover_adds_up',
    })
    await expect(saveLook(ours, lawn.id, withZone(lawn, { tapedM2: -1 }))).rejects.toMatchObject({ code: '23514' })
    await expect(saveLook(ours, lawn.id, { ...lawn, latDeg: 91 })).rejects.toMatchObject({ code: '23514' })
    expect((await lawnById(ours.firmId, lawn.id))?.version).toBe(lawn.version)
  })

  test('stands where the home station stands until its place is entered', async () => {
    await addStation(ours.firmId, { name: 'Ridge', ...PLACE })
    expect(await added(ours)).toMatchObject({ latDeg: 37, lonDeg: -79 })
  })
})

describe('today', () => {
  const today = async () => (await atWork(await openSession(ours, { device: '', addressHash: '' })))!.today

  test('is the demo’s clock in the firm’s time zone, and is stepped by days', async () => {
    await owner(`update firms set demo = true, clock_stands_at = '2026-09-08T02:00:00Z' where id = $1`, [ours.firmId])
    expect(await today()).toBe('2026-09-08')
    await owner(`update firms set time_zone = 'America/New_York' where id = $1`, [ours.firmId])
    expect(await today()).toBe('2026-09-07')
    expect(await stepClock(ours.firmId, 7)).toBe(true)
    expect(await today()).toBe('2026-09-14')
    // Over the night the clocks go back a step is still whole days.
    expect(await stepClock(ours.firmId, 60)).toBe(true)
    expect(await today()).toBe('2026-11-13')
  })

  test('of a real firm is the machine’s and cannot be moved, in the schema itself', async () => {
    expect(await stepClock(ours.firmId, 1)).toBe(false)
    expect(await today()).toBe(new Date().toISOString().slice(0, 10))
    await expect(owner(`update firms set clock_stands_at = now() where id = $1`, [ours.firmId])).rejects.toMatchObject({
      constraint: 'only_the_demo_stands_still',
    })
  })
})
