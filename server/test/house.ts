/// <reference types="vite/client" />
import { createApp, createRouter, defineEventHandler, getRouterParam, toWebHandler, type EventHandler, type RouterMethod } from 'h3'
import type { ApiError } from '#contract/context'
import origin from '../middleware/origin'
import type { Author } from '../records/firms'
import { openSession } from '../utils/session'

/** The server's own handlers behind its own middleware, mounted by their file names as Nitro does it. */
const files = import.meta.glob<{ default: EventHandler }>('../api/**/*.ts', { eager: true })

export interface Route {
  method: RouterMethod
  path: string
}

const mounted = Object.entries(files).map(([file, { default: handler }]) => {
  const [, name, method] = /^\.\.\/api\/(.+)\.(get|put|post|delete)\.ts$/.exec(file)!
  const path = `/api/${name}`.replace(/\/index$/, '').replace(/\[(\w+)\]/g, ':$1')
  return { path, method: method as RouterMethod, handler }
})
export const ROUTES: readonly Route[] = mounted

const router = createRouter()
for (const { path, method, handler } of mounted) router.add(path, handler, method)
router.get('/enter/:firm/:person/:session', defineEventHandler(async (event) => {
  await openSession(event, { firmId: getRouterParam(event, 'firm')!, personId: getRouterParam(event, 'person')!, sessionNumber: Number(getRouterParam(event, 'session')) })
  return {}
}))
const serve = toWebHandler(createApp().use(origin).use(router))

export interface Answer<T> {
  status: number
  body: T & ApiError
  headers: Headers
}

const HOST = 'http://sill.test'

/** A browser of a test: it keeps its cookie, and says where its writes come from. */
export class Browser {
  private cookie = ''

  async request(method: string, path: string, init: RequestInit = {}): Promise<Response> {
    const headers = new Headers({ host: 'sill.test', origin: HOST, ...(this.cookie ? { cookie: this.cookie } : {}) })
    new Headers(init.headers).forEach((value, name) => headers.set(name, value))
    const response = await serve(new Request(`${HOST}${path}`, { ...init, method, headers }))
    const given = response.headers.getSetCookie().at(-1)
    if (given) this.cookie = given.split(';')[0]!
    return response
  }

  async call<T = unknown>(method: string, path: string, body?: unknown): Promise<Answer<T>> {
    const response = await this.request(method, path, body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
    return { status: response.status, body: (await response.json()) as Answer<T>['body'], headers: response.headers }
  }

  /** Signed in as somebody, as if by password. */
  async enter({ firmId, personId }: Author, sessionNumber = 1): Promise<this> {
    await this.request('GET', `/enter/${firmId}/${personId}/${sessionNumber}`)
    return this
  }
}
