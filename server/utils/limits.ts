import { getRequestHeader, type H3Event } from 'h3'
import { countTry, type Limit } from '../records/attempts'
import { Refusal } from './refusal'
import { behindProxy } from './settings'

/** Where a request comes from. Behind a proxy its last word counts: what stands before it the asker may have written. */
export function addressOf(event: H3Event): string {
  const forwarded = behindProxy() ? getRequestHeader(event, 'x-forwarded-for')?.split(',').at(-1)?.trim() : undefined
  const address = forwarded || event.node.req.socket?.remoteAddress || 'unknown'
  // One household has a whole /64 of IPv6.
  return address.includes(':') && !address.startsWith('::ffff:') ? address.split(':').slice(0, 4).join(':') : address.replace('::ffff:', '')
}

/** Counts a try. @throws Refusal 429 with the wait in words */
export async function limited(limit: Limit, who: string): Promise<void> {
  const seconds = await countTry(limit, who)
  if (!seconds) return
  const minutes = Math.ceil(seconds / 60)
  throw new Refusal(429, 'too_many', `Too many tries. Wait ${minutes === 1 ? 'a minute' : `${minutes} minutes`}, then try again.`)
}
