import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import type { Context } from '#contract/context'
import { addLawn } from '../records/lawns'
import { addStation } from '../records/stations'
import { addStock, stockOf } from '../records/stock'
import { newFirm, owner } from './database'
import { Browser, ROUTES } from './house'
import { NEW_LAWN, NEW_STATION, TODAY, useOurs } from './ours'

const ours = useOurs()
const { call, surveyed } = ours

describe('every route', () => {
  /** What is sent where a body is judged before the thing is looked for. */
  const BODIES: Record<string, object> = {
    '/api/people/:id': { role: 'owner', active: true },
    '/api/people/links': { kind: 'reset', personId: randomUUID() },
    '/api/lawns/:id/jobs/:job/marks': { id: randomUUID(), task: 'scalp', doneOn: TODAY },
    '/api/lawns/:id/jobs/:job/seen': {
      id: randomUUID(),
      kind: 'height',
      seenOn: TODAY,
      zoneId: randomUUID(),
      heightMm: 20,
    },
    '/api/stations/:id/keys': { name: 'Logger' },
    '/api/stock/:id': { version: 1, name: 'Mine', putAway: true },
    '/api/stock/:id/moves': { id: randomUUID(), why: 'came', day: TODAY, amount: 1, note: '' },
  }
  /** Days come by a key, whoever is signed in; its own tests are in stationDoor.test.ts. */
  const behindTheDoor = ROUTES.filter(({ path }) => !path.startsWith('/api/door/') && path !== '/api/stations/:id/days')

  test('is known: the walk below misses none', () => {
    expect(ROUTES.length).toBeGreaterThan(25)
    expect(ROUTES.map(({ path }) => path)).toEqual(
      expect.arrayContaining(['/api/context', '/api/lawns/:id/jobs/:job/plan', '/api/people/links', '/api/firm']),
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
      const station = (await addStation(them.firmId, { ...NEW_STATION, name: 'Theirs' }))!
      const stock = randomUUID()
      await addStock(them, { id: stock, matter: 'feed 18-24-12', name: 'Theirs', day: TODAY, amount: 10 })
      const id = path.includes('/stock/')
        ? stock
        : path.includes('/lawns/')
          ? lawn.id
          : path.includes('/stations/')
            ? station.id
            : them.personId
      const theirs = () =>
        owner(
          `select (select row_to_json(l) from lawns l where id = $1) as lawn,
            (select row_to_json(p) from people p where id = $2) as person`,
          [lawn.id, them.personId],
        )
      const before = await theirs()
      const { status, body } = await call(
        method.toUpperCase(),
        path.replace(':id', id).replace(/:\w+/, randomUUID()),
        method === 'get' || method === 'delete' ? undefined : (BODIES[path] ?? lawn),
      )
      expect([status, body.error.code]).toEqual([404, 'not_found'])
      expect(await theirs()).toEqual(before)
      expect((await stockOf(them.firmId))[0]).toMatchObject({ name: 'Theirs', onHand: 10, putAway: false })
    },
  )

  test('shows of the firm’s lists nothing of another’s', async () => {
    const them = await newFirm('Theirs')
    const lawn = (await addLawn(them, { id: randomUUID(), ...NEW_LAWN }))!
    await addStock(them, { id: randomUUID(), matter: 'feed 18-24-12', name: 'Theirs', day: TODAY, amount: 10 })
    await addStation(them.firmId, { ...NEW_STATION, name: 'Theirs' })
    expect([
      (await call('GET', '/api/lawns')).body,
      (await call('GET', '/api/stations')).body,
      (await call('GET', `/api/outlines?of=${lawn.id}`)).body,
      (await call('GET', '/api/stock')).body,
    ]).toEqual([[], [], [], []])
    expect((await call<{ name: string }[]>('GET', '/api/people')).body.map(({ name }) => name)).toEqual([
      'Somebody of Ours',
    ])
  })

  test('takes no settings that name another firm’s station', async () => {
    const them = await newFirm('Theirs')
    const station = (await addStation(them.firmId, { ...NEW_STATION, name: 'Theirs' }))!
    const { body } = await call<Context>('GET', '/api/context')
    expect((await call('PUT', '/api/firm', { ...body.firm, homeStationId: station.id })).status).toBe(404)
    const lawn = await surveyed()
    expect((await call('PUT', `/api/lawns/${lawn.id}`, { ...lawn, stationId: station.id })).status).toBe(422)
  })
})
