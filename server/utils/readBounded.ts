import { say } from '#core/explain/message'
import { getRequestHeader, type H3Event } from 'h3'
import { Refusal } from './refusal'

/**
 * A body has this long, and a little more for what it has brought: a phone at the edge of its network gets through, a
 * trickle does not.
 */
const PATIENCE_MS = 30_000
const LEAST_BYTES_PER_S = 16_384

const tooLarge = (most: number) =>
  new Refusal(
    413,
    'too_large',
    say('server.thisIsLargerThan', {
      mostOver: String(most >= 1_000_000),
      most: Math.round(most / 1_000_000),
      most2: Math.round(most / 1024),
    }),
  )
const tooSlow = () => new Refusal(408, 'too_slow', say('server.thisCameTooSlowly'))

/** Fails when whoever sent a part of a body has gone. */
function hungUp({ node: { req } }: H3Event): Promise<never> {
  const gone = new Promise<never>((_, fail) => {
    const told = () => {
      if (!req.complete) fail(new Refusal(499, 'cancelled', say('server.cancelledNothingWasKept')))
    }
    // Gone before anybody listened, it says nothing any more.
    if (req.destroyed) told()
    else req.once('close', told)
  })
  gone.catch(() => undefined)
  return gone
}

/** A body as it comes. What still comes after nobody wants it any more is let go by: the answer is on its way. */
function bodyOf({ web, node: { req } }: H3Event): ReadableStream<Uint8Array> | null {
  if (web?.request) return web.request.body
  let wanted = true
  return new ReadableStream<Uint8Array>({
    start(controller) {
      const whileWanted =
        <T extends unknown[]>(then: (...told: T) => void) =>
        (...told: T) => {
          if (wanted) then(...told)
        }
      req.on(
        'data',
        whileWanted((chunk: Uint8Array) => {
          controller.enqueue(chunk)
        }),
      )
      req.once(
        'end',
        whileWanted(() => {
          controller.close()
        }),
      )
      req.once(
        'error',
        whileWanted((error: Error) => {
          controller.error(error)
        }),
      )
    },
    cancel() {
      wanted = false
    },
  })
}

/**
 * Reads a body and stops at its bounds, so that what is too large never fills the memory and what is too slow holds
 * no place.
 */
export async function readBounded(event: H3Event, mostBytes: number): Promise<Uint8Array> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > mostBytes) throw tooLarge(mostBytes)
  const reader = bodyOf(event)?.getReader()
  if (!reader) return new Uint8Array()
  const began = performance.now()
  const gone = hungUp(event)
  const parts: Uint8Array[] = []
  let size = 0
  try {
    for (;;) {
      const left = PATIENCE_MS + (size / LEAST_BYTES_PER_S) * 1000 - (performance.now() - began)
      const { value, done } = await within(Promise.race([reader.read(), gone]), left)
      if (done) break
      size += value.byteLength
      if (size > mostBytes) throw tooLarge(mostBytes)
      parts.push(value)
    }
  } catch (error) {
    void reader.cancel().catch(() => undefined)
    throw error
  }
  return Buffer.concat(parts)
}

async function within<T>(wait: Promise<T>, ms: number): Promise<T> {
  let timer: NodeJS.Timeout | undefined
  const patience = new Promise<never>((_, fail) => {
    timer = setTimeout(
      () => {
        fail(tooSlow())
      },
      Math.max(0, ms),
    )
  })
  try {
    return await Promise.race([wait, patience])
  } finally {
    clearTimeout(timer)
  }
}
