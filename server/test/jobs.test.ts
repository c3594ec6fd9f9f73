import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import type { FieldProposal } from '#core/learning/fieldShare'
import { addDays } from '#core/measure/calendar'
import type { Context } from '#contract/context'
import type { EndedJob } from '#contract/keptJob'
import type { Lawn } from '#contract/lawn'
import type { ListedLawn } from '#contract/list'
import { planOn as plan, TODAY, useOurs } from './ours'

const ours = useOurs()
const { call, ridge, surveyed } = ours
const path = (lawn: Lawn, what: string) => `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/${what}`
const mark = (task: string, doneOn: string = TODAY) => ({ id: randomUUID(), task, doneOn })

describe('a job', () => {
  test('is confirmed by an act of its own: keeping days confirms nothing, and a stale one is refused', async () => {
    const lawn = await surveyed()
    expect((await call('POST', path(lawn, 'confirm'), { version: 0, days: {} })).status).toBe(422)
    const planned = (
      await call<Lawn>('PUT', path(lawn, 'plan'), {
        ...plan(lawn, '2026-09-18'),
        work: { ...lawn.plan.work, days: { scalp: '2026-09-15' } },
      })
    ).body
    expect(planned.job).toMatchObject({ state: 'planned', confirmed: null })
    const stale = await call('POST', path(lawn, 'confirm'), { version: 0, days: {} })
    expect([stale.status, stale.body.error.code]).toEqual([409, 'conflict'])
    const days = { scalp: '2026-09-16', sow: '2026-09-18' }
    const confirmed = (await call<Lawn>('POST', path(lawn, 'confirm'), { version: 1, days })).body
    expect(confirmed.job).toMatchObject({
      state: 'confirmed',
      confirmed: { on: TODAY, by: 'Somebody of Ours', version: 2 },
    })
    expect(confirmed.plan).toMatchObject({ version: 2, work: { days } })
    // What could be told that day is kept, whatever later plans know.
    expect(confirmed.job.promised).toMatchObject({ on: TODAY, sowOn: '2026-09-18', currency: 'USD' })
    expect(confirmed.job.promised!.priceMinor).toBeGreaterThan(0)
  })

  test('that was sown ends with its inspection, and its cover goes into the survey where that is wanted', async () => {
    await ridge()
    const end = async (takeStands: boolean) => {
      const lawn = await surveyed()
      const [zoneId] = Object.keys(lawn.zones)
      const sown = addDays(TODAY, -70)
      await call('PUT', path(lawn, 'plan'), plan(lawn, '2026-09-18'))
      await call('POST', path(lawn, 'marks'), { ...mark('sow', sown), note: 'sown then' })
      const seen = { id: randomUUID(), kind: 'cover', seenOn: TODAY, zoneId, coverShare: 0.94, from: 'eye' }
      expect((await call('POST', path(lawn, 'seen'), seen)).status).toBe(200)
      const frames = { frameMm: 76.2, seedlings: [9, 11, 10, 12] }
      const count = { id: randomUUID(), kind: 'count', seenOn: TODAY, zoneId, ...frames }
      expect((await call('POST', path(lawn, 'seen'), count)).status).toBe(200)
      const ending = { version: 1, outcome: 'closed', note: '', takeStands }
      const ended = (await call<Lawn>('POST', path(lawn, 'end'), ending)).body
      const record = (await call<EndedJob>('GET', path(lawn, 'record'))).body
      return { record, zone: ended.zones[zoneId!]!, was: lawn.zones[zoneId!]! }
    }
    const kept = await end(true)
    expect(kept.record.kept.inspection).toMatchObject({ sownOn: addDays(TODAY, -70), stands: { verdict: 'dense' } })
    expect(kept.zone.bareShare).toBeCloseTo(0.06, 9)
    const left = await end(false)
    expect(left.zone.bareShare).toBe(left.was.bareShare)
    expect(left.record.kept.inspection!.next.length).toBeGreaterThan(0)
    // Both lawns tell what comes up in beds of this firm; with two zones nothing is proposed, and nothing is changed.
    const learned = (await call<FieldProposal[]>('GET', '/api/firm/learned')).body
    expect(learned).toEqual([expect.objectContaining({ zones: 2, seedlings: 84, differs: false })])
    expect((await call<Context>('GET', '/api/context')).body.firm.planning).toEqual({})
  })

  test('that ends is kept with its survey, tasks, marks and price, and takes nothing more until it is reopened', async () => {
    await ridge()
    const lawn = await surveyed()
    await call('PUT', path(lawn, 'plan'), plan(lawn, '2026-09-18'))
    await call('POST', path(lawn, 'marks'), { ...mark('scalp'), hours: 2, note: 'wet corner' })
    expect((await call('GET', path(lawn, 'record'))).status).toBe(409)
    const stale = await call('POST', path(lawn, 'end'), { version: 0, outcome: 'closed', note: '' })
    expect([stale.status, stale.body.error.code]).toEqual([409, 'conflict'])
    const ended = (await call<Lawn>('POST', path(lawn, 'end'), { version: 1, outcome: 'closed', note: 'thick' })).body
    expect(ended.job).toMatchObject({ state: 'closed', ended: { on: TODAY, note: 'thick' } })
    const record = (await call<EndedJob>('GET', path(lawn, 'record'))).body
    expect(record).toMatchObject({
      ground: { client: 'Odell', zones: lawn.zones },
      plan: { programme: 'overseed', sowOn: '2026-09-18' },
      kept: { keptOn: TODAY, currency: 'USD', priceMinor: expect.any(Number), seedKg: expect.any(Number) },
      done: [{ key: 'scalp', hours: 2, note: 'wet corner' }],
    })
    const sow = record.kept.tasks.find(({ key }) => key === 'sow')!
    expect(sow).toMatchObject({ to: '2026-09-18', uses: [{ matter: 'seed TF 100' }] })
    // What was sown is seed of the whole ground, by the kept settings.
    expect(sow.uses[0]!.amount).toBeCloseTo(record.kept.seedKg!, 6)

    for (const [what, body] of [
      ['plan', plan({ ...lawn, plan: ended.plan }, '2026-09-20')],
      ['marks', mark('sow')],
      ['confirm', { version: 1, days: {} }],
      ['end', { version: 1, outcome: 'called off', note: '' }],
    ] as const) {
      const refused = await call(what === 'plan' ? 'PUT' : 'POST', path(lawn, what), body)
      expect([what, refused.status, refused.body.error.code]).toEqual([what, 409, 'ended'])
    }
    // A survey that changes after does not change the record.
    await call('PUT', `/api/lawns/${lawn.id}`, { ...ended, client: 'Tarn', zones: ended.zones })
    expect((await call<EndedJob>('GET', path(lawn, 'record'))).body.ground.client).toBe('Odell')
    expect((await call<Lawn>('POST', path(lawn, 'reopen'), {})).body.job).toMatchObject({
      state: 'in work',
      ended: null,
    })
    expect((await call('POST', path(lawn, 'marks'), mark('sow'))).status).toBe(200)
  })

  // Found: next year's plan showed last year's sowing as done, and Decide was locked.
  test('begins clean after another and knows it: what that put down keeps seed off by its label', async () => {
    const lawn = await surveyed({ applications: [], nothingPutOn: true })
    await call('PUT', path(lawn, 'plan'), plan(lawn, '2026-11-20'))
    await call('POST', path(lawn, 'marks'), mark('hardWeeds'))
    await call('POST', path(lawn, 'end'), { version: 1, outcome: 'called off', note: 'sold' })
    const second = { id: randomUUID(), zoneIds: Object.keys(lawn.zones) }
    const now = (await call<Lawn>('POST', `/api/lawns/${lawn.id}/jobs`, second)).body
    expect(now).toMatchObject({ job: { id: second.id, number: 2 }, done: [], plan: { programme: null, version: 0 } })
    expect((await call('POST', `/api/lawns/${lawn.id}/jobs`, { ...second, id: randomUUID() })).status).toBe(409)
    const early = await call('PUT', path(now, 'plan'), plan(now, addDays(TODAY, 27)))
    expect([early.status, early.body.error.code]).toEqual([422, 'label'])
    expect((await call('PUT', path(now, 'plan'), plan(now, addDays(TODAY, 28)))).status).toBe(200)
    // One of another lawn is not found under this one.
    const other = await surveyed()
    expect((await call('GET', `/api/lawns/${other.id}/jobs/${now.job.id}/versions`)).status).toBe(404)
  })
})

test('the list is answered a page at a time, each lawn once', async () => {
  for (let i = 0; i < 5; i++) await surveyed()
  const pages = await Promise.all(
    [0, 2, 4].map(async (from) => (await call<ListedLawn[]>('GET', `/api/lawns?first=2&from=${from}`)).body),
  )
  expect(pages.map(({ length }) => length)).toEqual([2, 2, 1])
  expect(new Set(pages.flat().map(({ id }) => id)).size).toBe(5)
  expect((await call('GET', '/api/lawns?first=100000')).status).toBe(422)
})

describe('work that is held', () => {
  // A buried line that nobody has marked: nothing goes into the ground.
  const cable = {
    name: '',
    points: [
      [0, 0],
      [5, 0],
    ],
    holes: [],
    zoneId: null,
    heightM: null,
    radiusM: null,
    depthMm: 300,
  }
  const withCable = async () => {
    const lawn = await surveyed()
    const features = { [randomUUID()]: { ...cable, kind: 'buried', located: false } }
    const drawn = (await call<Lawn>('PUT', `/api/lawns/${lawn.id}`, { ...lawn, features })).body
    await call('PUT', path(drawn, 'plan'), {
      ...plan(drawn, TODAY),
      work: { ...drawn.plan.work, pins: { dethatch: TODAY } },
    })
    return drawn
  }

  test('is recorded where it was really done, as done against what held it, with a note that says why', async () => {
    const lawn = await withCable()
    const refused = await call('POST', path(lawn, 'marks'), mark('dethatch'))
    expect([refused.status, refused.body.error.code]).toEqual([422, 'held'])
    expect(refused.body.error.fields!.note).toContain('buried lines are not located')
    const told = { ...mark('dethatch'), note: 'client marked them', against: 'buried lines are not located' }
    expect((await call<Lawn>('POST', path(lawn, 'marks'), told)).body.done).toMatchObject([
      { key: 'dethatch', note: 'client marked them', against: 'buried lines are not located' },
    ])
    // What nothing holds is done against nothing, whatever a client says.
    const free = { ...mark('order'), against: 'made up' }
    expect((await call<Lawn>('POST', path(lawn, 'marks'), free)).body.done.at(-1)).toMatchObject({ against: '' })
  })

  test('is not confirmed: law and label by no note, the rest with one', async () => {
    const lawn = await withCable()
    const refused = await call('POST', path(lawn, 'confirm'), { version: 1, days: {} })
    expect([refused.status, refused.body.error.code]).toEqual([422, 'held'])
    expect(refused.body.error.message).toMatch(/is held: buried lines.*no note overrides/)
  })
})

test('what a job will use of the shed is spoken for until it is done, called off, or its plan wants less', async () => {
  const spoken = async () => (await call<Context>('GET', '/api/context')).body.spokenFor['seed TF 100'] ?? 0
  const lawn = await surveyed()
  expect(await spoken()).toBe(0)
  const planned = (await call<Lawn>('PUT', path(lawn, 'plan'), plan(lawn, '2026-10-18'))).body
  const once = await spoken()
  expect(once).toBeGreaterThan(5)
  const other = await surveyed()
  await call('PUT', path(other, 'plan'), plan(other, '2026-10-18'))
  expect(await spoken()).toBeCloseTo(2 * once, 6)
  // A smaller lawn wants less of it, as soon as its survey says so.
  const [zoneId, zone] = Object.entries(planned.zones)[0]!
  const half = { ...planned, zones: { [zoneId]: { ...zone, tapedM2: zone.tapedM2! / 2 } } }
  expect((await call('PUT', `/api/lawns/${lawn.id}`, half)).status).toBe(200)
  expect(await spoken()).toBeCloseTo(1.5 * once, 6)
  await call('POST', path(lawn, 'marks'), { ...mark('sow'), note: 'n' })
  expect(await spoken()).toBeCloseTo(once, 6)
  await call('POST', path(other, 'end'), { version: 1, outcome: 'called off', note: '' })
  expect(await spoken()).toBe(0)
})
