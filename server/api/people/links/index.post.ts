import { linkRequestSchema, type LinkMade } from '#contract/firm'
import { authorOf } from '../../../records/firms'
import { addLink } from '../../../records/people'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { newSecret, secretHash } from '../../../utils/passwords'
import { notFound } from '../../../utils/refusal'

/** An invitation, or a new password for somebody who lost theirs; the owner hands the link over. */
export default answer(async (event, work): Promise<LinkMade> => {
  const wanted = await bodyOf(event, linkRequestSchema)
  const secret = newSecret()
  const link = await addLink(authorOf(work), secretHash(secret), wanted)
  if (!link) throw notFound('person')
  return { ...link, secret }
}, 'owner')
