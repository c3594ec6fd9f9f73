import { setResponseHeader, type H3Event } from 'h3'
import { defineNitroPlugin } from '#imports'
import type { AtWork } from '../records/firms'
import { log } from '../utils/log'
import { requestIdOf } from '../utils/requestId'

/** Files and probes would drown the rest. */
const QUIET = /^\/(_nuxt\/|healthz|readyz|favicon)/

const started = new WeakMap<H3Event, number>()

/** A line for every request: what was asked, how it went, how long it took, for whom; no query, body or cookie. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    started.set(event, performance.now())
    setResponseHeader(event, 'x-request-id', requestIdOf(event))
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const path = event.path.split('?')[0]!
    if (QUIET.test(path)) return
    const work = event.context.atWork as AtWork | undefined
    log.info(
      {
        id: requestIdOf(event),
        method: event.method,
        path,
        status: event.node.res.statusCode,
        ms: Math.round((performance.now() - (started.get(event) ?? performance.now())) * 10) / 10,
        ...(work ? { firm: work.firm.id, person: work.person.id } : {}),
      },
      'request',
    )
  })
  nitro.hooks.hook('error', (error, { event }) => {
    log.error(
      { ...(event ? { id: requestIdOf(event), path: event.path.split('?')[0] } : {}), reason: error.message },
      'unhandled',
    )
  })
})
