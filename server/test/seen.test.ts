import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { addDays, daysBetween, toDay } from '#core/measure/calendar'
import type { EmergenceTold } from '#contract/seen'
import type { Lawn } from '#contract/lawn'
import { owner } from './database'
import { planOn as plan, TODAY, useOurs } from './ours'

const ours = useOurs()
const { call, ridge, surveyed } = ours
const path = (lawn: Lawn, what: string) => `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/${what}`
const SOWN = addDays(toDay(TODAY), -14)

async function sown(): Promise<Lawn> {
  const lawn = await surveyed()
  await call('PUT', path(lawn, 'plan'), plan(lawn, SOWN))
  return (await call<Lawn>('POST', path(lawn, 'marks'), { id: randomUUID(), task: 'sow', doneOn: SOWN })).body
}
const count = (lawn: Lawn, change: object = {}) => ({
  id: randomUUID(),
  kind: 'count',
  seenOn: TODAY,
  zoneId: lawn.job.zoneIds[0],
  frameMm: 76.2,
  seedlings: [12, 9, 14],
  ...change,
})

describe('what is seen after sowing', () => {
  test('is kept once however often it is sent, is there for who reads next, and is taken back', async () => {
    const lawn = await sown()
    // Read before, so that what is remembered of the lawn has to be let go.
    expect((await call<Lawn>('GET', `/api/lawns/${lawn.id}`)).body.seen).toEqual([])
    const seen = count(lawn, { moist: false, note: ' north  edge ' })
    for (let i = 0; i < 3; i++) expect((await call('POST', path(lawn, 'seen'), seen)).status).toBe(200)
    const kept = { ...seen, washed: false, birds: false, note: 'north  edge', savedBy: 'Somebody of Ours' }
    expect((await call<Lawn>('GET', `/api/lawns/${lawn.id}`)).body.seen).toEqual([kept])
    const watering = {
      id: randomUUID(),
      kind: 'watering',
      seenOn: SOWN,
      zoneId: null,
      given: false,
      hours: [14, 6, 14],
      by: 'client',
    }
    const both = (await call<Lawn>('POST', path(lawn, 'seen'), watering)).body.seen
    // The oldest first, hours once and in order.
    expect(both.map(({ kind }) => kind)).toEqual(['watering', 'count'])
    expect(both[0]).toMatchObject({ hours: [6, 14], by: 'client', given: false, zoneId: null })
    for (let i = 0; i < 2; i++) expect((await call('DELETE', path(lawn, `seen/${seen.id}`))).status).toBe(200)
    expect((await call<Lawn>('GET', `/api/lawns/${lawn.id}`)).body.seen).toHaveLength(1)
    // A spot has its place on the plan, within the lawn's reach.
    const spot = { ...count(lawn), kind: 'spot', areaM2: 2.5, missingShare: 1, cause: 'birds', at: [3.25, -4] }
    const { frameMm: _frame, seedlings: _seedlings, ...told } = spot
    const kept2 = (await call<Lawn>('POST', path(lawn, 'seen'), told)).body.seen.at(-1)
    expect(kept2).toMatchObject({ kind: 'spot', areaM2: 2.5, cause: 'birds', at: [3.25, -4] })
    // Rain falls on all of a lawn, and in no place more than is known of a day.
    const rain = { id: randomUUID(), kind: 'rain', seenOn: TODAY, rainMm: 14.5, by: 'client' }
    const kept3 = (await call<Lawn>('POST', path(lawn, 'seen'), rain)).body.seen.at(-1)
    expect(kept3).toMatchObject({ kind: 'rain', rainMm: 14.5, zoneId: null, by: 'client' })
    const flood = await call('POST', path(lawn, 'seen'), { ...rain, id: randomUUID(), rainMm: 4000 })
    expect([flood.status, Object.keys(flood.body.error.fields ?? {})]).toEqual([422, ['rainMm']])
    // A visit is of the whole lawn, and answers what it asks.
    const visit = { id: randomUUID(), kind: 'visit', seenOn: TODAY, task: 'mow', answers: { tug: false, height: 61 } }
    const kept4 = (await call<Lawn>('POST', path(lawn, 'seen'), visit)).body.seen.at(-1)
    expect(kept4).toMatchObject({ ...visit, zoneId: null })
    const other = await call('POST', path(lawn, 'seen'), { ...visit, id: randomUUID(), answers: { moles: true } })
    expect([other.status, Object.keys(other.body.error.fields ?? {})]).toEqual([422, ['answers']])
    const far = await call('POST', path(lawn, 'seen'), { ...told, id: randomUUID(), at: [9000, 0] })
    expect([far.status, Object.keys(far.body.error.fields ?? {})[0]]).toEqual([422, 'at.0'])
  })

  test('is refused for a day to come, a zone of elsewhere, an id of something else, and a job that has ended', async () => {
    const lawn = await sown()
    const ahead = await call('POST', path(lawn, 'seen'), count(lawn, { seenOn: addDays(toDay(TODAY), 1) }))
    expect([ahead.status, Object.keys(ahead.body.error.fields ?? {})]).toEqual([422, ['seenOn']])
    const elsewhere = await call('POST', path(lawn, 'seen'), count(lawn, { zoneId: randomUUID() }))
    expect([elsewhere.status, Object.keys(elsewhere.body.error.fields ?? {})]).toEqual([422, ['zoneId']])
    const one = count(lawn)
    await call('POST', path(lawn, 'seen'), one)
    const other = { id: one.id, kind: 'height', seenOn: TODAY, zoneId: one.zoneId, heightMm: 20 }
    expect((await call('POST', path(lawn, 'seen'), other)).status).toBe(409)
    const version = (await call<Lawn>('GET', `/api/lawns/${lawn.id}`)).body.plan.version
    await call('POST', path(lawn, 'end'), { version, outcome: 'called off', note: '' })
    expect((await call('POST', path(lawn, 'seen'), count(lawn))).status).toBe(409)
    expect((await call('DELETE', path(lawn, `seen/${one.id}`))).status).toBe(409)
  })

  test('is bounded: frames, seedlings, hours and notes', async () => {
    const lawn = await sown()
    for (const wrong of [
      { seedlings: [] },
      { seedlings: Array.from({ length: 31 }, () => 1) },
      { seedlings: [2001] },
      { seedlings: [1.5] },
      { seedlings: [-1] },
      { frameMm: 5 },
      { note: 'x'.repeat(301) },
      { kind: 'rumor' },
    ])
      expect([wrong, (await call('POST', path(lawn, 'seen'), count(lawn, wrong))).status]).toEqual([wrong, 422])
    const full = count(lawn, { seedlings: Array.from({ length: 30 }, () => 2000), note: 'x'.repeat(300) })
    expect((await call('POST', path(lawn, 'seen'), full)).status).toBe(200)
    await owner(
      `insert into observations (id, firm_id, lawn_id, job_id, kind, seen_on, what)
        select gen_random_uuid(), l.firm_id, l.id, $2, 'height', $3, '{}' from lawns l, generate_series(1, 1500) where l.id = $1`,
      [lawn.id, lawn.job.id, TODAY],
    )
    expect((await call('POST', path(lawn, 'seen'), count(lawn))).status).toBeGreaterThanOrEqual(400)
  })

  test('stands beside the emergence of its sowing, worked out by zone; none before anything is sown', async () => {
    await ridge()
    const lawn = await surveyed()
    expect((await call<EmergenceTold>('GET', path(lawn, 'emergence'))).body).toEqual({ zones: [] })
    await call('PUT', path(lawn, 'plan'), plan(lawn, SOWN))
    await call('POST', path(lawn, 'marks'), { id: randomUUID(), task: 'sow', doneOn: SOWN })
    const { zones } = (await call<EmergenceTold>('GET', path(lawn, 'emergence'))).body
    expect(zones.map(({ zoneId }) => zoneId)).toEqual(lawn.job.zoneIds)
    const { middle, perCm2, up50 } = zones[0]!.course
    expect(perCm2).toBeGreaterThan(0)
    expect(middle[up50!]).toBeGreaterThanOrEqual(0.5)
    // Asked again it is told from what is kept.
    expect((await call<EmergenceTold>('GET', path(lawn, 'emergence'))).body.zones).toEqual(zones)
  })
})

test('the clock of the demo goes on counting what is counted, once a day it passes, and only while it comes up', async () => {
  await ridge()
  const lawn = await sown()
  const counted = async () =>
    (await call<Lawn>('GET', `/api/lawns/${lawn.id}`)).body.seen.filter(({ kind }) => kind === 'count')
  // Nobody counts it yet.
  await call('POST', '/api/firm/clock', { days: 1 })
  expect(await counted()).toEqual([])
  await call('POST', path(lawn, 'seen'), count(lawn))
  await call('POST', '/api/firm/clock', { days: 9 })
  const days = (await counted()).map(({ seenOn }) => daysBetween(SOWN, seenOn))
  // Sown 14 days before, now 24 after: counted on days 18 and 22, and the one by hand.
  expect(days).toEqual([14, 18, 22])
  for (let i = 0; i < 3; i++) await call('POST', '/api/firm/clock', { days: 31 })
  expect((await counted()).map(({ seenOn }) => daysBetween(SOWN, seenOn)).at(-1)).toBe(38)
})
