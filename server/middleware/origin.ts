import { defineEventHandler, getRequestHeader, getRequestHost, setResponseHeader, setResponseStatus } from 'h3'
import type { ApiError } from '#contract/context'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** The host a page was asked from; every browser sends it with a write. */
function hostOf(origin: string | undefined): string | undefined {
  try {
    return origin ? new URL(origin).host : undefined
  } catch {
    return undefined
  }
}

/** A write has to come from a page of this very server; beside the same-site cookie, the second lock against forged ones. */
export default defineEventHandler((event): ApiError | undefined => {
  if (READS.has(event.method)) return undefined
  const from = hostOf(getRequestHeader(event, 'origin'))
  if (from && from === getRequestHost(event)) return undefined
  setResponseStatus(event, 403)
  setResponseHeader(event, 'cache-control', 'no-store')
  return { error: { code: 'origin', message: 'This did not come from a page of this server, so nothing was changed.' } }
})
