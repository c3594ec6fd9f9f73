import { getCookie, type H3Event } from 'h3'
import { clearUserSession, getUserSession, replaceUserSession } from '#session'
import type { Claim } from '../records/firms'

declare module '#auth-utils' {
  interface UserSession {
    claim?: Claim
  }
}

/** Name of the sealed cookie; the same in nuxt.config.ts. */
export const SESSION_COOKIE = 'upper-sill'
const REMEMBERED_MS = 60_000
const MOST_REMEMBERED = 1000

/** Cookies opened lately: opening one costs more than all that follows. What it claims is checked in the database each time. */
const opened = new Map<string, { claim: Claim; until: number }>()

/** What the sealed cookie of a request claims; undefined without one. */
export async function claimOf(event: H3Event): Promise<Claim | undefined> {
  const cookie = getCookie(event, SESSION_COOKIE)
  // Reading a session that is not there would begin an empty one.
  if (!cookie) return undefined
  const known = opened.get(cookie)
  if (known && known.until > Date.now()) return known.claim
  opened.delete(cookie)
  const { claim } = await getUserSession(event)
  if (claim) opened.set(cookie, { claim, until: Date.now() + REMEMBERED_MS })
  if (opened.size > MOST_REMEMBERED) opened.delete(opened.keys().next().value!)
  return claim
}

export async function openSession(event: H3Event, claim: Claim): Promise<void> {
  await replaceUserSession(event, { claim: { firmId: claim.firmId, personId: claim.personId, sessionNumber: claim.sessionNumber } })
}

export async function closeSession(event: H3Event): Promise<void> {
  await clearUserSession(event)
}
