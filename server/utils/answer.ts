import { say } from '#core/explain/message'
import { defineEventHandler, setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import type { ApiError } from '#contract/context'
import type { Role } from '#contract/firm'
import { atWork, type AtWork } from '../records/firms'
import { seen } from '../records/sessions'
import { asRefusal, errorOf, Refusal } from './refusal'
import { requestIdOf } from './requestId'
import { claimOf } from './session'
import { demoMode } from './settings'

/** How closely the list of one's sessions knows when each was used. */
const SEEN_EVERY_MS = 10 * 60_000
/** Nobody waits for it, and nothing is lost where it fails. */
const noteSeen = ({ firm, person, session }: AtWork): Promise<void> =>
  seen({ firmId: firm.id, personId: person.id, sessionId: session.id }).catch(() => undefined)

async function whoIsAtWork(event: H3Event): Promise<AtWork> {
  const claim = await claimOf(event)
  const work = claim && (await atWork(claim))
  if (work) return work
  throw demoMode()
    ? new Refusal(401, 'enter_demo', say('server.nobodyIsSignedIn'))
    : new Refusal(401, 'signed_out', say('server.youAreSignedOut'))
}

function inOneShape<T>(handle: (event: H3Event) => Promise<T>) {
  return defineEventHandler(async (event): Promise<T | ApiError> => {
    // What a firm sees is for nobody else's cache.
    setResponseHeader(event, 'cache-control', 'no-store')
    try {
      return await handle(event)
    } catch (error) {
      const refusal = asRefusal(error, requestIdOf(event))
      setResponseStatus(event, refusal.status)
      return errorOf(refusal)
    }
  })
}

/** A handler for who is signed in: parse, authorise, call, answer; errors leave in one shape. */
export function answer<T>(handle: (event: H3Event, work: AtWork) => Promise<T>, only?: Role) {
  return inOneShape(async (event) => {
    const work = await whoIsAtWork(event)
    event.context.atWork = work
    if (Date.now() - Date.parse(work.session.seenAt) > SEEN_EVERY_MS) void noteSeen(work)
    if (only && work.person.role !== only) throw new Refusal(403, 'owner_only', say('server.onlyAnOwnerOf'))
    return handle(event, work)
  })
}

/** What is JSON already goes out as it is. */
export function asJson(event: H3Event, text: string): string {
  setResponseHeader(event, 'content-type', 'application/json')
  return text
}

/** A handler at the door, for who is not signed in yet. */
export const answerAnyone = inOneShape
