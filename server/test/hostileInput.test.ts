import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { withZone } from '../../contract/test/looks'
import type { Context } from '#contract/context'
import type { Lawn } from '#contract/lawn'
import type { StockItem } from '#contract/stock'
import type { Station } from '#contract/station'
import { owner } from './database'
import { NEW_LAWN, NEW_STATION, TODAY, useOurs } from './ours'

const ours = useOurs()
const { call, surveyed } = ours

describe('what cannot be kept', () => {
  const NUL = '\0'
  const HALF = '\ud800'
  test('of a text is dropped from it, wherever it stands', async () => {
    const lawn = await surveyed()
    const dirty = {
      ...withZone(lawn, { name: `Fr${NUL}ont${HALF}` }),
      client: `Od${NUL}ell`,
      address: `4 Quarry${HALF} Rise`,
      applications: [{ ingredient: `prodi${NUL}amine`, product: '', rate: '', appliedOn: '2026-05-04', waitDays: 0 }],
    }
    const { status, body } = await call<Lawn>('PUT', `/api/lawns/${lawn.id}`, dirty)
    expect([
      status,
      body.client,
      body.address,
      Object.values(body.zones)[0]!.name,
      body.applications[0]!.ingredient,
    ]).toEqual([200, 'Odell', '4 Quarry Rise', 'Front', 'prodiamine'])
    expect(
      (
        await call<StockItem[]>('POST', '/api/stock', {
          id: randomUUID(),
          matter: 'feed 18-24-12',
          name: `start${NUL}er`,
          day: TODAY,
          amount: 1,
        })
      ).body[0]!.name,
    ).toBe('starter')
    const planned = await call<Lawn>('PUT', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/plan`, {
      ...lawn.plan,
      overruleNote: `dry${HALF} enough`,
      work: { ...lawn.plan.work, skipped: { feed: `fed${NUL}` } },
    })
    expect([planned.status, planned.body.plan.overruleNote, planned.body.plan.work.skipped]).toEqual([
      200,
      'dry enough',
      { feed: 'fed' },
    ])
  })

  test('of numbers and days is said in words, by field', async () => {
    const lawn = await surveyed()
    const { body: station } = await call<Station>('POST', '/api/stations', NEW_STATION)
    const day = { day: TODAY, tmaxC: 20, tminC: 10, rainMm: 0, windKmh: null }
    const refused = [
      await call('PUT', `/api/lawns/${lawn.id}`, { ...lawn, version: 2_147_483_648 }),
      await call('PUT', `/api/stations/${station.id}`, { ...station, version: 2_147_483_648 }),
      await call('POST', `/api/stations/${station.id}/readings`, { at: '2026-02-31T06:40', depthMm: 50, tempC: 5 }),
      await call('PUT', `/api/stations/${station.id}/forecast`, { days: [day, day] }),
      await call('POST', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`, {
        id: randomUUID(),
        task: 'scalp',
        doneOn: TODAY,
        hours: 0.001,
      }),
      await call('POST', '/api/lawns', { id: randomUUID(), ...NEW_LAWN, areaM2: 5e-324 }),
    ]
    expect(
      refused.map(({ status, body: { error } }) => [status, error.code, Object.keys(error.fields ?? {}).length > 0]),
    ).toEqual(refused.map(() => [422, 'invalid', true]))
  })

  test('of a zone that is drawn larger than a lawn, or cut away, is said at the zone', async () => {
    const lawn = await surveyed()
    const [zoneId] = Object.keys(lawn.zones)
    const thing = {
      kind: 'zone',
      name: '',
      holes: [] as number[][][],
      zoneId,
      heightM: null,
      radiusM: null,
      depthMm: null,
      located: false,
    }
    const save = (points: number[][], holes: number[][][] = []) =>
      call<Lawn>('PUT', `/api/lawns/${lawn.id}`, {
        ...withZone(lawn, { areaFrom: 'drawn' }),
        features: { [randomUUID()]: { ...thing, points, holes } },
      })
    const square = (m: number, at = 0) => [
      [at, at],
      [at + m, at],
      [at + m, at + m],
      [at, at + m],
    ]
    expect(Object.entries((await save(square(500))).body.error.fields!)).toEqual([
      [`zones.${zoneId}.areaFrom`, expect.stringContaining('2,150,000 ft²')],
    ])
    expect((await save(square(10), [square(20, -5)])).body.error.fields).toEqual({
      [`zones.${zoneId}.areaFrom`]: expect.stringContaining('leave nothing'),
    })
    // What is cut out beside it takes nothing away, and of two cut-outs in one place one counts.
    const { body } = await save(square(10), [square(3, 40), square(2, 4), square(2, 4)])
    expect(body.measured[zoneId!]).toMatchObject({ areaM2: expect.closeTo(96, 3) })
    expect(body).toMatchObject({ sunAwaited: false, measured: { [zoneId!]: { sunByMonthH: expect.any(Array) } } })
  })

  test('of an outline of 5,000 corners is nothing', async () => {
    const lawn = await surveyed()
    const [zoneId] = Object.keys(lawn.zones)
    const points = Array.from({ length: 5000 }, (_, i) => [
      30 * Math.cos((i * Math.PI) / 2500),
      30 * Math.sin((i * Math.PI) / 2500),
    ])
    const outline = {
      kind: 'zone',
      name: '',
      points,
      holes: [],
      zoneId,
      heightM: null,
      radiusM: null,
      depthMm: null,
      located: false,
    }
    const { status, body } = await call<Lawn>('PUT', `/api/lawns/${lawn.id}`, {
      ...withZone(lawn, { areaFrom: 'drawn' }),
      features: { [randomUUID()]: outline },
    })
    expect([status, body.measured[zoneId!]!.areaM2]).toEqual([200, expect.closeTo(Math.PI * 900, 0)])
  })
})

describe('an address that is none', () => {
  test('is told as such, and a method that it does not take with those it does', async () => {
    const answer = async (method: string, path: string) => {
      const response = await ours.browser.request(method, path)
      return [
        response.status,
        response.headers.get('allow'),
        ((await response.json()) as { error: { code: string } }).error.code,
      ]
    }
    expect(await answer('GET', '/api/nothing')).toEqual([404, null, 'not_found'])
    expect(await answer('POST', '/api/lawns/x/y/z')).toEqual([404, null, 'not_found'])
    expect(await answer('PATCH', '/api/lawns')).toEqual([405, 'GET, POST', 'method'])
    expect(await answer('DELETE', '/api/context')).toEqual([405, 'GET', 'method'])
    expect(await answer('PUT', `/api/lawns/${randomUUID()}/photos/${randomUUID()}?small=1`)).not.toEqual([
      405,
      null,
      'method',
    ])
  })

  test('of a zone that one of server and database does not know is refused, and one that got in shuts nobody out', async () => {
    const { body } = await call<Context>('GET', '/api/context')
    for (const timeZone of ['ECT', 'US/Pacific-New', 'Atlantis/Reef']) {
      const { status, body: told } = await call('PUT', '/api/firm', { ...body.firm, timeZone })
      expect([timeZone, status, Object.keys(told.error.fields ?? {})]).toEqual([timeZone, 422, ['timeZone']])
    }
    await owner(`update firms set time_zone = 'Atlantis/Reef'`)
    expect((await call<Context>('GET', '/api/context')).status).toBe(200)
    expect((await call('PUT', '/api/firm', { ...body.firm, timeZone: 'America/Denver' })).status).toBe(200)
  })
})
