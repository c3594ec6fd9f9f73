import { say } from '#core/explain/message'
import type { H3Event } from 'h3'
import { linkAtTheDoor, type Link } from '../records/people'
import { addressOf, limited } from './limits'
import { secretHash } from './passwords'
import { Refusal } from './refusal'

export const linkSpent = (): Refusal => new Refusal(410, 'spent', say('server.thisLinkWasUsed'))

/** The open link of a secret. @throws Refusal when it opens nothing, or too many were tried */
export async function openLink(event: H3Event, secret: string): Promise<Link> {
  await limited('link, address', addressOf(event))
  const link = await linkAtTheDoor(secretHash(secret))
  if (!link) throw linkSpent()
  return link
}
