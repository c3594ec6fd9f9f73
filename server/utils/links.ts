import type { H3Event } from 'h3'
import { linkAtTheDoor, type Link } from '../records/people'
import { addressOf, limited } from './limits'
import { secretHash } from './passwords'
import { Refusal } from './refusal'

export const linkSpent = (): Refusal =>
  new Refusal(
    410,
    'spent',
    'This link was used already, is older than a week, or was replaced by a newer one. Ask an owner for another.',
  )

/** The open link of a secret. @throws Refusal when it opens nothing, or too many were tried */
export async function openLink(event: H3Event, secret: string): Promise<Link> {
  await limited('link, address', addressOf(event))
  const link = await linkAtTheDoor(secretHash(secret))
  if (!link) throw linkSpent()
  return link
}
