import type { Message } from '#core/explain/message'
import { saidIn } from '#contract/said'
import { english, mapped } from './english'
import { say } from '#core/explain/message'
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
    readonly said: Message,
    readonly fields?: Record<string, Message>,
    readonly theirs?: unknown,
  ) {
    super(english(said))
  }
}

/** A refusal as the browser gets it. */
export const errorOf = ({ code, message, said, fields, theirs }: Refusal): ApiError => ({
  error: {
    code,
    message,
    said: { message: said, fields: fields ?? {} },
    ...(fields ? { fields: mapped(fields, english) } : {}),
    ...(theirs === undefined ? {} : { theirs }),
  },
})

/** What an address may ask for that is not there. */
export type Asked =
  'job' | 'key' | 'lawn' | 'line' | 'link' | 'mark' | 'note' | 'person' | 'photo' | 'session' | 'station'
export const notFound = (what: Asked): Refusal => new Refusal(404, 'not_found', say('server.thisIsNotHere', { what }))

/** Somebody saved first; theirs goes along, so that both can be brought together. */
export const conflict = (theirs: unknown): Refusal =>
  new Refusal(409, 'conflict', say('server.somebodySavedThisMeanwhile'), undefined, theirs)

/** Fields named at once; a body that is wrong throughout is not answered at its own length. */
const MOST_FIELDS = 60

function fromZod(error: z.ZodError): Refusal {
  const fields: Record<string, Message> = {}
  for (const issue of error.issues.slice(0, MOST_FIELDS))
    fields[issue.path.join('.')] ??= saidIn(issue.message) ?? say('contract.typed', { text: issue.message })
  return new Refusal(422, 'invalid', say('server.someFieldsNeedAnother'), fields)
}

/** Each kind of failure in words that say what to do; only what is ours to mend is a 500. */
const IN_WORDS: Record<Exclude<Failure, 'ours'>, [status: number, code: string, message: Message]> = {
  unreachable: [503, 'database', say('server.theDatabaseDoesNot')],
  slow: [503, 'slow', say('server.theDatabaseTookToo')],
  busy: [503, 'busy', say('server.severalPeopleSavedThe')],
  full: [507, 'full', say('server.theDatabaseHasNo')],
  'other schema': [503, 'schema', say('server.theDatabaseIsNot')],
  unkeepable: [422, 'invalid', say('server.somethingInThisCannot')],
  taken: [409, 'taken', say('server.somebodySavedTheSame')],
  gone: [422, 'invalid', say('server.thisRefersToSomething')],
}

/** Any failure as a refusal in words; what is not foreseen is logged under the number of its request. */
export function asRefusal(error: unknown, requestId: string): Refusal {
  if (error instanceof Refusal) return error
  if (error instanceof z.ZodError) return fromZod(error)
  const text = error instanceof Error ? error.message : String(error)
  if (error instanceof NoRoom) return new Refusal(409, 'no_room', error.said)
  if (error instanceof Uncertain) {
    log.error({ id: requestId, reason: text }, 'connection lost during a commit')
    return new Refusal(503, 'uncertain', say('server.theDatabaseWentAway'))
  }
  const failure = failureOf(error) ?? 'ours'
  const [status, code, message] =
    failure === 'ours'
      ? ([500, 'unexpected', say('server.somethingWentWrongOn', { requestId })] as const)
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
