import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { defaultSettings } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassByCode } from '#core/grass/grasses'
import { toDay } from '#core/measure/calendar'
import { owner } from '../test/database'
import { added, inView, NEW_LAWN, on, useTwoFirms } from '../test/firms'
import type { Author } from './firms'
import { addLawn, lawnById, removeLawn } from './lawns'
import { NO_WORK } from '#core/job/nothingDecided'
import { savePlan, versionsOf } from './jobs'
import { markDone, undoMark } from './marks'
import { countedOf } from './counted'

let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})
const paceOf = async (firmId: string) => {
  const { pace, leftOut } = await countedOf(firmId)
  return { pace, leftOut }
}

describe('a plan', () => {
  test('keeps its settings, counts its versions and refuses a stale one', async () => {
    const lawn = await added(ours)
    const usual = defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.56, programme: PROGRAMMES.overseed })
    const settings = { ...usual, lot: { ...usual.lot, testedOn: toDay('2025-11-30') } }
    const plan = { ...lawn.plan, programme: 'overseed' as const, sowOn: toDay('2026-09-18'), settings }
    expect(await savePlan(ours, lawn.job.id, plan)).toBe(true)
    expect(await savePlan(ours, lawn.job.id, plan)).toBe(false)
    const saved = (await lawnById(ours.firmId, lawn.id))!.plan
    expect(saved).toMatchObject({ sowOn: '2026-09-18', settings, version: 1 })
    expect(await savePlan(ours, lawn.job.id, { ...saved, sowOn: toDay('2026-09-20') })).toBe(true)
    expect((await lawnById(ours.firmId, lawn.id))!.plan).toMatchObject({ sowOn: '2026-09-20', version: 2 })
  })

  test('is kept as it was each time, with who saved it, the latest first, and for its firm alone', async () => {
    const lawn = await added(ours)
    const first = { ...lawn.plan, programme: 'overseed' as const, sowOn: toDay('2026-09-18') }
    await savePlan(ours, lawn.job.id, first)
    await savePlan(ours, lawn.job.id, {
      ...first,
      version: 1,
      sowOn: toDay('2026-09-20'),
      work: { ...NO_WORK, days: { scalp: toDay('2026-09-17') } },
    })
    const versions = await versionsOf(ours.firmId, lawn.job.id)
    expect(versions.map(({ plan, savedBy }) => [plan.version, plan.sowOn, plan.work.days, savedBy])).toEqual([
      [2, '2026-09-20', { scalp: '2026-09-17' }, 'Somebody of Ours'],
      [1, '2026-09-18', {}, 'Somebody of Ours'],
    ])
    expect(await versionsOf(theirs.firmId, lawn.job.id)).toEqual([])
  })

  test('of two saved at once keeps one, and one version of it', async () => {
    const lawn = await added(ours)
    const results = await Promise.all(
      ['2026-09-18', '2026-09-20', '2026-09-22'].map((day) =>
        savePlan(ours, lawn.job.id, { ...lawn.plan, sowOn: toDay(day) }),
      ),
    )
    expect(results.filter(Boolean)).toHaveLength(1)
    expect(await versionsOf(ours.firmId, lawn.job.id)).toHaveLength(1)
  })

  test('marks work in parts that add up to the whole and no further, and takes the last one back', async () => {
    const lawn = await added(ours)
    const done = async () =>
      (await lawnById(ours.firmId, lawn.id))!.done.map(({ key, doneOn, share }) => [key, doneOn, share])
    const rest = on('level', '2026-09-06', { share: 0.6 })
    expect(await markDone(ours, inView(lawn), on('level', '2026-09-05', { share: 0.4, hours: 6, note: 'wet' }))).toBe(
      'kept',
    )
    expect(await markDone(ours, inView(lawn), on('level', '2026-09-06', { share: 0.7 }))).toBe('more than the whole')
    expect(await markDone(ours, inView(lawn), rest)).toBe('kept')
    expect(await markDone(ours, inView(lawn), on('level', '2026-09-07', { share: 0.2 }))).toBe('done already')
    expect(await done()).toEqual([
      ['level', '2026-09-05', 0.4],
      ['level', '2026-09-06', 0.6],
    ])
    await undoMark(ours.firmId, lawn.job.id, rest.id)
    expect(await done()).toEqual([['level', '2026-09-05', 0.4]])
    expect(
      await markDone(
        theirs,
        inView((await addLawn(theirs, { id: randomUUID(), ...NEW_LAWN }))!),
        on('level', '2026-09-06', { id: (await lawnById(ours.firmId, lawn.id))!.done[0]!.id }),
      ),
    ).toBe('other mark')
  })

  test('keeps the parts that two people mark of one task on one day, each with its author', async () => {
    const lawn = await added(ours)
    const [second] = await owner<{ id: string }>(
      `insert into people (firm_id, name, email, role) values ($1, 'Ida', 'ida@example.org', 'technician')
        returning id`,
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
        ].map(([by, mark]) => markDone(by as Author, inView(lawn), mark as (typeof parts)[0])),
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
    await markDone(ours, inView(lawns[0]!), on('dethatch', '2026-09-01', { hours: 2 }))
    await markDone(ours, inView(lawns[1]!), on('dethatch', '2026-09-01', { hours: 3 }))
    await markDone(ours, inView(lawns[2]!), on('dethatch', '2026-09-01', { hours: 6, share: 0.5 }))
    await markDone(ours, inView(lawns[0]!), on('lift-2', '2026-09-01', { hours: 6.12 }))
    await markDone(ours, inView(lawns[0]!), on('scalp', '2026-09-01'))
    const pace = {
      dethatch: { m2PerCrewH: expect.closeTo(204, 6), jobs: 3 },
      lift: { m2PerCrewH: expect.closeTo(100, 6), jobs: 1 },
    }
    expect(await paceOf(ours.firmId)).toEqual({ pace, leftOut: [] })
    expect(await paceOf(theirs.firmId)).toEqual({ pace: {}, leftOut: [] })
    // A damaged row, as no contract and no schema would let in: it is left out and named, and stops nobody.
    await owner('alter table marks drop constraint hours_least')
    await owner(`update marks set hours = 1e-310 where task = 'lift-2'`)
    expect(await paceOf(ours.firmId)).toEqual({
      pace: { dethatch: pace.dethatch },
      leftOut: [{ what: 'lift-2 at Odell, 2026-09-01', why: expect.any(String) }],
    })
    await owner(`update marks set hours = 1 where task = 'lift-2'`)
    await owner('alter table marks add constraint hours_least check (hours = 0 or hours >= 0.01)')
  })

  test('marks an operation once however often it is clicked, and undoes it', async () => {
    const lawn = await added(ours)
    const mark = on('scalp', '2026-09-07')
    await Promise.all([1, 2, 3].map(() => markDone(ours, inView(lawn), mark)))
    expect((await lawnById(ours.firmId, lawn.id))!.done).toMatchObject([
      { id: mark.id, key: 'scalp', doneOn: '2026-09-07', share: 1, passed: true },
    ])
    await undoMark(theirs.firmId, lawn.job.id, mark.id)
    expect((await lawnById(ours.firmId, lawn.id))!.done).toHaveLength(1)
    await Promise.all([1, 2].map(() => undoMark(ours.firmId, lawn.job.id, mark.id)))
    expect((await lawnById(ours.firmId, lawn.id))!.done).toEqual([])
  })

  test('goes with its lawn', async () => {
    const lawn = await added(ours)
    await savePlan(ours, lawn.job.id, { ...lawn.plan, programme: 'overseed' })
    await markDone(ours, inView(lawn), on('scalp', '2026-09-07'))
    expect(await removeLawn(ours.firmId, lawn.id)).toBe(true)
    expect(await owner('select (select count(*) from jobs) + (select count(*) from marks) as left')).toEqual([
      { left: '0' },
    ])
  })
})
