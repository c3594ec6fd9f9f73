import { errorOf, Refusal } from '../utils/refusal'
import { say } from '#core/explain/message'
import {
  defineEventHandler,
  getRequestHeader,
  getRequestHost,
  setResponseHeader,
  setResponseStatus,
  type H3Event,
} from 'h3'
import type { ApiError } from '#contract/context'
import { behindProxy } from '../utils/settings'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** Scheme and host a page was asked from; every browser sends them with a write. */
function originOf(sent: string | undefined): string | undefined {
  try {
    return sent ? new URL(sent).origin : undefined
  } catch {
    return undefined
  }
}

/**
 * Scheme and host of this server as browsers know it. Behind a proxy TLS is ended there, and its word counts; without
 * a word it is taken for TLS.
 */
function ownOrigin(event: H3Event): string | undefined {
  const scheme = behindProxy()
    ? getRequestHeader(event, 'x-forwarded-proto')?.split(',').at(-1)?.trim() || 'https'
    : 'http'
  // As an origin has it: without the port that goes by itself.
  return originOf(`${scheme}://${getRequestHost(event)}`)
}

/** Opens by a key in a header that no page can be made to send, and reads no cookie: scripts have no page. */
const BY_KEY = /^\/api\/stations\/[^/]+\/days$/

/**
 * A write has to come from a page of this very server; beside the same-site cookie, the second lock against forged
 * ones.
 */
export default defineEventHandler((event): ApiError | undefined => {
  if (READS.has(event.method) || BY_KEY.test(event.path.split('?')[0]!)) return undefined
  const from = originOf(getRequestHeader(event, 'origin'))
  if (from && from === ownOrigin(event)) return undefined
  setResponseStatus(event, 403)
  setResponseHeader(event, 'cache-control', 'no-store')
  return errorOf(new Refusal(403, 'origin', say('server.thisDidNotCome')))
})
