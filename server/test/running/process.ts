import { spawn, type ChildProcess } from 'node:child_process'
import { createConnection, createServer, type AddressInfo, type Socket } from 'node:net'
import { once } from 'node:events'
import { fileURLToPath } from 'node:url'

const BUILT = fileURLToPath(new URL('../../../.output/server/index.mjs', import.meta.url))

export interface Stall {
  stallMs: number
  /** Less the time others on the machine had the processor. */
  ownMs: number
}

/** A built server as a process of its own, started as the README says. */
export interface Running {
  url: string
  pid: number
  /** Lines it has logged so far. */
  log: string[]
  /**
   * The longest stall of its thread since it was asked last, and of its own doing, ms; only where it was started with
   * UPPER_SILL_WATCH.
   */
  stall: () => Promise<Stall>
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
      PATH: process.env.PATH,
      HOST: '127.0.0.1',
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      NODE_ENV: 'production',
      NUXT_SESSION_PASSWORD: 'one secret for all the instances of a firm',
      NUXT_SESSION_COOKIE_SECURE: 'false',
      NODE_OPTIONS: '--max-semi-space-size=1',
      MALLOC_ARENA_MAX: '2',
      MALLOC_MMAP_THRESHOLD_: '1000000',
      MALLOC_TRIM_THRESHOLD_: '8000000',
      ...env,
    },
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
  })
  const log: string[] = []
  for (const stream of [child.stdout!, child.stderr!])
    stream.on('data', (text: Buffer) => log.push(...text.toString().split('\n').filter(Boolean)))
  const url = `http://127.0.0.1:${port}`
  for (let i = 0; ; i++) {
    if (
      await fetch(`${url}/healthz`).then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break
    if (i > 150 || child.exitCode !== null) throw new Error(`The server did not start:\n${log.join('\n')}`)
    await new Promise((done) => {
      setTimeout(done, 100)
    })
  }
  return {
    url,
    log,
    pid: child.pid!,
    stall: () =>
      new Promise((told) => {
        child.once('message', (message) => {
          told(message as Stall)
        })
        child.send('stall', () => undefined)
      }),
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
      socket
        .on('error', () => undefined)
        .on('close', () => {
          open.delete(socket)
          near.destroy()
          far.destroy()
        })
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
    url: through.href,
    cut,
    mend: () => {
      whole = true
    },
    close: () => {
      cut()
      server.close()
    },
  }
}

export interface Heard<T> {
  status: number
  body: T & { error?: { code: string; message: string; theirs?: unknown } }
  requestId: string | null
}

const byte = () => Math.floor(Math.random() * 250) + 1

/** Somebody with a browser: one cookie for all the instances, as behind one address. */
export class Visitor {
  cookie = ''
  /** As a proxy would say it; a server that has none before it does not listen to it. */
  readonly proxied = { 'x-forwarded-for': `10.${byte()}.${byte()}.${byte()}`, 'x-forwarded-proto': 'http' }

  async ask<T = Record<string, unknown>>(
    server: Pick<Running, 'url'>,
    method: string,
    path: string,
    body?: unknown,
  ): Promise<Heard<T>> {
    const response = await fetch(server.url + path, {
      method,
      headers: {
        ...this.proxied,
        origin: server.url,
        cookie: this.cookie,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    return this.heard<T>(response)
  }

  /** A file as its own body, and what is told of it besides. */
  async sendFile<T = Record<string, unknown>>(
    server: Pick<Running, 'url'>,
    path: string,
    file: string | Uint8Array,
    told: Record<string, string> = {},
  ): Promise<Heard<T>> {
    return this.heard<T>(
      await fetch(`${server.url}${path}?${new URLSearchParams(told)}`, {
        method: 'POST',
        headers: { ...this.proxied, origin: server.url, cookie: this.cookie, 'content-type': 'text/csv' },
        body: file as BodyInit,
      }),
    )
  }

  private async heard<T>(response: Response): Promise<Heard<T>> {
    const given = response.headers.getSetCookie().at(-1)
    if (given) this.cookie = given.split(';')[0]!
    return {
      status: response.status,
      body: (await response.json()) as Heard<T>['body'],
      requestId: response.headers.get('x-request-id'),
    }
  }
}

export const FIRM = {
  firmName: 'Marram Turf',
  units: 'metric',
  currency: 'EUR',
  timeZone: 'Europe/Lisbon',
  name: 'Mara',
  email: 'mara@example.org',
  password: 'three wet autumns',
}
