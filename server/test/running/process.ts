import { spawn, type ChildProcess } from 'node:child_process'
import { createConnection, createServer, type AddressInfo, type Socket } from 'node:net'
import { once } from 'node:events'
import { fileURLToPath } from 'node:url'

const BUILT = fileURLToPath(new URL('../../../.output/server/index.mjs', import.meta.url))

/** A built server as a process of its own, started as the README says. */
export interface Running {
  url: string
  pid: number
  /** Lines it has logged so far. */
  log: string[]
  stop: (signal?: NodeJS.Signals) => Promise<void>
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  server.close()
  await once(server, 'close')
  return port
}

export async function startServer(databaseUrl: string, env: Record<string, string> = {}): Promise<Running> {
  const port = await freePort()
  const child: ChildProcess = spawn(process.execPath, [BUILT], {
    env: {
      PATH: process.env.PATH, HOST: '127.0.0.1', PORT: String(port), DATABASE_URL: databaseUrl, NODE_ENV: 'production',
      NUXT_SESSION_PASSWORD: 'one secret for all the instances of a firm', NUXT_SESSION_COOKIE_SECURE: 'false', NODE_OPTIONS: '--max-semi-space-size=1', ...env,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  const log: string[] = []
  for (const stream of [child.stdout!, child.stderr!]) stream.on('data', (text: Buffer) => log.push(...text.toString().split('\n').filter(Boolean)))
  const url = `http://127.0.0.1:${port}`
  for (let i = 0; ; i++) {
    if (await fetch(`${url}/healthz`).then(({ ok }) => ok, () => false)) break
    if (i > 150 || child.exitCode !== null) throw new Error(`The server did not start:\n${log.join('\n')}`)
    await new Promise((done) => { setTimeout(done, 100) })
  }
  return {
    url, log, pid: child.pid!,
    stop: async (signal = 'SIGTERM') => {
      if (child.exitCode !== null || child.signalCode !== null) return
      child.kill(signal)
      await once(child, 'exit')
    },
  }
}

/** A line between server and database that can be cut and mended. */
export async function startLine(databaseUrl: string) {
  const target = new URL(databaseUrl)
  const open = new Set<Socket>()
  let whole = true
  const server = createServer((near) => {
    if (!whole) return near.destroy()
    const far = createConnection(Number(target.port), target.hostname)
    for (const socket of [near, far]) {
      open.add(socket)
      socket.on('error', () => undefined).on('close', () => { open.delete(socket); near.destroy(); far.destroy() })
    }
    near.pipe(far).pipe(near)
    return undefined
  }).listen(0, '127.0.0.1')
  await once(server, 'listening')
  const through = new URL(databaseUrl)
  through.port = String((server.address() as AddressInfo).port)
  const cut = () => {
    whole = false
    for (const socket of open) socket.destroy()
  }
  return {
    url: through.href, cut,
    mend: () => { whole = true },
    close: () => { cut(); server.close() },
  }
}

export interface Heard<T> {
  status: number
  body: T & { error?: { code: string; message: string; theirs?: unknown } }
  requestId: string | null
}

/** Somebody with a browser: one cookie for all the instances, as behind one address. */
export class Visitor {
  cookie = ''

  async ask<T = Record<string, unknown>>(server: Pick<Running, 'url'>, method: string, path: string, body?: unknown): Promise<Heard<T>> {
    const response = await fetch(server.url + path, {
      method, headers: { origin: server.url, cookie: this.cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    const given = response.headers.getSetCookie().at(-1)
    if (given) this.cookie = given.split(';')[0]!
    return { status: response.status, body: (await response.json()) as Heard<T>['body'], requestId: response.headers.get('x-request-id') }
  }
}

export const FIRM = { firmName: 'Marram Turf', units: 'metric', currency: 'EUR', timeZone: 'Europe/Lisbon', name: 'Mara', email: 'mara@example.org', password: 'three wet autumns' }
