import { linkSchema, type LinkShown } from '#contract/firm'
import { answerAnyone } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { openLink } from '../../utils/links'

/**
 * What a link is for and who made it, before it is used. A question with a body, since the secret must not stand in a
 * path.
 */
export default answerAnyone(async (event): Promise<LinkShown> => {
  const { kind, firmName, role, email, madeBy, secondFactorOn } = await openLink(
    event,
    (await bodyOf(event, linkSchema)).secret,
  )
  return { kind, firmName, role, email, madeBy, secondFactor: secondFactorOn }
})
