import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { setTimeout } from 'node:timers/promises'
import { addLawn, saveLook } from '#server/records/lawns'
import { demoPerson } from '#server/records/firms'
import { startServer, type Running } from '#server/test/running/process'
import { PELLMOOR } from '../demo/pellmoor'
import { quantile, type Measured } from './figures'

const LAWNS = 80
const PAGE = 40
/** In which a server that has just started has made its thread quick. */
const WARM_MS = 8000
/** What makes the ground and the seed of lawns differ in a book. */
const TEXTURES = ['loam', 'clay loam', 'sandy loam'] as const
const GRASSES = ['TF', 'PRG', 'KBG', 'CRF'] as const

/** A season's book: 80 lawns on two dozen kinds of ground, with four grasses. @returns their ids */
async function fill(): Promise<string[]> {
  const by = (await demoPerson('owner'))!
  const ids: string[] = []
  for (let i = 0; i < LAWNS; i++) {
    const lawn = (await addLawn(by, {
      id: randomUUID(),
      client: `Book ${String(i).padStart(2, '0')}`,
      address: '',
      areaM2: 300 + 10 * i,
      areaTyped: '',
      growsNow: '',
    }))!
    const zones = Object.fromEntries(
      Object.entries(lawn.zones).map(([id, zone]) => [
        id,
        {
          ...zone,
          grass: GRASSES[i % 4]!,
          desirableShare: 0.6,
          weedShare: 0.3,
          coarseShare: 0,
          bareShare: 0.1,
          plugsMm: [12],
          mowingHeightMm: 60 + (i % 5) * 4,
          sunHours: [9, 4.5][i % 2]!,
          slopeShare: (i % 7) * 0.02,
        },
      ]),
    )
    await saveLook(by, lawn.id, { ...lawn, zones, texture: TEXTURES[i % 3]!, latDeg: PELLMOOR.latDeg + (i % 4) * 0.1 })
    ids.push(lawn.id)
  }
  return ids
}

/** Most memory the process has held, MB. */
const mostMemoryMb = (pid: number) =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024

async function asker(server: Running) {
  const entered = await fetch(`${server.url}/demo/enter?as=owner`, { redirect: 'manual' })
  const cookie = entered.headers.getSetCookie()[0]!.split(';')[0]!
  const season = async (id: string, query = ''): Promise<number> => {
    const start = performance.now()
    const answer = await fetch(`${server.url}/api/lawns/${id}/sill${query}`, { headers: { cookie } })
    const { coarse } = (await answer.json()) as { coarse: boolean }
    if (coarse !== (query !== '')) throw new Error('A season is not what was asked for.')
    return performance.now() - start
  }
  const list = async (ids: readonly string[], query = '') => {
    const start = performance.now()
    const pages = Array.from({ length: Math.ceil(ids.length / PAGE) }, (_, i) => ids.slice(i * PAGE, (i + 1) * PAGE))
    const told = await Promise.all(
      pages.map(
        async (page) =>
          (await (
            await fetch(`${server.url}/api/outlines?of=${page.join(',')}${query}`, { headers: { cookie } })
          ).json()) as {
            outline: object | null
          }[],
      ),
    )
    if (told.flat().filter(({ outline }) => outline).length !== ids.length)
      throw new Error('Not every lawn is outlined.')
    return performance.now() - start
  }
  return { list, season }
}

const start = (databaseUrl: string) => startServer(databaseUrl, { UPPER_SILL_DEMO: '1', UPPER_SILL_LOG: 'warn' })

/** First looks at a whole book and at one lawn of it, by a server that has worked nothing out. */
async function benchFirstLooks(databaseUrl: string, ids: readonly string[]): Promise<Measured[]> {
  const server = await start(databaseUrl)
  try {
    const { list, season } = await asker(server)
    // It has stood for a moment, and its thread has warmed up, as on any working day; nothing is worked out.
    await setTimeout(WARM_MS)
    const all = await list(ids, '&coarse=yes')
    const ones: number[] = []
    for (const id of ids.slice(0, 9)) ones.push(await season(id, '?coarse=yes'))
    const one = quantile(ones, 0.5)
    return [
      {
        what: `a first look at ${LAWNS} lawns, from nothing`,
        figure: `${(all / 1000).toFixed(1)} s`,
        wanted: { words: 'under 5 s', met: all < 5000 },
      },
      {
        what: 'a first look at the season of one, its answer whole',
        figure: `${one.toFixed(0)} ms`,
        wanted: { words: 'under 150 ms', met: one < 150 },
      },
    ]
  } finally {
    await server.stop()
  }
}

/** Seasons of a whole book, from nothing, from the server's memory, and from the database after a start. */
export async function benchBook(databaseUrl: string): Promise<Measured[]> {
  const ids = await fill()
  const rows = await benchFirstLooks(databaseUrl, ids)
  const first = await start(databaseUrl)
  try {
    const { list: ask, season } = await asker(first)
    const whole = await ask(ids)
    rows.push({
      what: `seasons and outlines of ${LAWNS} lawns by 100 years, from nothing`,
      figure: `${(whole / 1000).toFixed(1)} s`,
      wanted: { words: 'under 25 s', met: whole < 25_000 },
    })
    const again = await ask(ids)
    rows.push({
      what: 'the same again, from the server’s memory',
      figure: `${again.toFixed(0)} ms`,
      wanted: { words: 'under 1,000 ms', met: again < 1000 },
    })
    const own: number[] = []
    for (const id of ids.slice(0, 4)) own.push(await season(id))
    rows.push({ what: 'the season of one lawn by 200 years', figure: `${quantile(own, 0.5).toFixed(0)} ms` })
    const memory = mostMemoryMb(first.pid)
    rows.push({
      what: 'most memory of the server and its threads on the way',
      figure: `${memory.toFixed(0)} MB`,
      wanted: { words: 'under 350 MB', met: memory < 350 },
    })
  } finally {
    await first.stop()
  }
  const second = await start(databaseUrl)
  try {
    const kept = await (await asker(second)).list(ids)
    rows.push({
      what: 'the same by a server just started, from the database',
      figure: `${kept.toFixed(0)} ms`,
      wanted: { words: 'under 1,000 ms', met: kept < 1000 },
    })
  } finally {
    await second.stop()
  }
  return rows
}
