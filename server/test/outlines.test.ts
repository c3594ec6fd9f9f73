import { randomUUID } from 'node:crypto'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { sillOf, type SillTold } from '#contract/context'
import type { LawnOutline, ListedLawn } from '#contract/list'
import type { Lawn } from '#contract/lawn'
import { glanceOf } from '#core/establishment/glance'
import { addDays } from '#core/measure/calendar'
import * as tasks from '../compute/tasks'
import { keepForecast, stationsOf } from '../records/stations'
import { owner } from './database'
import { planOn, TODAY, useOurs } from './ours'

const ours = useOurs()
const { call, ridge, surveyed } = ours
const TOMORROW = addDays(TODAY, 1)
const list = async () => (await call<ListedLawn[]>('GET', '/api/lawns')).body
const outlines = async (...lawns: Lawn[]) =>
  (await call<LawnOutline[]>('GET', `/api/outlines?of=${lawns.map(({ id }) => id).join(',')}`)).body

/** How many lawns are planned anew. */
const planned = vi.spyOn(tasks, 'outlinesOf')
const plannedSince = () => {
  const count = planned.mock.calls.reduce((sum, [{ lawns }]) => sum + lawns.length, 0)
  planned.mockClear()
  return count
}
beforeEach(() => void planned.mockClear())

async function overseeded(): Promise<Lawn> {
  const lawn = await surveyed()
  return (await call<Lawn>('PUT', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/plan`, planOn(lawn, '2026-09-18'))).body
}

describe('an outline', () => {
  test('says of a job what its own plan and season say', async () => {
    await ridge()
    const lawn = await overseeded()
    const { outlook } = sillOf((await call<SillTold>('GET', `/api/lawns/${lawn.id}/sill`)).body)
    expect(outlook.years).toBe(200)
    const [told] = await outlines(lawn)
    expect(told).toMatchObject({ id: lawn.id, outline: { stage: 'to sow', grass: 'TF', missing: 0 } })
    expect(told!.outline!.odds).toEqual({ of100: glanceOf(outlook, lawn.plan.sowOn).sowing!.of100 })
    expect(told!.outline!.marks.find(({ anchor }) => anchor)).toMatchObject({ key: 'sow', day: '2026-09-18' })
  })

  test('stands in the list from then on, and is kept until something changes', async () => {
    const [one, other] = [await overseeded(), await overseeded()]
    expect((await list()).map(({ outline }) => outline)).toEqual([null, null])
    const told = await outlines(one, other)
    expect(plannedSince()).toBe(2)
    expect(new Map((await list()).map(({ id, outline }) => [id, outline]))).toEqual(
      new Map(told.map(({ id, outline }) => [id, outline])),
    )
    expect(await outlines(one, other)).toEqual(told)
    expect(plannedSince()).toBe(0)
  })

  test('goes by fewer years until its own page is opened, and then by those of its page', async () => {
    await ridge()
    const lawn = await overseeded()
    const [listed] = await outlines(lawn)
    const own = sillOf((await call<SillTold>('GET', `/api/lawns/${lawn.id}/sill`)).body).outlook
    const [after] = await outlines(lawn)
    expect(after!.outline!.odds).toEqual({ of100: glanceOf(own, lawn.plan.sowOn).sowing!.of100 })
    expect([listed!.coarse, after!.coarse]).toEqual([false, false])
    expect(plannedSince()).toBe(2)
  })

  test('has a first look that is marked and not kept, where nothing is worked out', async () => {
    await ridge()
    const lawn = await overseeded()
    const look = () => call<LawnOutline[]>('GET', `/api/outlines?coarse=yes&of=${lawn.id}`)
    expect((await look()).body[0]).toMatchObject({ id: lawn.id, coarse: true, outline: { stage: 'to sow' } })
    expect((await list())[0]!.outline).toBeNull()
    const [whole] = await outlines(lawn)
    expect(whole!.coarse).toBe(false)
    expect((await look()).body).toEqual([whole])
  })

  test('of a lawn that changed is no more told, and is worked out for it alone', async () => {
    const [one, other] = [await overseeded(), await overseeded()]
    await outlines(one, other)
    const path = `/api/lawns/${one.id}/jobs/${one.job.id}`
    const changes: [string, () => Promise<unknown>][] = [
      ['a mark', () => call('POST', `${path}/marks`, { id: randomUUID(), task: 'soilTest', doneOn: TODAY })],
      ['the survey', () => call('PUT', `/api/lawns/${one.id}?job=${one.job.id}`, { ...one, address: 'Fen Lane 2' })],
      ['its end', () => call('POST', `${path}/end`, { version: 1, outcome: 'closed', note: '' })],
    ]
    for (const [what, change] of changes) {
      plannedSince()
      expect(await change(), what).toMatchObject({ status: 200 })
      const listed = new Map((await list()).map(({ id, outline }) => [id, outline]))
      expect([listed.get(one.id), listed.get(other.id)], what).toEqual([null, expect.anything()])
      await outlines(one)
      expect(plannedSince(), what).toBe(1)
    }
    expect((await outlines(one))[0]!.outline).toMatchObject({ stage: 'finished', next: null })
  })

  test('is worked out anew on another day, by other practice and in other weather, and told as it was until then', async () => {
    await ridge()
    const lawn = await overseeded()
    await outlines(lawn)
    const [station] = await stationsOf(ours.us.firmId)
    const changes: [string, () => Promise<unknown>][] = [
      ['the day', () => owner(`update firms set clock_stands_at = '2026-09-09T12:00:00Z'`)],
      ['a wait', () => owner(`update firms set planning = '{"liftGrow": 21}'`)],
      [
        'a forecast',
        () => keepForecast(ours.us.firmId, station!.id, TOMORROW, [{ day: TOMORROW, tmaxC: 31, tminC: 18, rainMm: 9 }]),
      ],
    ]
    for (const [what, change] of changes) {
      await outlines(lawn)
      plannedSince()
      await change()
      expect((await list())[0]!.outline, what).not.toBeNull()
      await outlines(lawn)
      expect(plannedSince(), what).toBe(1)
    }
  })

  test('of a lawn that is gone, or another firm’s, is not told', async () => {
    const lawn = await overseeded()
    await outlines(lawn)
    await call('DELETE', `/api/lawns/${lawn.id}`)
    expect(await outlines(lawn)).toEqual([])
    expect(await owner('select from kept_outlines')).toHaveLength(0)
  })
})
