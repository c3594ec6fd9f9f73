import { getCookie, type H3Event } from 'h3'
import { clearUserSession, getUserSession, replaceUserSession, useRuntimeConfig } from '#imports'
import type { Claim } from '../records/firms'

declare module '#auth-utils' {
  interface UserSession {
    claim?: Claim
  }
}

/** What the sealed cookie of a request claims; undefined without one. */
export async function claimOf(event: H3Event): Promise<Claim | undefined> {
  // Reading a session that is not there would begin an empty one.
  if (!getCookie(event, useRuntimeConfig(event).session.name ?? '')) return undefined
  return (await getUserSession(event)).claim
}

export async function openSession(event: H3Event, claim: Claim): Promise<void> {
  await replaceUserSession(event, { claim: { firmId: claim.firmId, personId: claim.personId, sessionNumber: claim.sessionNumber } })
}

export async function closeSession(event: H3Event): Promise<void> {
  await clearUserSession(event)
}
