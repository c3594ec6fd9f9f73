import { say } from '#core/explain/message'
import { getQuery, getRequestHeader, type H3Event } from 'h3'
import type { z } from 'zod'
import { readBounded } from './readBounded'
import { notFound, Refusal, type Asked } from './refusal'
import { tooManyValues } from './structure'

/** Nothing that people type is larger. */
const MOST_BYTES = 128 * 1024

const isOf = (event: H3Event, type: string): boolean =>
  (getRequestHeader(event, 'content-type') ?? '').toLowerCase().split(';')[0]!.trim() === type

/** The body of a request, judged by its contract. */
export async function bodyOf<T extends z.ZodType>(
  event: H3Event,
  schema: T,
  { mostBytes = MOST_BYTES, mostValues }: { mostBytes?: number; mostValues?: number } = {},
): Promise<z.output<T>> {
  // A form of another site can send text but not JSON.
  if (!isOf(event, 'application/json')) return schema.parse(undefined)
  let raw: unknown
  try {
    const json = new TextDecoder('utf-8', { fatal: true }).decode(await readBounded(event, mostBytes))
    if (tooManyValues(json, mostValues)) throw new Refusal(413, 'too_many_values', say('server.thisHoldsMoreThan'))
    raw = JSON.parse(json)
  } catch (error) {
    if (error instanceof Refusal) throw error
  }
  return schema.parse(raw)
}

/** The body of a request as it came, to be judged beside the server's own thread. @param type that it has to be of */
export async function bytesOf(
  event: H3Event,
  type: 'application/json' | 'text/csv',
  mostBytes: number,
): Promise<Uint8Array> {
  if (!isOf(event, type)) throw new Refusal(415, 'type', say('server.thisHasToBe', { type }))
  const bytes = await readBounded(event, mostBytes)
  if (!bytes.length)
    throw new Refusal(422, 'empty', say('server.theFileIsEmpty'), { file: say('server.theFileIsEmpty') })
  return bytes
}

/** The question mark of a path, judged by its contract. */
export const queryOf = <T extends z.ZodType>(event: H3Event, schema: T): z.output<T> => schema.parse(getQuery(event))

/** A parameter of the path, judged by its contract; what cannot be one is simply not found. */
export function paramOf<T extends z.ZodType>(event: H3Event, name: string, schema: T, what: Asked): z.output<T> {
  const parsed = schema.safeParse(event.context.params?.[name])
  if (!parsed.success) throw notFound(what)
  return parsed.data
}
