import { beforeEach, describe, expect, test } from 'vitest'
import { addDays } from '#core/measure/calendar'
import type { Context } from '#contract/context'
import type { ImportResult, Mapping, ReadingsResult, Station, StationDetail } from '#contract/station'
import { newFirm, owner, useTestDatabase } from './database'
import { Browser } from './house'

useTestDatabase()

let browser: Browser
const call = <T = unknown>(method: string, path: string, body?: unknown) => browser.call<T>(method, path, body)

beforeEach(async () => {
  await owner('delete from firms')
  browser = await new Browser().enter(await newFirm('Ours'))
})

describe('a station', () => {
  const yard = async () =>
    (
      await call<Station>('POST', '/api/stations', {
        name: 'Yard',
        latDeg: 37,
        lonDeg: -79,
        heightM: 120,
        coastal: false,
      })
    ).body
  const months = (value: number) => Array.from({ length: 12 }, () => value)
  const NORMALS = { tmaxC: months(20), tminC: months(10), rainMm: months(80), wetDays: months(9) }

  test('is changed with its normals, and whoever saves an older version is shown the newer', async () => {
    const station = await yard()
    const edit = { ...station, name: 'Back yard', heightM: 130, normals: NORMALS }
    expect((await call<Station>('PUT', `/api/stations/${station.id}`, edit)).body).toMatchObject({
      name: 'Back yard',
      heightM: 130,
      normals: NORMALS,
      version: 2,
    })
    const late = await call('PUT', `/api/stations/${station.id}`, { ...edit, name: 'Front yard' })
    expect([late.status, late.body.error.code, (late.body.error.theirs as Station).name]).toEqual([
      409,
      'conflict',
      'Back yard',
    ])
    const impossible = await call('PUT', `/api/stations/${station.id}`, {
      ...edit,
      version: 2,
      normals: { ...NORMALS, tminC: months(25) },
    })
    expect([impossible.status, impossible.body.error.fields?.['normals.tminC.0']]).toEqual([422, 'Above the highest.'])
  })

  test('that becomes the home station takes the place of the one before; the home station stays', async () => {
    const first = await yard()
    const { body: second } = await call<Station>('POST', '/api/stations', {
      name: 'Field',
      latDeg: 37,
      lonDeg: -79,
      heightM: null,
      coastal: false,
    })
    expect([first.home, second.home]).toEqual([true, false])
    await call('PUT', `/api/stations/${second.id}`, { ...second, home: true })
    expect((await call<Station[]>('GET', '/api/stations')).body.map(({ name, home }) => [name, home])).toEqual([
      ['Field', true],
      ['Yard', false],
    ])
    expect((await call('DELETE', `/api/stations/${second.id}`)).status).toBe(409)
    expect((await call('DELETE', `/api/stations/${first.id}`)).status).toBe(200)
  })

  test('tells the gaps of its record, and the season marks them', async () => {
    const station = await yard()
    const row = (day: string) => `${day},20,10,1`
    const mapping: Mapping = {
      columns: { day: 0, tmax: 1, tmin: 2, rain: 3 },
      temperature: 'C',
      rain: 'mm',
      only: null,
    }
    await browser.sendFile(
      `/api/stations/${station.id}/import`,
      ['date,high,low,rain', ...['2026-05-01', '2026-05-02', '2026-05-06', '2026-05-07', '2026-06-01'].map(row)].join(
        '\n',
      ),
      { mapping: JSON.stringify(mapping) },
    )
    expect((await call<StationDetail>('GET', `/api/stations/${station.id}`)).body).toMatchObject({
      missingDays: 27,
      gaps: [
        { from: '2026-05-08', to: '2026-05-31', days: 24 },
        { from: '2026-05-03', to: '2026-05-05', days: 3 },
      ],
      forecast: [],
      readings: 0,
    })
  })

  test('keeps a forecast typed today, whole, until a later one; also out of a file', async () => {
    const station = await yard()
    const today = (await call<Context>('GET', '/api/context')).body.today
    const day = (n: number, change = {}) => ({
      day: addDays(today, n),
      tmaxC: 20,
      tminC: 11,
      rainMm: 0,
      windKmh: null,
      ...change,
    })
    const put = (days: object[]) => call('PUT', `/api/stations/${station.id}/forecast`, { days })
    const told = async () => (await call<StationDetail>('GET', `/api/stations/${station.id}`)).body
    expect((await put([day(0), day(1, { rainMm: 14, windKmh: 22 }), day(2)])).status).toBe(200)
    expect((await put([day(0), day(1, { rainMm: 3 })])).status).toBe(200)
    expect(await told()).toMatchObject({
      forecastIssued: today,
      forecast: [{ day: today }, { rainMm: 3, windKmh: null }],
    })
    expect((await told()).forecast).toHaveLength(2)
    expect((await put([day(0, { tminC: 30 })])).body.error.fields?.['days.0.tminC']).toBe('Above the highest.')
    expect((await put([day(-1)])).status).toBe(422)
    expect((await put([])).status).toBe(422)
    const mapping: Mapping = {
      columns: { day: 0, tmax: 1, tmin: 2, rain: 3 },
      temperature: 'F',
      rain: 'in',
      only: null,
    }
    const file = await browser.sendFile<ImportResult>(
      `/api/stations/${station.id}/import`,
      `date,high,low,rain\n${addDays(today, -2)},70,50,0\n${today},68,50,1\n${addDays(today, 40)},70,50,0`,
      { what: 'forecast', mapping: JSON.stringify(mapping) },
    )
    expect(file.body).toMatchObject({ added: 1, unchanged: 1, rejectedCount: 1 })
    expect((await told()).forecast).toMatchObject([{ day: today, tmaxC: 20, rainMm: 25.4 }])
  })

  test('takes readings out of a file, and names the rows it left out', async () => {
    const station = await yard()
    const post = (csv: string) => browser.sendFile<ReadingsResult>(`/api/stations/${station.id}/readings-file`, csv)
    expect(
      (await post('time,depth_in,soil_temp_f\n2026-01-05 06:40,2,41\n2026-01-05 06:40,2,42\n2026-01-06 06:40,2,x'))
        .body,
    ).toMatchObject({ kept: 1, rejectedCount: 1, rejected: [{ line: 4 }] })
    expect((await call<StationDetail>('GET', `/api/stations/${station.id}`)).body.readings).toBe(1)
    expect((await post('time,temp\n2026-01-05 06:40,5')).body.error.fields?.file).toMatch(/depth/)
  })
})
