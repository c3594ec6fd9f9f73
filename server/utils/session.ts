import { getCookie, type H3Event } from 'h3'
import { LRUCache } from 'lru-cache'
import { clearUserSession, getUserSession, replaceUserSession } from '#session'
import type { Author, Claim } from '../records/firms'
import { endSession, openSession } from '../records/sessions'
import { deviceOf } from './device'
import { addressHashOf } from './limits'

declare module '#auth-utils' {
  interface UserSession {
    claim?: Claim
  }
}

/** Name of the sealed cookie; the same in nuxt.config.ts. */
export const SESSION_COOKIE = 'upper-sill'
const REMEMBERED_MS = 60_000
const MOST_REMEMBERED = 1000

/**
 * Cookies opened lately: opening one costs more than all that follows. What it claims is checked in the database each
 * time.
 */
const opened = new LRUCache<string, Claim>({ max: MOST_REMEMBERED, ttl: REMEMBERED_MS })

/** What the sealed cookie of a request claims; undefined without one, or with one of an older form. */
export async function claimOf(event: H3Event): Promise<Claim | undefined> {
  const cookie = getCookie(event, SESSION_COOKIE)
  // Reading a session that is not there would begin an empty one.
  if (!cookie) return undefined
  const known = opened.get(cookie)
  if (known) return known
  const { claim } = await getUserSession(event)
  if (!claim?.sessionId) return undefined
  opened.set(cookie, claim)
  return claim
}

/** Signs this browser in. One that was signed in already is signed out there first. */
export async function enter(event: H3Event, { firmId, personId }: Author): Promise<void> {
  const before = await claimOf(event)
  if (before) await endSession(before, before.sessionId)
  const claim = await openSession({ firmId, personId }, { device: deviceOf(event), addressHash: addressHashOf(event) })
  await replaceUserSession(event, { claim })
}

/** Ends the session here and on the server: a copy of the cookie opens nothing any more. */
export async function leave(event: H3Event): Promise<void> {
  const claim = await claimOf(event)
  if (claim) await endSession(claim, claim.sessionId)
  await clearUserSession(event)
}
