import type { PersonListed } from '#contract/firm'
import { peopleOf } from '../../records/people'
import { answer } from '../../utils/answer'

export default answer((_event, { firm }): Promise<PersonListed[]> => peopleOf(firm.id), 'owner')
