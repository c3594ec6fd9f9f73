import { errorOf, Refusal } from '../utils/refusal'
import { say } from '#core/explain/message'
import { createHash } from 'node:crypto'
import { defineEventHandler, getCookie, setResponseHeader, setResponseStatus } from 'h3'
import type { ApiError } from '#contract/context'
import { SESSION_COOKIE } from '../utils/session'

/** Requests of one session that are answered at the same time: a browser has six, behind a proxy some tens. */
const MOST_AT_ONCE = 40
const underWay = new Map<string, number>()

/**
 * Who asks for thousands of things at once is told to wait before anything is done for it, so that others are answered
 * meanwhile. Known by the cookie as it was sent: to open it is more work than to refuse.
 */
export default defineEventHandler((event): ApiError | undefined => {
  const cookie = getCookie(event, SESSION_COOKIE)
  if (!cookie || !event.path.startsWith('/api/')) return undefined
  const who = createHash('sha1').update(cookie).digest('base64')
  const count = underWay.get(who) ?? 0
  if (count >= MOST_AT_ONCE) {
    setResponseStatus(event, 429)
    setResponseHeader(event, 'retry-after', 1)
    setResponseHeader(event, 'cache-control', 'no-store')
    // What else was sent on this connection is not waited for.
    setResponseHeader(event, 'connection', 'close')
    return errorOf(new Refusal(429, 'too_many', say('server.tooMuchWasAsked')))
  }
  underWay.set(who, count + 1)
  event.node.res.once('close', () => {
    const left = (underWay.get(who) ?? 1) - 1
    if (left) underWay.set(who, left)
    else underWay.delete(who)
  })
  return undefined
})
