import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Context, SillTold } from '#contract/context'
import type { Lawn } from '#contract/lawn'
import { PELLMOOR } from '../../../demo/pellmoor'
import { owner, useTestDatabase } from '../database'
import { FIRM, startServer, Visitor, type Running } from './process'
import { waitsHold } from '../waits'

useTestDatabase()
let one: Running
let two: Running
const mara = new Visitor()

beforeAll(async () => {
  ;[one, two] = await Promise.all([startServer(process.env.DATABASE_URL!), startServer(process.env.DATABASE_URL!)])
  expect((await mara.ask(one, 'POST', '/api/door/sign-up', FIRM)).status).toBe(200)
}, 60_000)
afterAll(async () => {
  await Promise.all([one, two].map((server) => server?.stop()))
})

describe('two servers on one database', () => {
  test('know one session: signed in at one is signed in at the other, and out everywhere at both', async () => {
    const phone = new Visitor()
    await phone.ask(two, 'POST', '/api/door/sign-in', { email: FIRM.email, password: FIRM.password })
    expect((await phone.ask<Context>(one, 'GET', '/api/context')).body.person.name).toBe('Mara')
    expect((await phone.ask(one, 'DELETE', '/api/me/sessions')).status).toBe(200)
    expect([
      (await mara.ask(one, 'GET', '/api/context')).status,
      (await mara.ask(two, 'GET', '/api/context')).status,
    ]).toEqual([401, 401])
    await mara.ask(two, 'POST', '/api/door/sign-in', { email: FIRM.email, password: FIRM.password })
    expect((await mara.ask(one, 'GET', '/api/context')).status).toBe(200)
  })

  test('let one of two who save the same version through, and show the other theirs', async () => {
    const { body: lawn } = await mara.ask<Lawn>(one, 'POST', '/api/lawns', {
      id: randomUUID(),
      client: 'Odell',
      address: '',
      areaM2: 612,
      areaTyped: '',
      growsNow: '',
    })
    const outcomes = await Promise.all(
      [one, two].map((server, i) =>
        mara.ask<Lawn>(server, 'PUT', `/api/lawns/${lawn.id}`, { ...lawn, address: `${i + 1} Sluice Lane` }),
      ),
    )
    expect(outcomes.map(({ status }) => status).sort()).toEqual([200, 409])
    const kept = outcomes.find(({ status }) => status === 200)!.body.address
    expect(outcomes.find(({ status }) => status === 409)!.body.error!.theirs).toMatchObject({
      address: kept,
      savedBy: 'Mara',
    })
    expect((await mara.ask<Lawn>(two, 'GET', `/api/lawns/${lawn.id}`)).body).toMatchObject({
      address: kept,
      version: lawn.version + 1,
    })
  })

  test('add a lawn once that is sent to both', async () => {
    const lawn = { id: randomUUID(), client: 'Twice', address: '', areaM2: 50, areaTyped: '', growsNow: '' }
    const sent = await Promise.all(
      [one, two, one, two].map((server) => mara.ask<Lawn>(server, 'POST', '/api/lawns', lawn)),
    )
    expect(sent.map(({ status, body }) => [status, body.id])).toEqual(sent.map(() => [200, lawn.id]))
    expect(
      (await mara.ask<Lawn[]>(two, 'GET', '/api/lawns')).body.filter(({ client }) => client === 'Twice'),
    ).toHaveLength(1)
  })

  test('work a season out once: what one made the other reads, and a changed survey is a season of its own', async () => {
    await owner(
      `insert into stations (firm_id, name, kind, lat_deg, lon_deg, home, normals) select id, 'Ridge', 'imported', $1,
        $2, true, $3 from firms`,
      [PELLMOOR.latDeg, PELLMOOR.lonDeg, JSON.stringify(PELLMOOR.normals)],
    )
    await owner(
      `insert into weather_days (firm_id, station_id, day, tmax_c, tmin_c, rain_mm) select firm_id, id,
        current_date - 1, 20, 10, 0 from stations`,
    )
    const made = await mara.ask<SillTold>(one, 'GET', '/api/sill')
    expect(made.status).toBe(200)
    // Marked where it is kept, so that reading it shows.
    await owner(`update kept_outlooks set years_from = 'what the other made'`)
    const read = await mara.ask<SillTold>(two, 'GET', '/api/sill')
    expect(read.body.yearsFrom).toBe('what the other made')
    expect(read.body.outlook).toEqual(made.body.outlook)
    const { body: lawn } = await mara.ask<Lawn>(two, 'POST', '/api/lawns', {
      id: randomUUID(),
      client: 'Wet',
      address: '',
      areaM2: 50,
      areaTyped: '',
      growsNow: '',
    })
    const sill = async () => {
      const { body } = await mara.ask<SillTold>(two, 'GET', `/api/lawns/${lawn.id}/sill`)
      return JSON.parse(body.yearsFrom) as unknown
    }
    expect([await sill(), await owner('select 1 from kept_outlooks')]).toEqual([
      { key: 'server.normalsOf', values: { name: 'Ridge' } },
      [expect.anything(), expect.anything()],
    ])
    await mara.ask(two, 'PUT', `/api/lawns/${lawn.id}`, { ...lawn, water: { ...lawn.water, timesADay: 1 } })
    await sill()
    expect(await owner('select 1 from kept_outlooks')).toHaveLength(3)
  })

  test('keep one clock', async () => {
    await owner(`update firms set demo = true, clock_stands_at = '2026-09-08T12:00:00Z'`)
    expect((await mara.ask(one, 'POST', '/api/firm/clock', { days: 7 })).body).toEqual({ today: '2026-09-15' })
    expect((await mara.ask<Context>(two, 'GET', '/api/context')).body.today).toBe('2026-09-15')
    await owner(`update firms set demo = false, clock_stands_at = null`)
  })

  test('count tries together: three at one and three at the other make the next wait at both', async () => {
    const guess = (server: Running) =>
      new Visitor().ask(server, 'POST', '/api/door/sign-in', { email: 'guessed@example.org', password: 'a guess' })
    const statuses: number[] = []
    for (let i = 0; i < 6; i++) statuses.push((await guess(i % 2 ? one : two)).status)
    expect(statuses).toEqual(Array(6).fill(401))
    await waitsHold()
    expect([(await guess(one)).status, (await guess(two)).status]).toEqual([429, 429])
  })
})

test('a server without its secret, or with a weak one, says so and does not start', async () => {
  await expect(startServer(process.env.DATABASE_URL!, { NUXT_SESSION_PASSWORD: 'short' })).rejects.toThrow(
    /NUXT_SESSION_PASSWORD/,
  )
  await expect(startServer('')).rejects.toThrow(/DATABASE_URL/)
})

test('a server whose own user owns nothing, and may only work, does all the work', async () => {
  const url = new URL(process.env.DATABASE_URL!)
  await owner(
    `do $$ begin if exists (select from pg_roles where rolname = 'sill_server_of_tests')
      then drop role sill_server_of_tests; end if; end $$`,
  )
  await owner(`create role sill_server_of_tests login password 'of tests only' in role upper_sill_work`)
  url.username = 'sill_server_of_tests'
  url.password = 'of tests only'
  const server = await startServer(url.href)
  try {
    const tam = new Visitor()
    expect((await tam.ask(server, 'POST', '/api/door/sign-up', { ...FIRM, email: 'tam@example.org' })).status).toBe(200)
    expect(
      (
        await tam.ask<Lawn>(server, 'POST', '/api/lawns', {
          id: randomUUID(),
          client: 'Odell',
          address: '',
          areaM2: 612,
          areaTyped: '',
          growsNow: '',
        })
      ).status,
    ).toBe(200)
    expect((await fetch(`${server.url}/readyz`)).status).toBe(200)
    // The demo and its devices are shut where nobody asked for them.
    for (const path of ['/demo/enter', '/standin/pellmoor-ridge/forecast.csv?on=2026-09-08'])
      expect((await fetch(server.url + path, { redirect: 'manual' })).status).toBe(404)
  } finally {
    await server.stop()
    await owner('drop role sill_server_of_tests')
  }
})

test('logs are lines of JSON with the number of the request, and hold no secret', async () => {
  const { requestId } = await mara.ask(one, 'GET', '/api/context')
  await mara.ask(one, 'POST', '/api/door/link', { secret: 's'.repeat(43) })
  await expect.poll(() => one.log.some((line) => line.includes(requestId!))).toBe(true)
  const lines = one.log.filter((line) => !line.startsWith('Listening'))
  const entries = lines.map((line) => JSON.parse(line) as Record<string, unknown>)
  expect(entries.length).toBeGreaterThan(5)
  expect(entries.find(({ id }) => id === requestId)).toMatchObject({
    method: 'GET',
    path: '/api/context',
    status: 200,
    firm: expect.any(String),
    person: expect.any(String),
  })
  for (const secret of [
    FIRM.password,
    FIRM.email,
    'guessed@example.org',
    's'.repeat(43),
    mara.cookie.split('=')[1]!.slice(0, 40),
    'a guess',
  ])
    expect(lines.join('\n')).not.toContain(secret)
})
