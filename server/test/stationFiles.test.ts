import { said } from '#contract/said'
import { describe, expect, test } from 'vitest'
import { addDays, toDay } from '#core/measure/calendar'
import type { Step } from '#contract/context'
import type { ImportPreview, ImportResult, Station } from '#contract/station'
import { OPEN_FORM } from '../compute/weatherFile'
import { NEW_STATION, useOurs } from './ours'

const ours = useOurs()
const { call, ridge } = ours

describe('a file for a station', () => {
  const CSV = 'date,tmax_c,tmin_c,precipitation_mm\n2026-08-01,28,15,0\n2026-08-02,29,16,4\nsoon,1,2,3\n'

  const MAPPED = { mapping: JSON.stringify(OPEN_FORM) }

  test('is looked into first, then kept with its bad rows told; again it changes nothing', async () => {
    const { body: station } = await call<Station>('POST', '/api/stations', NEW_STATION)
    const path = `/api/stations/${station.id}/import`
    const { body: preview } = await ours.browser.sendFile<ImportPreview>('/api/weather-files', CSV)
    expect(preview).toMatchObject({ rows: 3, delimiter: ',', guess: { temperature: 'C', rain: 'mm' } })
    expect((await call<Station[]>('GET', '/api/stations')).body[0]!.days).toBe(0)
    const keep = () => ours.browser.sendFile<ImportResult>(path, CSV, { mapping: JSON.stringify(preview.guess) })
    expect((await keep()).body).toMatchObject({ added: 2, rejectedCount: 1, rejected: [{ line: 4 }] })
    expect((await keep()).body).toMatchObject({ added: 0, changed: 0, unchanged: 2 })
  })

  test('is refused for a simulated station, another firm’s, a file that is no table and a name taken', async () => {
    await ridge()
    const [home] = (await call<Station[]>('GET', '/api/stations')).body
    expect((await ours.browser.sendFile(`/api/stations/${home!.id}/import`, CSV, MAPPED)).status).toBe(409)
    const nowhere = '/api/stations/00000000-0000-4000-8000-000000000000/import'
    expect((await ours.browser.sendFile(nowhere, CSV, MAPPED)).status).toBe(404)
    const { body: yard } = await call<Station>('POST', '/api/stations', NEW_STATION)
    expect((await ours.browser.sendFile('/api/weather-files', 'hello')).body.error.fields!.file).toContain('columns')
    expect((await ours.browser.sendFile(`/api/stations/${yard.id}/import`, CSV)).status).toBe(422)
    expect((await call('POST', '/api/stations', NEW_STATION)).status).toBe(409)
    expect((await call('POST', '/api/weather-files', {})).status).toBe(415)
    expect(
      (await ours.browser.sendFile(`/api/stations/${yard.id}/import`, CSV, { mapping: '{"columns"' })).status,
    ).toBe(422)
    expect(
      (await ours.browser.sendFile(`/api/stations/${yard.id}/import`, 'x'.repeat(16_100_000), MAPPED)).status,
    ).toBe(413)
  })

  test('is followed step by step by who asks for it, to the answer or the refusal', async () => {
    const { body: station } = await call<Station>('POST', '/api/stations', NEW_STATION)
    const many = Array.from({ length: 6000 }, (_, i) => `${addDays(toDay('2008-01-01'), i)},28,15,0`)
    const steps = async (file: string, told: Record<string, string>) => {
      const response = await ours.browser.request(
        'POST',
        `/api/stations/${station.id}/import?${new URLSearchParams(told)}`,
        { body: file, headers: { 'content-type': 'text/csv', accept: 'application/x-ndjson' } },
      )
      return (await response.text())
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line) as Step)
    }
    const kept = await steps(`date,tmax_c,tmin_c,precipitation_mm\n${many.join('\n')}`, {
      mapping: JSON.stringify(OPEN_FORM),
    })
    expect(kept.at(-1)).toMatchObject({ status: 200, body: { added: 6000, rejectedCount: 0 } })
    expect(kept.slice(0, -1)).toContainEqual({ doing: said('server.savingTheDays'), share: null })
    expect((await steps('hello', { mapping: JSON.stringify(OPEN_FORM) })).at(-1)).toMatchObject({
      status: 422,
      body: { error: { code: 'unreadable' } },
    })
  })
})
