import { randomUUID } from 'node:crypto'
import { beforeEach, describe, expect, test, vi } from 'vitest'
import { toDay } from '#core/quantity/calendar'
import type { Zone } from '#core/site/zone'
import { ANSWERED, withZone } from '../../contract/test/looks'
import type { Context } from '#contract/context'
import type { Lawn } from '#contract/lawn'
import { dailyCsv, forecastCsv, probeCsv } from '#contract/feed'
import { PELLMOOR } from '../../demo/pellmoor'
import type { Author } from '../records/firms'
import { addLawn } from '../records/lawns'
import { addStation } from '../records/stations'
import { addStock, stockOf } from '../records/stock'
import { standinDays, standinForecast, standinReadings } from '../weather/standin'
import { newFirm, owner, useTestDatabase } from './database'
import { Browser, ROUTES } from './house'

useTestDatabase()

let browser: Browser
const call = <T = unknown>(method: string, path: string, body?: unknown) => browser.call<T>(method, path, body)

/** The stand-in devices, asked as the server asks them. */
vi.stubGlobal('$fetch', async (path: string) => {
  const query = new URL(path, 'http://stand.in').searchParams
  const day = (name: string) => toDay(query.get(name) ?? '')
  if (path.includes('forecast')) return forecastCsv(standinForecast(day('on')))
  return path.includes('daily')
    ? dailyCsv(standinDays(day('from'), day('to')))
    : probeCsv(standinReadings(day('from'), day('to')))
})

const TODAY = toDay('2026-09-08')
const NEW_LAWN = { client: 'Odell', address: '', areaM2: 612, areaTyped: '', growsNow: '' }
let firmId: string
let us: Author

beforeEach(async () => {
  await owner('delete from firms')
  us = await newFirm('Ours')
  firmId = us.firmId
  await owner(`update firms set demo = true, time_zone = $2, clock_stands_at = '2026-09-08T12:00:00Z' where id = $1`, [
    firmId,
    PELLMOOR.timeZone,
  ])
  browser = await new Browser().enter(us)
})

async function surveyed(change: Partial<Lawn> = {}, zone: Partial<Zone> = {}): Promise<Lawn> {
  const { body } = await call<Lawn>('POST', '/api/lawns', { id: randomUUID(), ...NEW_LAWN })
  const saved = await call<Lawn>('PUT', `/api/lawns/${body.id}`, {
    ...withZone(body, { ...ANSWERED, ...zone }),
    ...change,
  })
  expect(saved.status).toBe(200)
  return saved.body
}

describe('every route', () => {
  /** What is sent where a body is judged before the thing is looked for. */
  const BODIES: Record<string, object> = {
    '/api/people/:id': { role: 'owner', active: true },
    '/api/people/links': { kind: 'reset', personId: randomUUID() },
    '/api/lawns/:id/marks': { id: randomUUID(), slip: 'scalp', doneOn: TODAY },
    '/api/stock/:id': { version: 1, name: 'Mine', putAway: true },
    '/api/stock/:id/moves': { id: randomUUID(), why: 'came', day: TODAY, amount: 1, note: '' },
  }
  const behindTheDoor = ROUTES.filter(({ path }) => !path.startsWith('/api/door/'))

  test('is known: the walk below misses none', () => {
    expect(ROUTES.length).toBeGreaterThan(25)
    expect(ROUTES.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['/api/context', '/api/lawns/:id/plan', '/api/people/links', '/api/firm']),
    )
  })

  test.each(behindTheDoor)('$method $path is 401 for who is signed out', async ({ method, path }) => {
    const { status, body } = await new Browser().call(
      method.toUpperCase(),
      path.replace(/:\w+/g, () => randomUUID()),
      method === 'get' || method === 'delete' ? undefined : {},
    )
    expect([status, body.error.code]).toEqual([401, 'signed_out'])
  })

  test.each(behindTheDoor.filter(({ path }) => path.includes(':id')))(
    '$method $path is 404 for another firm’s id, and changes nothing there',
    async ({ method, path }) => {
      const them = await newFirm('Theirs')
      const lawn = (await addLawn(them, { id: randomUUID(), ...NEW_LAWN }))!
      const station = (await addStation(them.firmId, {
        name: 'Theirs',
        latDeg: 37,
        lonDeg: -79,
        heightM: null,
        coastal: false,
      }))!
      const stock = randomUUID()
      await addStock(them, { id: stock, matter: 'feed 18-24-12', name: 'Theirs', day: TODAY, amount: 10 })
      const id = path.includes('/stock/')
        ? stock
        : path.includes('/lawns/')
          ? lawn.id
          : path.includes('/stations/')
            ? station.id
            : them.personId
      const before = await owner(
        'select (select row_to_json(l) from lawns l where id = $1) as lawn, (select row_to_json(p) from people p where id = $2) as person',
        [lawn.id, them.personId],
      )
      const { status, body } = await call(
        method.toUpperCase(),
        path.replace(':id', id).replace(/:\w+/, randomUUID()),
        method === 'get' || method === 'delete' ? undefined : (BODIES[path] ?? lawn),
      )
      expect([status, body.error.code]).toEqual([404, 'not_found'])
      expect(
        await owner(
          'select (select row_to_json(l) from lawns l where id = $1) as lawn, (select row_to_json(p) from people p where id = $2) as person',
          [lawn.id, them.personId],
        ),
      ).toEqual(before)
      expect((await stockOf(them.firmId))[0]).toMatchObject({ name: 'Theirs', onHand: 10, putAway: false })
    },
  )

  test('shows of the firm’s lists nothing of another’s', async () => {
    const them = await newFirm('Theirs')
    const lawn = (await addLawn(them, { id: randomUUID(), ...NEW_LAWN }))!
    await addStock(them, { id: randomUUID(), matter: 'feed 18-24-12', name: 'Theirs', day: TODAY, amount: 10 })
    await addStation(them.firmId, { name: 'Theirs', latDeg: 37, lonDeg: -79, heightM: null, coastal: false })
    expect([
      (await call('GET', '/api/lawns')).body,
      (await call('GET', '/api/stations')).body,
      (await call('GET', `/api/glances?of=${lawn.id}`)).body,
      (await call('GET', '/api/stock')).body,
    ]).toEqual([[], [], [], []])
    expect((await call<{ name: string }[]>('GET', '/api/people')).body.map(({ name }) => name)).toEqual([
      'Somebody of Ours',
    ])
  })

  test('takes no settings that name another firm’s station', async () => {
    const them = await newFirm('Theirs')
    const station = (await addStation(them.firmId, {
      name: 'Theirs',
      latDeg: 37,
      lonDeg: -79,
      heightM: null,
      coastal: false,
    }))!
    const { body } = await call<Context>('GET', '/api/context')
    expect((await call('PUT', '/api/firm', { ...body.firm, homeStationId: station.id })).status).toBe(404)
    const lawn = await surveyed()
    expect((await call('PUT', `/api/lawns/${lawn.id}`, { ...lawn, stationId: station.id })).status).toBe(422)
  })
})
