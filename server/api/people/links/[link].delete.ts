import { idSchema } from '#contract/fields'
import { openLinks, revokeLink } from '../../../records/people'
import { answer } from '../../../utils/answer'
import { paramOf } from '../../../utils/ask'
import { notFound } from '../../../utils/refusal'

export default answer(async (event, { firm }) => {
  if (!(await revokeLink(firm.id, paramOf(event, 'link', idSchema, 'link')))) throw notFound('link')
  return openLinks(firm.id)
}, 'owner')
