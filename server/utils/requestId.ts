import { randomUUID } from 'node:crypto'
import { getRequestHeader, type H3Event } from 'h3'

const HEADER = 'x-request-id'

/** The number a request goes by in every log: the proxy's if it gave one, else our own. */
export function requestIdOf(event: H3Event): string {
  const given = getRequestHeader(event, HEADER)
  const id =
    (event.context.requestId as string | undefined) ?? (given && /^[\w-]{8,64}$/.test(given) ? given : randomUUID())
  event.context.requestId = id
  return id
}
