import { z } from 'zod'
import { Uncertain } from '../records/db'
import { log } from './log'

/** An error that the browser is told of, in words that say what to do. */
export class Refusal extends Error {
  constructor(
    readonly status: number, readonly code: string, message: string,
    readonly fields?: Record<string, string>, readonly theirs?: unknown,
  ) {
    super(message)
  }
}

export const notFound = (what: string): Refusal => new Refusal(404, 'not_found', `This ${what} is not here, or is no longer.`)

/** Somebody saved first; theirs goes along, so that both can be brought together. */
export const conflict = (theirs: unknown): Refusal =>
  new Refusal(409, 'conflict', 'Somebody saved this meanwhile. Nothing of yours is lost: look at both below.', undefined, theirs)

function fromZod(error: z.ZodError): Refusal {
  const fields: Record<string, string> = {}
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message
  return new Refusal(422, 'invalid', 'Some fields need another look.', fields)
}

const UNREACHABLE = new Set(['ECONNREFUSED', 'ECONNRESET', 'ENOTFOUND', 'ETIMEDOUT', 'EPIPE', '57P01', '57P02', '57P03', '53300', '08006', '08001', '08003', '3D000', '28P01'])
const SLOW = new Set(['57014', '55P03', '25P03'])
const FULL = new Set(['53100', '53200', '54000'])
/** A schema older or newer than this code: a table, column, function or role is missing. */
const OTHER_SCHEMA = new Set(['42P01', '42703', '42883', '22023', '42704', '42501'])

/** Any failure as a refusal in words; what is not foreseen is logged. */
export function asRefusal(error: unknown, requestId: string): Refusal {
  if (error instanceof Refusal) return error
  if (error instanceof z.ZodError) return fromZod(error)
  if (error instanceof Uncertain) {
    log.error({ id: requestId, reason: error.message }, 'connection lost during a commit')
    return new Refusal(503, 'uncertain', 'The database went away while saving, so it is not known whether this was kept. What you entered is still here: try again, it is never kept twice.')
  }
  const code = String((error as { code?: unknown }).code ?? '')
  const text = error instanceof Error ? error.message : String(error)
  const refusal = fromDatabase(code, text, requestId)
  log.error({ id: requestId, code: code || undefined, reason: text }, refusal.code)
  return refusal
}

function fromDatabase(code: string, text: string, requestId: string): Refusal {
  if (UNREACHABLE.has(code) || /connection terminated|timeout exceeded when trying to connect/i.test(text)) {
    return new Refusal(503, 'database', 'The database does not answer. Nothing was saved; what you entered is still here. Try again in a minute.')
  }
  if (SLOW.has(code) || /query read timeout/i.test(text)) {
    return new Refusal(503, 'slow', 'The database took too long. Nothing was saved; what you entered is still here. Try again in a minute.')
  }
  if (FULL.has(code)) {
    return new Refusal(507, 'full', 'The database has no room left. Nothing of this was saved; what was saved before is safe. Tell whoever runs the server.')
  }
  if (OTHER_SCHEMA.has(code)) {
    return new Refusal(503, 'schema', 'The database is not at the version this server wants. Nothing was saved. Whoever runs the server has to migrate it.')
  }
  if (code === '23503') return new Refusal(422, 'invalid', 'This refers to something that is no longer here.')
  return new Refusal(500, 'unexpected', `Something went wrong on the server, and nothing was saved. Its log has it under ${requestId}.`)
}
