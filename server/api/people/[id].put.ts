import { say } from '#core/explain/message'
import { personChangeSchema } from '#contract/firm'
import { idSchema } from '#contract/fields'
import { changePerson, peopleOf } from '../../records/people'
import { answer } from '../../utils/answer'
import { bodyOf, paramOf } from '../../utils/ask'
import { notFound, Refusal } from '../../utils/refusal'

export default answer(async (event, { firm }) => {
  const personId = paramOf(event, 'id', idSchema, 'person')
  const outcome = await changePerson(firm.id, personId, await bodyOf(event, personChangeSchema))
  if (outcome === 'missing') throw notFound('person')
  if (outcome === 'last owner') throw new Refusal(409, 'last_owner', say('server.aFirmKeepsOne'))
  return peopleOf(firm.id)
}, 'owner')
