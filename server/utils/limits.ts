import { getRequestHeader, type H3Event } from 'h3'
import { countTry, type Limit } from '../records/attempts'
import { Refusal } from './refusal'
import { behindProxy } from './settings'

/** The first half of an IPv6 address: one household has all of the other. */
function networkOf(address: string): string {
  const [left, right] = address.split('::').map((half) => (half ? half.split(':') : [])) as [string[], string[]?]
  const groups = right ? [...left, ...Array<string>(Math.max(0, 8 - left.length - right.length)).fill('0'), ...right] : left
  return groups.slice(0, 4).join(':')
}

/** Where a request comes from. Behind a proxy its last word counts: what stands before it the asker may have written. */
export function addressOf(event: H3Event): string {
  const forwarded = behindProxy() ? getRequestHeader(event, 'x-forwarded-for')?.split(',').at(-1)?.trim() : undefined
  const address = forwarded || event.node.req.socket?.remoteAddress || 'unknown'
  return address.includes(':') && !address.startsWith('::ffff:') ? networkOf(address) : address.replace('::ffff:', '')
}

/** Counts a try. @throws Refusal 429 with the wait in words */
export async function limited(limit: Limit, who: string): Promise<void> {
  const seconds = await countTry(limit, who)
  if (!seconds) return
  const minutes = Math.ceil(seconds / 60)
  throw new Refusal(429, 'too_many', `Too many tries. Wait ${minutes === 1 ? 'a minute' : `${minutes} minutes`}, then try again.`)
}
