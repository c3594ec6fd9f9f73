import { defineEventHandler, readBody, setResponseStatus, type H3Event } from 'h3'
import { z } from 'zod'
import type { ApiError } from '#contract/context'
import { firmAtWork, todayOf, type Firm } from '../records/firms'
import type { Day } from '#core/quantity/calendar'

/** An error that the browser is told of, in words that say what to do. */
export class Refusal extends Error {
  constructor(readonly status: number, readonly code: string, message: string, readonly fields?: Record<string, string>) {
    super(message)
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, 'not_found', `This ${what} is not here, or is no longer.`)
export const conflict = (): Refusal =>
  new Refusal(409, 'conflict', 'Somebody saved this a moment ago. Yours is still on the screen: reload to see theirs, then enter it again.')

export interface AtWork {
  firm: Firm
  today: Day
}

function fromZod(error: z.ZodError): Refusal {
  const fields: Record<string, string> = {}
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message
  return new Refusal(422, 'invalid', 'Some fields need another look.', fields)
}

const UNREACHABLE = new Set(['ECONNREFUSED', 'ECONNRESET', 'ENOTFOUND', 'ETIMEDOUT', '57P01', '57P03', '53300', '08006', '08001', '3D000', '28P01'])

function asRefusal(error: unknown): Refusal {
  if (error instanceof Refusal) return error
  if (error instanceof z.ZodError) return fromZod(error)
  const code = (error as { code?: unknown }).code
  const text = error instanceof Error ? error.message : String(error)
  if ((typeof code === 'string' && UNREACHABLE.has(code)) || /connection terminated|timeout exceeded/i.test(text)) {
    return new Refusal(503, 'database', 'The database does not answer. Nothing was saved; what you entered is still here. Try again in a minute.')
  }
  if (code === '23503') return new Refusal(422, 'invalid', 'This refers to something that is no longer here.')
  console.error(JSON.stringify({ level: 'error', message: text, code: typeof code === 'string' ? code : undefined }))
  return new Refusal(500, 'unexpected', 'Something went wrong on the server. Nothing was saved.')
}

/** A handler for the firm at work: parse, authorise, call, answer; errors leave in one shape. */
export function answer<T>(handle: (event: H3Event, work: AtWork) => Promise<T>) {
  return defineEventHandler(async (event): Promise<T | ApiError> => {
    try {
      const firm = await firmAtWork()
      if (!firm) throw new Refusal(503, 'no_firm', 'There is no firm in this database yet. Load the demo, or add a firm.')
      return await handle(event, { firm, today: await todayOf(firm) })
    } catch (error) {
      const { status, code, message, fields } = asRefusal(error)
      setResponseStatus(event, status)
      return { error: { code, message, ...(fields ? { fields } : {}) } }
    }
  })
}

/** The body of a request, judged by its contract. */
export async function bodyOf<T extends z.ZodType>(event: H3Event, schema: T): Promise<z.output<T>> {
  const raw = await readBody(event).catch(() => undefined)
  return schema.parse(raw)
}

/** A parameter of the path, judged by its contract; what cannot be one is simply not found. */
export function paramOf<T extends z.ZodType>(event: H3Event, name: string, schema: T, what: string): z.output<T> {
  const parsed = schema.safeParse(event.context.params?.[name])
  if (!parsed.success) throw notFound(what)
  return parsed.data
}
