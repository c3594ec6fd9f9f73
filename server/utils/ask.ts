import { getQuery, getRequestHeader, getRequestWebStream, type H3Event } from 'h3'
import type { z } from 'zod'
import { notFound, Refusal } from './refusal'

/** Nothing that people type is larger. */
const MOST_BYTES = 128 * 1024

const tooLarge = (most: number) => new Refusal(413, 'too_large', `This is larger than ${most >= 1_000_000 ? `${Math.round(most / 1_000_000)} MB` : `${Math.round(most / 1024)} kB`}. Nothing was saved. Split it.`)

/** Reads a body and stops at the limit, so that what is too large never fills the memory. */
async function textOf(event: H3Event, most: number): Promise<string> {
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > most) throw tooLarge(most)
  const stream = getRequestWebStream(event)
  if (!stream) return ''
  const parts: Uint8Array[] = []
  let size = 0
  for await (const part of stream as unknown as AsyncIterable<Uint8Array>) {
    size += part.byteLength
    if (size > most) throw tooLarge(most)
    parts.push(part)
  }
  return new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(parts))
}

/** The body of a request, judged by its contract. */
export async function bodyOf<T extends z.ZodType>(event: H3Event, schema: T, mostBytes = MOST_BYTES): Promise<z.output<T>> {
  // A form of another site can send text but not JSON.
  if (!/^application\/json\b/i.test(getRequestHeader(event, 'content-type') ?? '')) return schema.parse(undefined)
  let raw: unknown
  try {
    raw = JSON.parse(await textOf(event, mostBytes))
  } catch (error) {
    if (error instanceof Refusal) throw error
  }
  return schema.parse(raw)
}

/** The question mark of a path, judged by its contract. */
export const queryOf = <T extends z.ZodType>(event: H3Event, schema: T): z.output<T> => schema.parse(getQuery(event))

/** A parameter of the path, judged by its contract; what cannot be one is simply not found. */
export function paramOf<T extends z.ZodType>(event: H3Event, name: string, schema: T, what: string): z.output<T> {
  const parsed = schema.safeParse(event.context.params?.[name])
  if (!parsed.success) throw notFound(what)
  return parsed.data
}
