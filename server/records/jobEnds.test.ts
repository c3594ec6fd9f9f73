import { randomUUID } from 'node:crypto'
import { beforeEach, describe, expect, test } from 'vitest'
import { NEW_ZONE } from '#core/site/zone'
import { toDay } from '#core/measure/calendar'
import type { KeptJob } from '#contract/keptJob'
import type { Lawn } from '#contract/lawn'
import { owner } from '../test/database'
import { added, inView, NEW_LAWN, on, useTwoFirms } from '../test/firms'
import type { Author } from './firms'
import { endJob, recordOf, reopenJob, startJob } from './jobEnds'
import { addLawn, lawnById, removeLawn, saveLook } from './lawns'
import { savePlan, versionsOf } from './jobs'
import { markDone } from './marks'

let ours: Author
let theirs: Author
let lawn: Lawn
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})
beforeEach(async () => {
  lawn = await added(ours)
})
const again = async (jobId?: string) => (await lawnById(ours.firmId, lawn.id, jobId))!
const RECORD = { kept: { core: 'test' } } as KeptJob
const ending = (version = 0) => ({
  version,
  outcome: 'closed' as const,
  note: 'thick',
  endedOn: toDay('2026-11-10'),
  record: RECORD,
})
const next = (zoneIds = Object.keys(lawn.zones)) => ({ id: randomUUID(), zoneIds, begunOn: toDay('2027-03-01') })

describe('what an end writes into the survey', () => {
  const [BEFORE, AFTER] = [
    { sward: null, desirableShare: null, weedShare: null, coarseShare: null, bareShare: null },
    { sward: 'TF' as const, desirableShare: 0.9, weedShare: 0.04, coarseShare: 0, bareShare: 0.06 },
  ]
  const zoneId = () => Object.keys(lawn.zones)[0]!
  const withStands = () => ({
    ...ending(),
    record: { ...RECORD, stands: { before: { [zoneId()]: BEFORE }, after: { [zoneId()]: AFTER } } },
  })

  test('is there for the next job, told to whoever edits it, and goes with the end that is taken back', async () => {
    const before = await again()
    expect(await endJob(ours, inView(lawn), withStands())).toBe(true)
    const after = await again()
    expect(after.zones[zoneId()]).toMatchObject(AFTER)
    expect(after.version).toBe(before.version + 1)
    expect(after.surveyedOn).toBe(before.surveyedOn)
    expect(await reopenJob(ours.firmId, inView(lawn))).toBe(true)
    expect((await again()).zones[zoneId()]).toMatchObject(BEFORE)
  })

  test('what somebody answered since stays when the end is taken back', async () => {
    await endJob(ours, inView(lawn), withStands())
    const ended = await again()
    const zones = { ...ended.zones, [zoneId()]: { ...ended.zones[zoneId()]!, bareShare: 0.2, desirableShare: 0.76 } }
    expect(await saveLook(ours, lawn.id, { ...ended, zones })).toBe(true)
    expect(await reopenJob(ours.firmId, inView(lawn))).toBe(true)
    expect((await again()).zones[zoneId()]).toMatchObject({ bareShare: 0.2, sward: 'TF' })
  })
})

describe('a job that ends', () => {
  test('keeps how it was, takes no more plans, and frees its zones for the next, which begins clean', async () => {
    expect(await savePlan(ours, lawn.job.id, { ...lawn.plan, programme: 'overseed', sowOn: toDay('2026-09-18') })).toBe(
      true,
    )
    await markDone(ours, inView(lawn), on('sow', '2026-09-18'))
    expect((await again()).job.state).toBe('growing in')
    expect(await endJob(ours, inView(lawn), ending(0))).toBe(false)
    expect(await endJob(ours, inView(lawn), ending(1))).toBe(true)
    expect(await endJob(ours, inView(lawn), ending(1))).toBe(false)
    expect(await recordOf(ours.firmId, lawn.job.id)).toEqual(RECORD)
    expect(await savePlan(ours, lawn.job.id, { ...lawn.plan, version: 1 })).toBe(false)
    expect((await again()).job).toMatchObject({
      state: 'closed',
      ended: { on: '2026-11-10', by: 'Somebody of Ours', note: 'thick' },
      zoneIds: Object.keys(lawn.zones),
    })

    const second = next()
    expect(await startJob(ours, lawn.id, second)).toBe(true)
    expect(await startJob(ours, lawn.id, second)).toBe(true)
    const now = await again()
    expect(now).toMatchObject({
      job: { id: second.id, number: 2, state: 'planned', begunOn: '2027-03-01' },
      plan: { version: 0, programme: null, sowOn: null },
      done: [],
      jobs: [{ number: 2 }, { number: 1, state: 'closed', marks: [{ key: 'sow', doneOn: '2026-09-18' }] }],
    })
    // The first is there to be looked at, with what was done in it.
    expect(await again(lawn.job.id)).toMatchObject({ job: { number: 1 }, done: [{ key: 'sow' }], plan: { version: 1 } })
    expect(await versionsOf(ours.firmId, lawn.job.id)).toHaveLength(1)
  })

  test('is reopened while its zones are free, and no longer when one is in the next job', async () => {
    await endJob(ours, inView(lawn), ending())
    expect(await reopenJob(ours.firmId, inView(lawn))).toBe(true)
    expect((await again()).job).toMatchObject({ state: 'planned', ended: null, zoneIds: Object.keys(lawn.zones) })
    expect(await recordOf(ours.firmId, lawn.job.id)).toBeUndefined()
    await endJob(ours, inView(lawn), ending())
    await startJob(ours, lawn.id, next())
    expect(await reopenJob(ours.firmId, inView(lawn))).toBe(false)
  })
})

describe('jobs beside each other', () => {
  test('are on zones of their own: a zone is in one open job at most, whoever asks at once', async () => {
    expect(await startJob(ours, lawn.id, next())).toBe(false)
    const back = randomUUID()
    // A zone that is drawn joins the job in view; taken out of it by its end, it is free.
    await saveLook(ours, lawn.id, {
      ...lawn,
      zones: { ...lawn.zones, [back]: { ...NEW_ZONE, name: 'Back', order: 1 } },
    })
    expect((await again()).job.zoneIds.sort()).toEqual([...Object.keys(lawn.zones), back].sort())
    await endJob(ours, inView(lawn), { ...ending(), outcome: 'called off' })
    const [front] = Object.keys(lawn.zones) as [string]
    const asked = await Promise.all(
      [[front, back], [back], [front]].map((zones) => startJob(ours, lawn.id, next(zones))),
    )
    const open = (await again()).jobs.filter(({ endedOn }) => !endedOn).flatMap(({ zoneIds }) => zoneIds)
    expect(new Set(open).size).toBe(open.length)
    expect(asked.filter(Boolean).length).toBeGreaterThan(0)
    expect(await startJob(ours, lawn.id, next([randomUUID()]))).toBe(false)
  })

  test('keep their zones when the survey is saved again', async () => {
    const now = await again()
    await saveLook(ours, lawn.id, { ...now, growsNow: 'moss' })
    expect((await again()).job.zoneIds).toEqual(Object.keys(lawn.zones))
  })

  test('are their firm’s alone', async () => {
    const of = inView(lawn)
    expect(await endJob(theirs, of, ending())).toBe(false)
    expect(await startJob(theirs, lawn.id, next())).toBe(false)
    expect(await recordOf(theirs.firmId, lawn.job.id)).toBeUndefined()
    expect(await lawnById(theirs.firmId, lawn.id, lawn.job.id)).toBeUndefined()
  })
})

describe('a client', () => {
  const clients = () => owner<{ name: string }>('select name from clients order by name')

  test('may have several lawns, found by name however it is written', async () => {
    const second = (await addLawn(ours, { ...NEW_LAWN, id: randomUUID(), client: 'ODELL', address: '9 Mill Lane' }))!
    expect(second).toMatchObject({ client: 'Odell', clientId: lawn.clientId, sameClient: [{ id: lawn.id }] })
    expect(await clients()).toEqual([{ name: 'Odell' }])
    // Two who add the first lawn of a new client at once make one client.
    await Promise.all([1, 2].map(() => addLawn(ours, { ...NEW_LAWN, id: randomUUID(), client: 'Tarn' })))
    expect(await clients()).toEqual([{ name: 'Odell' }, { name: 'Tarn' }])
  })

  test('with one lawn is renamed by it, with several only that lawn goes, and one without lawns is gone', async () => {
    await saveLook(ours, lawn.id, { ...lawn, client: 'Odell & Daughter' })
    expect(await clients()).toEqual([{ name: 'Odell & Daughter' }])
    expect((await again()).clientId).toBe(lawn.clientId)
    const second = (await addLawn(ours, { ...NEW_LAWN, id: randomUUID(), client: 'Odell & Daughter' }))!
    await saveLook(ours, second.id, { ...second, client: 'Tarn' })
    expect(await clients()).toEqual([{ name: 'Odell & Daughter' }, { name: 'Tarn' }])
    await removeLawn(ours.firmId, second.id)
    expect(await clients()).toEqual([{ name: 'Odell & Daughter' }])
  })
})

const PROMISED = {
  on: toDay('2026-09-08'),
  sowOn: toDay('2026-09-18'),
  of100: 88,
  upOn: toDay('2026-09-29'),
  firstMowOn: toDay('2026-10-14'),
  inUseOn: toDay('2026-11-10'),
  priceMinor: 1_234_00,
  currency: 'USD',
}

test('a version says by whose clock it was saved, and which one was confirmed', async () => {
  const when = { at: '2026-09-08T12:20:00.000Z', today: toDay('2026-09-08') }
  await savePlan({ ...ours, when }, lawn.job.id, { ...lawn.plan, programme: 'overseed', sowOn: toDay('2026-09-18') })
  const saved = (await again()).plan
  expect(saved.savedAt).toMatch(/^2026-09-08T12:20/)
  expect((await again()).job).toMatchObject({ state: 'planned', confirmed: null })
  await savePlan({ ...ours, when }, lawn.job.id, saved, { on: PROMISED.on, promised: PROMISED })
  expect((await again()).job).toMatchObject({
    state: 'confirmed',
    promised: PROMISED,
    confirmed: { on: '2026-09-08', by: 'Somebody of Ours', version: 2 },
  })
  const versions = await versionsOf(ours.firmId, lawn.job.id)
  expect(versions.map(({ confirmed }) => confirmed)).toEqual([true, false])
  expect(new Date(versions[0]!.savedAt!).toISOString()).toBe(when.at)
  // Confirmed once more when seed is down: what was told before it is what was promised.
  const later = toDay('2026-09-25')
  expect(await savePlan(ours, lawn.job.id, (await again()).plan, { on: later, promised: null })).toBe(true)
  expect((await again()).job).toMatchObject({ confirmed: { on: later, version: 3 }, promised: PROMISED })
})
