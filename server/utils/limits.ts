import { say } from '#core/explain/message'
import { getRequestHeader, type H3Event } from 'h3'
import { countTry, countWrongTry, hashed, type Limit, type TriedAt } from '../records/attempts'
import { Refusal } from './refusal'
import { behindProxy } from './settings'

/** The first half of an IPv6 address: one household has all of the other. */
function networkOf(address: string): string {
  const [left, right] = address.split('::').map((half) => (half ? half.split(':') : [])) as [string[], string[]?]
  const groups = right
    ? [...left, ...Array<string>(Math.max(0, 8 - left.length - right.length)).fill('0'), ...right]
    : left
  return groups.slice(0, 4).join(':')
}

/**
 * Where a request comes from. Behind a proxy its last word counts: what stands before it the asker may have written.
 */
export function addressOf(event: H3Event): string {
  const forwarded = behindProxy() ? getRequestHeader(event, 'x-forwarded-for')?.split(',').at(-1)?.trim() : undefined
  const address = forwarded || event.node.req.socket?.remoteAddress || 'unknown'
  return address.includes(':') && !address.startsWith('::ffff:') ? networkOf(address) : address.replace('::ffff:', '')
}
export const addressHashOf = (event: H3Event): string => hashed(`address ${addressOf(event)}`)

function refuseFor(seconds: number): void {
  if (!seconds) return
  const minutes = Math.ceil(seconds / 60)
  throw new Refusal(429, 'too_many', say('server.tooManyTriesWait', { minutes: seconds <= 60 ? 0 : minutes, seconds }))
}

/** Counts a try. @throws Refusal 429 with the wait in words */
export async function limited(limit: Limit, who: string): Promise<void> {
  refuseFor(await countTry(limit, who))
}

/** Counts a try at a password as wrong, until it is known to be right. @throws Refusal 429 with the wait in words */
export async function passwordTried(at: TriedAt): Promise<void> {
  refuseFor(await countWrongTry(at))
}
