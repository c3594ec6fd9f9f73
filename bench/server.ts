import { randomUUID } from 'node:crypto'
import autocannon from 'autocannon'
import type { Lawn } from '#contract/lawn'
import { MOST_LISTED, type ListedLawn } from '#contract/list'
import { NO_WORK } from '#core/job/nothingDecided'
import { defaultSettings } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassByCode } from '#core/grass/grasses'
import { addDays, toDay } from '#core/measure/calendar'
import { addLawn, saveLook } from '#server/records/lawns'
import { savePlan } from '#server/records/jobs'
import { demoPerson, type Author } from '#server/records/firms'
import { startServer } from '#server/test/running/process'
import { drawingFrames, firstLoad, photoMeasured } from './browser'
import { VERTICES } from './core'
import { quantile, type Measured } from './figures'

const LAWNS = 2_000
const SECONDS = 6
const CONNECTIONS = 20

/** A large book: every lawn surveyed and planned. */
async function fill(by: Author): Promise<void> {
  const add = async (i: number) => {
    const lawn = await addLawn(by, {
      id: randomUUID(),
      client: `Bench ${String(i).padStart(4, '0')}`,
      address: `${i} Long Row`,
      areaM2: 100 + i,
      areaTyped: '',
      growsNow: 'thin',
    })
    const zones = Object.fromEntries(
      Object.entries(lawn!.zones).map(([id, zone]) => [
        id,
        {
          ...zone,
          grass: 'TF' as const,
          desirableShare: 0.6,
          weedShare: 0.3,
          coarseShare: 0,
          bareShare: 0.1,
          plugsMm: [12],
          mowingHeightMm: 75,
          sunHours: 9,
        },
      ]),
    )
    await saveLook(by, lawn!.id, { ...lawn!, zones })
    await savePlan(by, lawn!.job.id, {
      version: 0,
      programme: 'overseed',
      overruleNote: null,
      zonePlans: {},
      practices: {},
      blend: [],
      work: NO_WORK,
      sowOn: addDays(toDay('2026-09-14'), i % 40),
      settings: defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.6, programme: PROGRAMMES.overseed }),
    })
  }
  for (let i = 0; i < LAWNS; i += 8) await Promise.all(Array.from({ length: 8 }, (_, k) => add(i + k)))
}

/** A lawn with 500 corners drawn. @returns its id */
async function cornered(by: Author): Promise<string> {
  const lawn = (await addLawn(by, {
    id: randomUUID(),
    client: 'Many Corners',
    address: '',
    areaM2: 1800,
    areaTyped: '',
    growsNow: '',
  }))!
  const [zoneId] = Object.keys(lawn.zones) as [string]
  const features = Object.fromEntries(
    Object.values(VERTICES).map((feature) => [
      randomUUID(),
      { ...feature, zoneId: feature.kind === 'zone' ? zoneId : null },
    ]),
  ) as Lawn['features']
  await saveLook(by, lawn.id, { ...lawn, features })
  return lawn.id
}

/** p95 of a path under load, ms. @throws Error when an answer was not 200 */
async function p95(url: string, cookie: string, connections: number): Promise<number> {
  const times: number[] = []
  const { non2xx, errors } = await new Promise<autocannon.Result>((done, failed) => {
    const run = autocannon({ url, connections, duration: SECONDS, headers: { cookie } }, (error, result) =>
      error ? failed(error) : done(result),
    )
    run.on('response', (_client, _status, _bytes, ms) => times.push(ms))
  })
  if (non2xx || errors) throw new Error(`${url}: ${non2xx} answers were refused, ${errors} failed`)
  return quantile(times, 0.95)
}

/** Speed of the server as built, with PostgreSQL and the load on the same machine. */
export async function benchServer(databaseUrl: string): Promise<Measured[]> {
  const server = await startServer(databaseUrl, { UPPER_SILL_DEMO: '1', UPPER_SILL_LOG: 'warn' })
  try {
    const entered = await fetch(`${server.url}/demo/enter?as=owner`, { redirect: 'manual' })
    const cookie = entered.headers.getSetCookie()[0]!.split(';')[0]!
    const ask = async <T>(path: string) => (await (await fetch(server.url + path, { headers: { cookie } })).json()) as T
    const listed = await ask<ListedLawn[]>('/api/lawns')
    const [odell, sown] = ['Odell', 'Corrow Hall'].map((name) => listed.find(({ client }) => client === name)!) as [
      ListedLawn,
      ListedLawn,
    ]
    const rows: Measured[] = []
    // A bare handler of the same server with one question to the database: what every answer is told as a multiple of.
    const bare = await p95(`${server.url}/readyz`, cookie, CONNECTIONS)
    rows.push({
      what: `a bare handler that asks the database one question, p95 at ${CONNECTIONS} connections`,
      figure: `${bare.toFixed(1)} ms`,
    })
    const load = async (what: string, path: string, mostTimes?: number) => {
      const ms = await p95(server.url + path, cookie, CONNECTIONS)
      const times = ms / bare
      rows.push({
        what: `${what}, p95 at ${CONNECTIONS} connections`,
        figure: `${times.toFixed(1)} times that (${ms.toFixed(0)} ms)`,
        ...(mostTimes ? { wanted: { words: `at most ${mostTimes} times`, met: times <= mostTimes } } : {}),
      })
    }
    await load('lawn page: its document', `/lawns/${odell.id}/when`)
    await load('lawn page: who is at work', '/api/context', 1.5)
    await load('lawn page: the lawn', `/api/lawns/${odell.id}`, 2.5)
    await load('lawn page: its season', `/api/lawns/${odell.id}/sill`, 3)
    const by = (await demoPerson('owner'))!
    const drawn = await cornered(by)
    await fill(by)
    await load(`list of ${LAWNS.toLocaleString('en-US')} lawns: its document`, '/lawns')
    await load('list: the first screen of lawns', '/api/lawns?first=60', 4)
    const alone = await p95(`${server.url}/api/lawns?first=60`, cookie, 1)
    rows.push({ what: 'list: the first screen of lawns, p95 at 1 connection', figure: `${alone.toFixed(0)} ms` })
    const whole = performance.now()
    for (let from = 0; from < LAWNS; from += MOST_LISTED) await ask(`/api/lawns?from=${from}`)
    rows.push({
      what: 'list: the whole book, a page after the other, in the background',
      figure: `${(performance.now() - whole).toFixed(0)} ms`,
    })
    const { kilobytes, charts, rowsMs } = await firstLoad(server.url)
    rows.push({
      what: 'first-load JavaScript of the list, compressed',
      figure: `${kilobytes.toFixed(0)} kB`,
      wanted: { words: 'under 250 kB', met: kilobytes < 250 },
    })
    rows.push({
      what: 'charts or maps in it',
      figure: charts ? 'yes' : 'none',
      wanted: { words: 'none', met: !charts },
    })
    rows.push({
      what: 'first rows of the list in Chromium, nothing cached',
      figure: `${rowsMs.toFixed(0)} ms`,
      wanted: { words: 'under 1,000 ms', met: rowsMs < 1000 },
    })
    const frameMs = await drawingFrames(server.url, `/lawns/${drawn}/look`)
    rows.push({
      what: 'a corner dragged on a plan with 500 corners, p95 of frames, drawn without a graphics card',
      figure: `${frameMs.toFixed(0)} ms`,
      wanted: { words: 'under 50 ms', met: frameMs < 50 },
    })
    const photo = await photoMeasured(server.url, `/lawns/${sown.id}/watch`)
    rows.push({
      what: 'green cover of a photo of 12 Mpx in the browser, from the file to the figure',
      figure: `${photo.ms.toFixed(0)} ms`,
      wanted: { words: 'under 3,000 ms', met: photo.ms < 3000 },
    })
    rows.push({
      what: 'the longest wait between two frames meanwhile',
      figure: `${photo.longestFrameMs.toFixed(0)} ms`,
      wanted: { words: 'under 50 ms', met: photo.longestFrameMs < 50 },
    })
    return rows
  } finally {
    await server.stop()
  }
}
