import { mkdirSync, mkdtempSync, readdirSync, readFileSync, symlinkSync, utimesSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { describe, expect, test } from 'vitest'
import type { DeliveryResult, StationKey, StationKeyMade } from '#contract/delivery'
import type { Station } from '#contract/station'
import { lookIntoFolder } from '../weather/watchedFolder'
import { owner } from './database'
import { Browser, type Answer } from './house'
import { NEW_STATION, useOurs } from './ours'

const ours = useOurs()
const { call } = ours
const DAYS = [
  { day: '2026-08-01', tmaxC: 28, tminC: 15, rainMm: 0 },
  { day: '2026-08-02', tmaxC: 29, tminC: 16, rainMm: 4 },
]

const yard = async (): Promise<Station> => (await call<Station>('POST', '/api/stations', NEW_STATION)).body
const keyOf = async ({ id }: Station): Promise<StationKeyMade> =>
  (await call<StationKeyMade>('POST', `/api/stations/${id}/keys`, { name: 'Logger' })).body
async function deliver(
  id: string,
  secret: string,
  body: unknown,
  type = 'application/json',
): Promise<Answer<DeliveryResult>> {
  // A script: no cookie, and it comes from no page.
  const response = await new Browser().request('POST', `/api/stations/${id}/days`, {
    body: typeof body === 'string' ? body : JSON.stringify(body),
    headers: { 'content-type': type, authorization: `Bearer ${secret}`, origin: '' },
  })
  return {
    status: response.status,
    body: (await response.json()) as Answer<DeliveryResult>['body'],
    headers: response.headers,
  }
}

describe('the door of a station', () => {
  test('takes days by its key, as JSON or CSV, and the same again changes nothing', async () => {
    const station = await yard()
    const { secret } = await keyOf(station)
    const first = await deliver(station.id, secret, { days: [...DAYS, { ...DAYS[0], day: '2027-01-01' }] })
    expect([first.status, first.body]).toMatchObject([200, { added: 2, changed: 0, rejectedCount: 1 }])
    const csv = 'date,tmax_f,tmin_f,rain_in\n2026-08-01,82.4,59,0\n2026-08-03,86,60,0.2\nsoon,1,1,1\n'
    const second = await deliver(station.id, secret, csv, 'text/csv')
    expect(second.body).toMatchObject({ added: 1, rejectedCount: 1, rejected: [{ line: 4 }] })
    await deliver(station.id, secret, { days: DAYS })
    expect((await deliver(station.id, secret, { days: DAYS })).body).toMatchObject({
      added: 0,
      changed: 0,
      unchanged: 2,
    })
    expect((await call<Station[]>('GET', '/api/stations')).body[0]!.days).toBe(3)
    const [key] = (await call<StationKey[]>('GET', `/api/stations/${station.id}/keys`)).body
    expect([key!.name, key!.usedAt !== null]).toEqual(['Logger', true])
  })

  test('takes a forecast and readings of a probe beside them', async () => {
    const station = await yard()
    const { secret } = await keyOf(station)
    const forecast = [{ day: '2026-09-09', tmaxC: 24, tminC: 12, rainMm: 3, windKmh: null }]
    const readings = [{ at: '2026-09-07T06:40', depthMm: 50, tempC: 19.5 }]
    expect((await deliver(station.id, secret, { forecast, readings })).status).toBe(200)
    const detail = (await call<{ forecast: unknown[]; readings: number }>('GET', `/api/stations/${station.id}`)).body
    expect([detail.forecast.length, detail.readings]).toEqual([1, 1])
  })

  test('is shut without its key, with that of another station, and once it is revoked; the key is kept as a hash', async () => {
    const station = await yard()
    const other = (await call<Station>('POST', '/api/stations', { ...NEW_STATION, name: 'Lane' })).body
    const { id, secret } = await keyOf(station)
    expect((await deliver(station.id, '', { days: DAYS })).status).toBe(401)
    expect((await deliver(station.id, 'a'.repeat(43), { days: DAYS })).status).toBe(401)
    expect((await deliver(other.id, secret, { days: DAYS })).status).toBe(404)
    // A signed-in browser has no key either.
    expect((await call('POST', `/api/stations/${station.id}/days`, { days: DAYS })).status).toBe(401)
    const rows = await owner<{ row: string }>('select row_to_json(k)::text as row from station_keys k')
    expect(rows.some(({ row }) => row.includes(secret))).toBe(false)
    expect((await call('DELETE', `/api/stations/${station.id}/keys/${id}`)).status).toBe(200)
    expect((await call('DELETE', `/api/stations/${station.id}/keys/${id}`)).status).toBe(404)
    expect((await deliver(station.id, secret, { days: DAYS })).status).toBe(401)
    expect((await call<Station[]>('GET', '/api/stations')).body.every(({ days }) => days === 0)).toBe(true)
  })

  test('says what is wrong of a delivery, and takes no more than it says', async () => {
    const station = await yard()
    const { secret } = await keyOf(station)
    const upside = await deliver(station.id, secret, { days: [{ ...DAYS[0], tminC: 40 }] })
    expect([upside.status, Object.keys(upside.body.error.fields!)]).toEqual([422, ['days.0.tminC']])
    expect((await deliver(station.id, secret, { days: Array(1001).fill(DAYS[0]) })).status).toBe(422)
    expect((await deliver(station.id, secret, 'hello\n', 'text/csv')).status).toBe(422)
    expect((await deliver(station.id, secret, 'x'.repeat(300_000))).status).toBe(413)
  })

  test('lets a key deliver 240 times an hour, and slows down who guesses', async () => {
    const station = await yard()
    const { secret } = await keyOf(station)
    for (let i = 0; i < 240; i++) expect((await deliver(station.id, secret, {})).status).toBe(200)
    expect((await deliver(station.id, secret, {})).status).toBe(429)
    const guesses = []
    for (let i = 0; i < 40; i++) guesses.push((await deliver(station.id, 'b'.repeat(43), {})).status)
    expect(guesses.at(-1)).toBe(429)
  }, 60_000)
})

describe('the watched folder', () => {
  const settled = (path: string, text: string) => {
    writeFileSync(path, text)
    utimesSync(path, new Date(0), new Date(0))
  }
  test('takes in the files of a station once, and puts what it cannot read aside with the reason', async () => {
    const station = await yard()
    const folder = mkdtempSync(join(tmpdir(), 'watched-'))
    const own = join(folder, station.id)
    mkdirSync(own)
    mkdirSync(join(folder, 'not a station'))
    settled(join(own, 'august.csv'), 'date,tmax_c,tmin_c,precipitation_mm\n2026-08-01,28,15,0\n2026-08-02,29,16,4\n')
    settled(join(own, 'note.txt'), 'hello\n')
    writeFileSync(join(own, 'being-written.csv'), 'date,tmax_c')
    settled(join(folder, 'outside.csv'), 'date,tmax_c,tmin_c,precipitation_mm\n2026-07-01,28,15,0\n')
    symlinkSync(join(folder, 'outside.csv'), join(own, 'link.csv'))
    await lookIntoFolder(folder)
    await lookIntoFolder(folder)
    expect((await call<Station[]>('GET', '/api/stations')).body[0]).toMatchObject({ days: 2, firstDay: '2026-08-01' })
    expect(readdirSync(join(own, 'kept'))).toEqual(['august.csv'])
    expect(readdirSync(join(own, 'refused')).sort()).toEqual(['note.txt', 'note.txt.why.txt'])
    expect(readFileSync(join(own, 'refused', 'note.txt.why.txt'), 'utf8')).toMatch(/name the columns/)
    expect(readdirSync(own)).toEqual(expect.arrayContaining(['being-written.csv', 'link.csv']))
  })
})
