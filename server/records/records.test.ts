import { randomUUID } from 'node:crypto'
import { beforeEach, describe, expect, test } from 'vitest'
import { defaultSettings } from '#core/programme/plan'
import { PROGRAMMES } from '#core/programme/programmes'
import { grassByCode } from '#core/grass/grasses'
import { toDay } from '#core/quantity/calendar'
import type { Lawn } from '#contract/lawn'
import { ANSWERED, aZone, withZone } from '../../contract/test/looks'
import { newFirm, owner, useTestDatabase } from '../test/database'
import { atWork, stepClock, type Author } from './firms'
import { addLawn, lawnById, lawnsOf, removeLawn, saveLook } from './lawns'
import { migrate } from './migrate'
import { keepSun, sunWantedOf } from './sun'
import { sunQuestionOf } from '#core/site/measure'
import { markSchema, NO_WORK } from '#contract/work'
import { savePlan, versionsOf } from './plans'
import { openSession } from './sessions'
import { markDone, paceOf, undoMark } from './workDone'
import { addStation, keepReadings, weatherNow } from './stations'

const NEW_LAWN = {
  client: 'Odell',
  address: '4 Quarry Rise',
  areaM2: 612,
  areaTyped: '6,590 sq ft',
  growsNow: 'thin tall fescue',
}
/** A mark of work that was finished on a day. */
const on = (slip: string, day: string, told: object = {}) =>
  markSchema.parse({ id: randomUUID(), slip, doneOn: day, ...told })
const PLACE = { latDeg: 37, lonDeg: -79, heightM: null, coastal: false }
let ours: Author
let theirs: Author

/** A lawn as its firm adds it, under an id of its own. */
async function added(by: Author): Promise<Lawn> {
  return (await addLawn(by, { id: randomUUID(), ...NEW_LAWN }))!
}

useTestDatabase()
beforeEach(async () => {
  await owner('delete from firms')
  ours = await newFirm('Ours')
  theirs = await newFirm('Theirs')
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
    expect(await lawnsOf(theirs.firmId)).toEqual([])
    expect(await saveLook(theirs, lawn.id, { ...lawn, client: 'Taken' })).toBe(false)
    expect(await savePlan(theirs, lawn.id, { ...lawn.plan, programme: 'overseed' })).toBe(false)
    await expect(markDone(theirs, lawn.id, on('scalp', '2026-09-01'))).rejects.toMatchObject({ code: '23503' })
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
    expect(await lawnsOf(ours.firmId)).toHaveLength(1)
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

describe('a plan', () => {
  test('keeps its settings, counts its versions and refuses a stale one', async () => {
    const lawn = await added(ours)
    const settings = defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.56, programme: PROGRAMMES.overseed })
    const plan = { ...lawn.plan, programme: 'overseed' as const, sowOn: toDay('2026-09-18'), settings }
    expect(await savePlan(ours, lawn.id, plan)).toBe(true)
    expect(await savePlan(ours, lawn.id, plan)).toBe(false)
    const saved = (await lawnById(ours.firmId, lawn.id))!.plan
    expect(saved).toMatchObject({ sowOn: '2026-09-18', settings, version: 1 })
    expect(await savePlan(ours, lawn.id, { ...saved, sowOn: toDay('2026-09-20') })).toBe(true)
    expect((await lawnById(ours.firmId, lawn.id))!.plan).toMatchObject({ sowOn: '2026-09-20', version: 2 })
  })

  test('is kept as it was each time, with who saved it, the latest first, and for its firm alone', async () => {
    const lawn = await added(ours)
    const first = { ...lawn.plan, programme: 'overseed' as const, sowOn: toDay('2026-09-18') }
    await savePlan(ours, lawn.id, first)
    await savePlan(ours, lawn.id, {
      ...first,
      version: 1,
      sowOn: toDay('2026-09-20'),
      work: { ...NO_WORK, days: { scalp: toDay('2026-09-17') } },
    })
    const versions = await versionsOf(ours.firmId, lawn.id)
    expect(versions.map(({ plan, savedBy }) => [plan.version, plan.sowOn, plan.work.days, savedBy])).toEqual([
      [2, '2026-09-20', { scalp: '2026-09-17' }, 'Somebody of Ours'],
      [1, '2026-09-18', {}, 'Somebody of Ours'],
    ])
    expect(await versionsOf(theirs.firmId, lawn.id)).toEqual([])
  })

  test('of two saved at once keeps one, and one version of it', async () => {
    const lawn = await added(ours)
    const results = await Promise.all(
      ['2026-09-18', '2026-09-20', '2026-09-22'].map((day) =>
        savePlan(ours, lawn.id, { ...lawn.plan, sowOn: toDay(day) }),
      ),
    )
    expect(results.filter(Boolean)).toHaveLength(1)
    expect(await versionsOf(ours.firmId, lawn.id)).toHaveLength(1)
  })

  test('marks work in parts that add up to the whole and no further, and takes the last one back', async () => {
    const lawn = await added(ours)
    const done = async () =>
      (await lawnById(ours.firmId, lawn.id))!.done.map(({ key, doneOn, share }) => [key, doneOn, share])
    const rest = on('level', '2026-09-06', { share: 0.6 })
    expect(await markDone(ours, lawn.id, on('level', '2026-09-05', { share: 0.4, hours: 6, note: 'wet' }))).toBe('kept')
    expect(await markDone(ours, lawn.id, on('level', '2026-09-06', { share: 0.7 }))).toBe('more than the whole')
    expect(await markDone(ours, lawn.id, rest)).toBe('kept')
    expect(await markDone(ours, lawn.id, on('level', '2026-09-07', { share: 0.2 }))).toBe('done already')
    expect(await done()).toEqual([
      ['level', '2026-09-05', 0.4],
      ['level', '2026-09-06', 0.6],
    ])
    await undoMark(ours.firmId, lawn.id, rest.id)
    expect(await done()).toEqual([['level', '2026-09-05', 0.4]])
    expect(
      await markDone(
        theirs,
        (await addLawn(theirs, { id: randomUUID(), ...NEW_LAWN }))!.id,
        on('level', '2026-09-06', { id: (await lawnById(ours.firmId, lawn.id))!.done[0]!.id }),
      ),
    ).toBe('other mark')
  })

  test('keeps the parts that two people mark of one task on one day, each with its author', async () => {
    const lawn = await added(ours)
    const [second] = await owner<{ id: string }>(
      `insert into people (firm_id, name, email, role) values ($1, 'Ida', 'ida@example.org', 'technician') returning id`,
      [ours.firmId],
    )
    const ida = { firmId: ours.firmId, personId: second!.id }
    const parts = [
      on('scalp', '2026-09-05', { share: 0.5, hours: 1 }),
      on('scalp', '2026-09-05', { share: 0.5, hours: 2 }),
    ]
    // Each clicks twice, all at once.
    expect(
      await Promise.all(
        [
          [ours, parts[0]!],
          [ida, parts[1]!],
          [ours, parts[0]!],
          [ida, parts[1]!],
        ].map(([by, mark]) => markDone(by as Author, lawn.id, mark as (typeof parts)[0])),
      ),
    ).toEqual(['kept', 'kept', 'kept', 'kept'])
    const { done } = (await lawnById(ours.firmId, lawn.id))!
    expect(done.map(({ savedBy, share, hours }) => [savedBy, share, hours]).sort()).toEqual([
      ['Ida', 0.5, 2],
      ['Somebody of Ours', 0.5, 1],
    ])
  })

  test('teaches the firm its own pace: the middle of its jobs, each by its share, and nobody else’s', async () => {
    const lawns = await Promise.all([1, 2, 3].map(() => added(ours)))
    // 612 m² in 2, 3 and (half of it) 6 hours: 306, 204 and 51 m² a crew hour.
    await markDone(ours, lawns[0]!.id, on('dethatch', '2026-09-01', { hours: 2 }))
    await markDone(ours, lawns[1]!.id, on('dethatch', '2026-09-01', { hours: 3 }))
    await markDone(ours, lawns[2]!.id, on('dethatch', '2026-09-01', { hours: 6, share: 0.5 }))
    await markDone(ours, lawns[0]!.id, on('lift-2', '2026-09-01', { hours: 6.12 }))
    await markDone(ours, lawns[0]!.id, on('scalp', '2026-09-01'))
    const pace = {
      dethatch: { m2PerCrewH: expect.closeTo(204, 6), jobs: 3 },
      lift: { m2PerCrewH: expect.closeTo(100, 6), jobs: 1 },
    }
    expect(await paceOf(ours.firmId)).toEqual({ pace, leftOut: [] })
    expect(await paceOf(theirs.firmId)).toEqual({ pace: {}, leftOut: [] })
    // A damaged row, as no contract and no schema would let in: it is left out and named, and stops nobody.
    await owner('alter table operations_done drop constraint hours_least')
    await owner(`update operations_done set hours = 1e-310 where slip = 'lift-2'`)
    expect(await paceOf(ours.firmId)).toEqual({
      pace: { dethatch: pace.dethatch },
      leftOut: [{ what: 'lift-2 at Odell, 2026-09-01', why: expect.any(String) }],
    })
    await owner(`update operations_done set hours = 1 where slip = 'lift-2'`)
    await owner('alter table operations_done add constraint hours_least check (hours = 0 or hours >= 0.01)')
  })

  test('marks an operation once however often it is clicked, and undoes it', async () => {
    const lawn = await added(ours)
    const mark = on('scalp', '2026-09-07')
    await Promise.all([1, 2, 3].map(() => markDone(ours, lawn.id, mark)))
    expect((await lawnById(ours.firmId, lawn.id))!.done).toMatchObject([
      { id: mark.id, key: 'scalp', doneOn: '2026-09-07', share: 1, passed: true },
    ])
    await undoMark(theirs.firmId, lawn.id, mark.id)
    expect((await lawnById(ours.firmId, lawn.id))!.done).toHaveLength(1)
    await Promise.all([1, 2].map(() => undoMark(ours.firmId, lawn.id, mark.id)))
    expect((await lawnById(ours.firmId, lawn.id))!.done).toEqual([])
  })

  test('goes with its lawn', async () => {
    const lawn = await added(ours)
    await savePlan(ours, lawn.id, { ...lawn.plan, programme: 'overseed' })
    await markDone(ours, lawn.id, on('scalp', '2026-09-07'))
    expect(await removeLawn(ours.firmId, lawn.id)).toBe(true)
    expect(await owner('select (select count(*) from plans) + (select count(*) from operations_done) as left')).toEqual(
      [{ left: '0' }],
    )
  })
})

describe('a firm that keeps without end', () => {
  test('is told to stop, and nothing of the last is kept', async () => {
    const lawn = await added(ours)
    await owner(
      `insert into operations_done (firm_id, lawn_id, id, slip, done_on) select $1, $2, gen_random_uuid(), 'own-' || gen_random_uuid(), '2026-09-01' from generate_series(1, 800)`,
      [ours.firmId, lawn.id],
    )
    await expect(markDone(ours, lawn.id, on('scalp', '2026-09-01'))).rejects.toThrow(/800 marks/)
    expect((await lawnById(ours.firmId, lawn.id))!.done).toHaveLength(800)
    const drawn = {
      kind: 'zone',
      points: Array.from({ length: 5000 }, (_, i) => [30 * Math.cos(i / 796), 30 * Math.sin(i / 796)]),
    }
    await owner(
      `insert into site_features (firm_id, lawn_id, id, kind, points) select $1, $2, gen_random_uuid(), 'bed', $3 from generate_series(1, 24)`,
      [ours.firmId, lawn.id, JSON.stringify(drawn.points)],
    )
    const other = await added(ours)
    const outline = {
      kind: 'bed' as const,
      name: '',
      points: [
        [0, 0],
        [1, 0],
        [1, 1],
      ] as [number, number][],
      holes: [],
      zoneId: null,
      heightM: null,
      radiusM: null,
      depthMm: null,
      located: false,
    }
    await expect(saveLook(ours, other.id, { ...other, features: { [randomUUID()]: outline } })).rejects.toThrow(
      /120,000 corners/,
    )
    expect((await lawnById(ours.firmId, other.id))!.version).toBe(other.version)
    await owner(
      `insert into stations (firm_id, name, kind, lat_deg, lon_deg) select $1, 'S' || i, 'imported', 0, 0 from generate_series(1, 60) i`,
      [ours.firmId],
    )
    await expect(addStation(ours.firmId, { name: 'One more', ...PLACE })).rejects.toThrow(/60 stations/)
    expect(await addStation(theirs.firmId, { name: 'Theirs', ...PLACE })).toBeDefined()
  })

  test('reads every reading that is noted, and of a logger that reads every minute one an hour and depth', async () => {
    const station = (await addStation(ours.firmId, { name: 'Ridge', ...PLACE }))!
    const reading = (minute: number) => ({
      at: new Date(Date.UTC(2026, 8, 1, 0, minute)).toISOString().slice(0, 16),
      depthMm: 50,
      tempC: 20,
    })
    const probe = async () =>
      (await weatherNow(ours.firmId, station.id, toDay('2026-09-08'), toDay('2026-06-01'))).probe.map(({ at }) => at)
    await keepReadings(ours.firmId, station.id, [reading(660), reading(670)])
    expect(await probe()).toEqual(['2026-09-01T11:00', '2026-09-01T11:10'])
    await keepReadings(
      ours.firmId,
      station.id,
      Array.from({ length: 7000 }, (_, i) => reading(i)),
    )
    expect(await probe()).toEqual(Array.from({ length: 117 }, (_, hour) => reading(hour * 60).at))
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
