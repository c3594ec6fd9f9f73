import { randomUUID } from 'node:crypto'
import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import type { Lawn } from '#contract/lawn'
import type { StockItem } from '#contract/stock'
import { startServer, type Running } from '#server/test/running/process'
import type { Report } from './report'
import { everyLawn, aFirm, TODAY, type Firm } from './world'

/** A PostgreSQL that may be killed: its folder and programs, as bin/hostile started it. */
export interface Cluster {
  folder: string
  bin: string
  port: string
}

const asPostgres = (command: string, args: string[]) =>
  process.getuid?.() === 0 ? spawnSync('runuser', ['-u', 'postgres', '--', command, ...args]) : spawnSync(command, args)
const pause = (ms: number) =>
  new Promise((go) => {
    setTimeout(go, ms)
  })

/** As if the power had gone: every process of the cluster at once. */
function killDatabase({ folder, bin, port }: Cluster): void {
  const pid = Number(readFileSync(`${folder}/postmaster.pid`, 'utf8').split('\n')[0])
  const children = spawnSync('pgrep', ['-P', String(pid)])
    .stdout.toString()
    .trim()
    .split('\n')
    .filter(Boolean)
    .map(Number)
  for (const one of [pid, ...children]) {
    try {
      process.kill(one, 'SIGKILL')
    } catch {
      /* It had gone by itself. */
    }
  }
  for (let tries = 0; tries < 20; tries++) {
    const started = asPostgres(`${bin}/pg_ctl`, [
      '-D',
      folder,
      '-w',
      '-t',
      '20',
      '-l',
      `${folder}/../log`,
      '-o',
      `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories='${folder}/..'`,
      'start',
    ])
    if (started.status === 0) return
    spawnSync('sleep', ['0.5'])
  }
  throw new Error('PostgreSQL did not come back after it was killed.')
}

interface Acknowledged {
  lawns: Set<string>
  marks: Set<string>
  stock: number
}

/** Writes until told to stop, and notes what was acknowledged. */
async function write(
  server: Running,
  firm: Firm,
  goingOn: () => boolean,
  kept: Acknowledged,
  report: Report,
): Promise<void> {
  while (goingOn()) {
    const id = randomUUID()
    const added = await firm.owner
      .ask(server, 'POST', '/api/lawns', {
        id,
        client: `Killed ${id}`,
        address: '',
        areaM2: 50,
        areaTyped: '',
        growsNow: '',
      })
      .catch(() => undefined)
    if (added?.status === 200) kept.lawns.add(id)
    const mark = randomUUID()
    const marked = await firm.owner
      .ask(server, 'POST', `/api/lawns/${firm.lawn.id}/jobs/${firm.lawn.job.id}/marks`, {
        id: mark,
        task: `own-${randomUUID()}`,
        doneOn: TODAY,
      })
      .catch(() => undefined)
    if (marked?.status === 200) kept.marks.add(mark)
    const moved = await firm.owner
      .ask(server, 'POST', `/api/stock/${firm.stock.id}/moves`, {
        id: randomUUID(),
        why: 'came',
        day: TODAY,
        amount: 1,
        note: '',
      })
      .catch(() => undefined)
    if (moved?.status === 200) kept.stock++
    report.probes += 3
  }
}

/** Server, database or both killed in the middle of acknowledged writes. */
export async function kills(
  databaseUrl: string,
  cluster: Cluster | undefined,
  report: Report,
  rounds: number,
): Promise<string> {
  let server = await startServer(databaseUrl)
  const firm = await aFirm(server, 'Kills')
  const kept: Acknowledged = { lawns: new Set(), marks: new Set(), stock: 0 }
  for (let round = 0; round < rounds; round++) {
    let going = true
    const writers = Array.from({ length: 4 }, () => write(server, firm, () => going, kept, report))
    await pause(200 + Math.random() * 500)
    const [whole, base] = [round % 3 !== 1, cluster !== undefined && round % 3 !== 0]
    if (base) killDatabase(cluster!)
    if (whole) await server.stop('SIGKILL')
    going = false
    await Promise.all(writers)
    if (whole) server = await startServer(databaseUrl)
    for (
      let tries = 0;
      tries < 60 && (await fetch(`${server.url}/readyz`).catch(() => undefined))?.status !== 200;
      tries++
    )
      await pause(250)
    const lawns = new Set((await everyLawn(firm.owner, server)).map(({ id }) => id))
    const marks = new Set(
      (await firm.owner.ask<Lawn>(server, 'GET', `/api/lawns/${firm.lawn.id}`)).body.done.map(({ id }) => id),
    )
    const [stock] = (await firm.owner.ask<StockItem[]>(server, 'GET', '/api/stock')).body
    for (const id of kept.lawns) if (!lawns.has(id)) report.lost.push(`lawn ${id} in round ${round}`)
    for (const id of kept.marks) if (!marks.has(id)) report.lost.push(`mark ${id} in round ${round}`)
    if (stock!.onHand < 40 + kept.stock)
      report.lost.push(`${40 + kept.stock - stock!.onHand} of the stock in round ${round}`)
  }
  await server.stop()
  return `${rounds} rounds of kill -9, of the server${cluster ? ', the database and both' : ''}; ${kept.lawns.size + kept.marks.size + kept.stock} acknowledged writes, ${report.lost.length} lost.`
}
