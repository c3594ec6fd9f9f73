import { describe, expect, test } from 'vitest'
import { groundOf, jobOf } from '#contract/lawn'
import { aFirm, aPlannedLawn, BACK_ID, inTwoZones } from '../../../contract/test/plannedLawn'
import { ZONE_ID } from '../../../contract/test/looks'
import type { Seen } from '../../learning/seen'
import { addDays } from '../../measure/calendar'
import { NO_WORK } from '../nothingDecided'
import { seedNeed } from '../../seed/liveSeed'
import { OPERATIONS } from '../operations/registry'
import { PLAN_RATE } from '../parts'
import { planJob } from '../planJob'
import { isPlanned, planReseeding, reseedingOf } from '../reseeding'
import { type Watch } from '../watch'
import { count, SEED, SOWN } from './counted'
import { watched } from './watched'

const zoneOf = (watch: Watch | undefined, id: string) => watch!.zones.find((zone) => zone.id === id)!

describe('what becomes of what was sown', () => {
  test('is nothing before seed is down', () => {
    expect(watched(14, [], { done: [] }).watch).toBeUndefined()
  })

  test('without a count it says when to count first', () => {
    const { watch } = watched(4, [])
    expect(watch).toMatchObject({ sownOn: SOWN, day: 4, mowings: { done: [], of: 4 } })
    expect(zoneOf(watch, ZONE_ID).actions).toEqual([{ code: 'count', on: addDays(SOWN, 10) }])
  })

  test('behind only in the shade: the sun is fine, the shade waits while more may come, then is reseeded in a window', () => {
    const seen = [count(ZONE_ID, 12, [25, 26, 24, 25]), count(BACK_ID, 12, [8, 9, 7, 8])]
    const early = watched(12, seen).watch
    expect(zoneOf(early, ZONE_ID)).toMatchObject({ causes: [], actions: [{ code: 'count', on: addDays(SOWN, 19) }] })
    const shade = zoneOf(early, BACK_ID)
    expect(shade.counts.at(-1)).toMatchObject({ state: 'behind', sure: true })
    expect(shade.causes).toEqual(['shade'])
    expect(shade.actions[0]!.code).toBe('wait')
    // Three weeks on all is up that will come.
    const later = watched(21, [...seen, count(BACK_ID, 21, [10, 9, 11, 10])]).watch
    const [reseed] = zoneOf(later, BACK_ID).actions
    expect(reseed).toMatchObject({ code: 'reseed', areaM2: 100 })
    if (reseed?.code !== 'reseed') throw new Error('nothing is reseeded')
    // 14 days after half are up, moved by the delay that its counts show.
    expect(reseed.from >= addDays(SOWN, 24)).toBe(true)
    expect(reseed.on! >= reseed.from).toBe(true)
    // About 10 of 36 stand: some 70 % of the full rate is missing.
    expect(reseed.rateShare).toBeGreaterThan(0.6)
    expect(reseed.rateShare).toBeLessThan(0.8)
  })

  test('one thin spot in a stand that is fine is sown again for itself', () => {
    const { watch } = watched(21, [count(ZONE_ID, 21, [36, 35, 37, 6])])
    const [reseed] = zoneOf(watch, ZONE_ID).actions
    // One of four frames stands for a quarter of 400 m²; 6 of 36 are there.
    expect(reseed).toMatchObject({ code: 'reseed', areaM2: 100 })
    expect((reseed as { rateShare: number }).rateShare).toBeCloseTo(1 - 6 / 36, 6)
  })

  test('spots that were walked round are sown again for what is missing there, once nothing more comes', () => {
    const spot = (areaM2: number, missingShare: number, day = 12): Seen => ({
      kind: 'spot',
      seenOn: addDays(SOWN, day),
      zoneId: ZONE_ID,
      areaM2,
      missingShare,
      cause: 'birds',
      at: [3, 4],
      note: '',
    })
    const both = [spot(6, 1), spot(4, 0.5)]
    expect(zoneOf(watched(13, both).watch, ZONE_ID).actions).toEqual([{ code: 'wait', until: addDays(SOWN, 16) }])
    const { watch, plan } = watched(21, [count(ZONE_ID, 20, [36, 35, 6, 37]), ...both])
    const zone = zoneOf(watch, ZONE_ID)
    // 6 m² bare and 4 m² half there: 10 m² at eight tenths, and not the quarter that frames stand for.
    const [reseed] = zone.actions
    expect(reseed).toMatchObject({ code: 'reseed', areaM2: 10 })
    expect((reseed as { rateShare: number }).rateShare).toBeCloseTo(0.8, 9)
    // Seed of the spots together is that of the task.
    expect(zone.spots.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(
      (reseed as { massKg: number }).massKg,
      9,
    )
    expect(zone.spots[0]!.massKg).toBeCloseTo(
      seedNeed(6, plan.settings.seedRateGPerM2, plan.settings.lot, PLAN_RATE).product.value,
      9,
    )
    expect(zoneOf(watch, BACK_ID).spots).toEqual([])
    // Sown again, they are looked at anew.
    const resown = { ...SEED, id: 'r', key: OPERATIONS.find(({ reseeds }) => reseeds)!.code, doneOn: addDays(SOWN, 22) }
    const after = [...both, spot(2, 1, 30)]
    expect(zoneOf(watched(31, after, { done: [SEED, resown] }).watch, ZONE_ID).spots).toMatchObject([{ areaM2: 2 }])
    const dry = both.map((one) => ({ ...one, cause: 'dry' }) as Seen)
    expect(zoneOf(watched(21, dry).watch, ZONE_ID).actions.map(({ code }) => code)).toEqual(['water', 'reseed'])
  })

  test('what was sown again since is counted once half of it can be up, and not asked for again', () => {
    const seen = [count(BACK_ID, 21, [10, 9, 11, 10])]
    const resown = { ...SEED, id: 'r', key: OPERATIONS.find(({ reseeds }) => reseeds)!.code, doneOn: addDays(SOWN, 24) }
    const { watch } = watched(26, seen, { done: [SEED, resown] })
    // Half of it was up after ten days the first time.
    expect(zoneOf(watch, BACK_ID).actions).toEqual([{ code: 'count', on: addDays(SOWN, 34) }])
    const again = [...seen, count(BACK_ID, 36, [10, 9, 11, 10])]
    expect(zoneOf(watched(36, again, { done: [SEED, resown] }).watch, BACK_ID).actions[0]!.code).toBe('reseed')
  })

  test('a bed found dry before anything can be counted is watered first, until it is found moist', () => {
    const check = (day: number, moist: boolean, change: Partial<Extract<Seen, { kind: 'check' }>> = {}): Seen => ({
      ...{ kind: 'check', seenOn: addDays(SOWN, day), zoneId: BACK_ID, moist, washed: false, birds: false, note: '' },
      ...change,
    })
    const dry = zoneOf(watched(4, [check(3, false)]).watch, BACK_ID)
    expect(dry.causes).toEqual(['dry'])
    expect(dry.actions).toEqual([{ code: 'water' }, { code: 'count', on: addDays(SOWN, 10) }])
    expect(zoneOf(watched(4, [check(3, false)]).watch, ZONE_ID).actions.map(({ code }) => code)).toEqual(['count'])
    const again = zoneOf(watched(5, [check(3, false), check(5, true)]).watch, BACK_ID)
    expect(again.causes).toEqual([])
    expect(again.actions.map(({ code }) => code)).toEqual(['count'])
    // What was seen then says why it is behind later.
    const behind = [count(ZONE_ID, 12, [25, 26, 24, 25]), count(BACK_ID, 12, [8, 9, 7, 8])]
    expect(zoneOf(watched(12, [check(3, true, { birds: true }), ...behind]).watch, BACK_ID).causes[0]).toBe('birds')
    expect(zoneOf(watched(12, [check(3, true, { washed: true }), ...behind]).watch, BACK_ID).causes[0]).toBe('washout')
  })

  test('what was seen says why, and a dry top says water first', () => {
    const dry = watched(12, [count(BACK_ID, 12, [8, 9, 7], { moist: false })]).watch
    expect(zoneOf(dry, BACK_ID).causes[0]).toBe('dry')
    expect(zoneOf(dry, BACK_ID).actions[0]).toEqual({ code: 'water' })
    const washed = watched(12, [count(BACK_ID, 12, [8, 9, 7], { washed: true })]).watch
    expect(zoneOf(washed, BACK_ID).causes[0]).toBe('washout')
    const cold = watched(12, [count(BACK_ID, 12, [8, 9, 7])], { course: { usual50: 5 } }).watch
    expect(zoneOf(cold, BACK_ID).causes[0]).toBe('cold')
  })

  test('green cover stands beside what was expected of its day, and is no count', () => {
    const cover = (day: number, coverShare: number) =>
      ({
        kind: 'cover',
        seenOn: addDays(SOWN, day),
        zoneId: ZONE_ID,
        coverShare,
        from: 'photo',
        photoId: null,
        note: '',
      }) satisfies Seen
    const zone = zoneOf(watched(21, [cover(21, 0.5), cover(-1, 0.9), cover(18, 0.4)]).watch, ZONE_ID)
    expect(zone.covers.map(({ day, share }) => [day, share])).toEqual([
      [18, 0.4],
      [21, 0.5],
    ])
    // 0.4 of old grass and half of what a course is that is ten days late: 0.4 + 0.5 × 0.6 on day 21.
    expect(zone.covers[1]!.expected).toBeCloseTo(0.7, 9)
    expect(zone.actions[0]!.code).toBe('count')
  })

  test('far more than a full stand is said to be too much seed', () => {
    expect(zoneOf(watched(16, [count(ZONE_ID, 16, [260, 250])]).watch, ZONE_ID).actions).toEqual([{ code: 'overfull' }])
  })

  test('a watering that was missed is in the log of its bed, and counts before sowing are not', () => {
    const missed = {
      kind: 'watering',
      seenOn: addDays(SOWN, 3),
      zoneId: null,
      given: false,
      hours: Array.from({ length: 24 }, (_, hour) => hour),
      by: 'client',
      note: '',
    } satisfies Seen
    const [without, withNote] = [watched(12, []).watch!, watched(12, [missed, count(ZONE_ID, -3, [1])]).watch!]
    expect(withNote.logs).toHaveLength(2)
    withNote.logs.forEach((log, i) => {
      expect(log.missed).toBeGreaterThan(0)
      expect(log.lostShare).toBeGreaterThanOrEqual(without.logs[i]!.lostShare)
    })
    expect(zoneOf(withNote, ZONE_ID).counts).toEqual([])
  })
})

describe('the log of a bed', () => {
  test('tells nothing of ground that something else waters', () => {
    const missed = (day: number, zoneId: string) =>
      ({
        kind: 'watering',
        seenOn: addDays(SOWN, day),
        zoneId,
        given: false,
        hours: Array.from({ length: 24 }, (_, hour) => hour),
        by: 'firm',
        note: '',
      }) satisfies Seen
    const low = [count(ZONE_ID, 12, [8, 9, 7]), count(BACK_ID, 12, [8, 9, 7])]
    const { watch } = watched(12, [...low, ...[3, 4, 5, 6].map((day) => missed(day, ZONE_ID))])
    expect(zoneOf(watch, ZONE_ID).evidence.missed).toBeGreaterThan(3)
    expect(zoneOf(watch, ZONE_ID).causes[0]).toBe('dry')
    expect(zoneOf(watch, BACK_ID).evidence.missed).toBe(0)
  })
})

describe('heights and mowings', () => {
  const height = (day: number, heightMm: number) =>
    ({ kind: 'height', seenOn: addDays(SOWN, day), zoneId: ZONE_ID, heightMm, note: '' }) satisfies Seen
  const mowDay = (of: ReturnType<typeof watched>) =>
    of.plan.schedule!.tasks.find(({ operation }) => operation.opensLawn)!.to

  test('leaves behind the curve move the first mowing, and say by how much', () => {
    const before = watched(21, [])
    const { line, mow } = before.watch!.growth!
    const onLine = watched(21, [height(21, line.at(-1)![1])])
    expect(onLine.watch!.growth!.lag).toBeLessThan(0)
    const late = watched(21, [height(21, 2)])
    expect(late.watch!.growth!.lag).toBeGreaterThan(3)
    expect(late.watch!.growth!.mow.middle).toBeGreaterThan(mow.middle)
    expect(mowDay(late) > mowDay(before)).toBe(true)
    expect(mowDay(onLine) < mowDay(before)).toBe(true)
  })

  test('mowings count by their marks, and leaves cut by the mower tell nothing of growth', () => {
    const mown = (key: string, day: number) => ({ ...SEED, id: key, key, doneOn: addDays(SOWN, day) })
    const { watch } = watched(60, [height(50, 30)], { done: [SEED, mown('mow', 40), mown('mow-2', 47)] })
    expect(watch!.mowings.done).toEqual([addDays(SOWN, 40), addDays(SOWN, 47)])
    expect(watch!.growth!.heights).toEqual([])
  })
})

describe('thin ground in the plan', () => {
  test('of several zones is one task: areas add, rates are weighed, and it is done once all may be', () => {
    const zone = (areaM2: number, rateShare: number, on: string | null) => ({
      actions: [{ code: 'reseed', areaM2, rateShare, massKg: 1, from: SOWN, on } as const],
    })
    const of = (...zones: ReturnType<typeof zone>[]) => reseedingOf({ zones } as unknown as Watch)
    const reseeding = of(zone(100, 0.4, '2026-09-24'), zone(50, 1, '2026-09-26'))!
    expect(reseeding).toEqual({ key: 'weak', thin: { areaM2: 150, rateShare: 0.6 }, on: '2026-09-26' })
    expect(of(zone(100, 0.4, null))).toBeUndefined()
    expect(of()).toBeUndefined()
    const before = { ...NO_WORK, skipped: { weak: 'dense', core: 'wet' }, pins: { mow: SOWN } }
    const after = { ...before, ...planReseeding(before, reseeding) }
    expect([isPlanned(before, reseeding), isPlanned(after, reseeding)]).toEqual([false, true])
    // What was left out comes back; what else was decided stays.
    expect(after).toMatchObject({ skipped: { core: 'wet' }, pins: { mow: SOWN, weak: '2026-09-26' }, added: ['weak'] })
  })

  test('is the area and the seed that were counted, out of the stock, and not a share of the lawn', () => {
    const lawn = aPlannedLawn(inTwoZones(), { sowOn: SOWN }, { done: [SEED] })
    const task = (thin: { areaM2: number; rateShare: number } | null) => {
      const job = jobOf({ ...lawn, plan: { ...lawn.plan, work: { ...lawn.plan.work, thin } } })
      return planJob(job, groundOf(lawn), aFirm({ today: addDays(SOWN, 21) })).schedule!.tasks.find(
        ({ operation }) => operation.reseeds,
      )!
    }
    expect(task(null).wanted).toEqual([])
    const amount = (of: ReturnType<typeof task>) => of.wanted.reduce((sum, one) => sum + one.amount, 0)
    const [whole, half] = [task({ areaM2: 50, rateShare: 1 }), task({ areaM2: 50, rateShare: 0.5 })]
    expect(amount(whole)).toBeGreaterThan(0)
    expect(amount(half)).toBeCloseTo(amount(whole) / 2, 6)
    expect(whole.hours.value).toBeGreaterThan(0)
  })
})
