/// <reference types="vite/client" />
import { createApp, createRouter, defineEventHandler, getRouterParam, toWebHandler, type EventHandler } from 'h3'
import type { ApiError } from '#contract/context'
import origin from '../middleware/origin'
import type { Author } from '../records/firms'
import apiRoutes from '../middleware/apiRoutes'
import { enter } from '../utils/session'
import { ROUTES } from './routes'

/** The server's own handlers behind its own middleware, mounted by their file names as Nitro does it. */
const files = import.meta.glob<{ default: EventHandler }>('../api/**/*.ts', { eager: true })

export { ROUTES }

const router = createRouter()
for (const { path, method } of ROUTES) {
  const file = `..${path.replace(/:(\w+)/g, '[$1]')}`
  const { default: handler } = (files[`${file}.${method}.ts`] ?? files[`${file}/index.${method}.ts`])!
  router.add(path, handler, method)
}
router.get(
  '/enter/:firm/:person',
  defineEventHandler(async (event) => {
    await enter(event, { firmId: getRouterParam(event, 'firm')!, personId: getRouterParam(event, 'person')! })
    return {}
  }),
)
const serve = toWebHandler(createApp().use(apiRoutes).use(origin).use(router))

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
    const response = await this.request(
      method,
      path,
      body === undefined ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } },
    )
    return { status: response.status, body: (await response.json()) as Answer<T>['body'], headers: response.headers }
  }

  /** A file as its own body, and what is told of it besides. */
  async sendFile<T = unknown>(
    path: string,
    file: string | Uint8Array,
    told: Record<string, string> = {},
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await this.request('POST', `${path}?${new URLSearchParams(told)}`, {
      body: file as BodyInit,
      headers: { 'content-type': 'text/csv', ...headers },
    })
    return { status: response.status, body: (await response.json()) as Answer<T>['body'], headers: response.headers }
  }

  /** Signed in as somebody, as if by password. */
  async enter({ firmId, personId }: Author): Promise<this> {
    await this.request('GET', `/enter/${firmId}/${personId}`)
    return this
  }
}
