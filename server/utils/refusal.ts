import { z } from 'zod'
import type { ApiError } from '#contract/context'
import { Uncertain } from '../records/db'
import { failureOf, type Failure } from '../records/failures'
import { NoRoom } from '../records/quotas'
import { log } from './log'

/** An error that the browser is told of, in words that say what to do. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly fields?: Record<string, string>,
    readonly theirs?: unknown,
  ) {
    super(message)
  }
}

/** A refusal as the browser gets it. */
export const errorOf = ({ code, message, fields, theirs }: Refusal): ApiError => ({
  error: { code, message, ...(fields ? { fields } : {}), ...(theirs === undefined ? {} : { theirs }) },
})

export const notFound = (what: string): Refusal =>
  new Refusal(404, 'not_found', `This ${what} is not here, or is no longer.`)

/** Somebody saved first; theirs goes along, so that both can be brought together. */
export const conflict = (theirs: unknown): Refusal =>
  new Refusal(
    409,
    'conflict',
    'Somebody saved this meanwhile. Nothing of yours is lost: look at both below.',
    undefined,
    theirs,
  )

/** Fields named at once; a body that is wrong throughout is not answered at its own length. */
const MOST_FIELDS = 60

function fromZod(error: z.ZodError): Refusal {
  const fields: Record<string, string> = {}
  for (const issue of error.issues.slice(0, MOST_FIELDS)) fields[issue.path.join('.')] ??= issue.message
  return new Refusal(422, 'invalid', 'Some fields need another look.', fields)
}

/** Each kind of failure in words that say what to do; only what is ours to mend is a 500. */
const IN_WORDS: Record<Exclude<Failure, 'ours'>, [status: number, code: string, message: string]> = {
  unreachable: [
    503,
    'database',
    'The database does not answer. Nothing was saved; what you entered is still here. Try again in a minute.',
  ],
  slow: [
    503,
    'slow',
    'The database took too long. Nothing was saved; what you entered is still here. Try again in a minute.',
  ],
  busy: [
    503,
    'busy',
    'Several people saved the same thing at one moment. Nothing of yours was saved; what you entered is still here. Try again.',
  ],
  full: [
    507,
    'full',
    'The database has no room left. Nothing of this was saved; what was saved before is safe. Tell whoever runs the server.',
  ],
  'other schema': [
    503,
    'schema',
    'The database is not at the version this server wants. Nothing was saved. Whoever runs the server has to migrate it.',
  ],
  unkeepable: [
    422,
    'invalid',
    'Something in this cannot be kept: a number too large or too small, or a sum out of bounds. Nothing was saved; check the figures.',
  ],
  taken: [
    409,
    'taken',
    'Somebody saved the same thing a moment before. Nothing of yours was saved; reload to see theirs, then try again.',
  ],
  gone: [422, 'invalid', 'This refers to something that is no longer here.'],
}

/** Any failure as a refusal in words; what is not foreseen is logged under the number of its request. */
export function asRefusal(error: unknown, requestId: string): Refusal {
  if (error instanceof Refusal) return error
  if (error instanceof z.ZodError) return fromZod(error)
  const text = error instanceof Error ? error.message : String(error)
  if (error instanceof NoRoom) return new Refusal(409, 'no_room', text)
  if (error instanceof Uncertain) {
    log.error({ id: requestId, reason: text }, 'connection lost during a commit')
    return new Refusal(
      503,
      'uncertain',
      'The database went away while saving, so it is not known whether this was kept. What you entered is still here: try again, it is never kept twice.',
    )
  }
  const failure = failureOf(error) ?? 'ours'
  const [status, code, message] =
    failure === 'ours'
      ? ([
          500,
          'unexpected',
          `Something went wrong on the server, and nothing was saved. Its log has it under ${requestId}.`,
        ] as const)
      : IN_WORDS[failure]
  log.error(
    {
      id: requestId,
      code: (error as { code?: unknown } | null)?.code,
      reason: text,
      ...(failure === 'ours' && error instanceof Error ? { stack: error.stack } : {}),
    },
    code,
  )
  return new Refusal(status, code, message)
}
