import type { LinkListed } from '#contract/firm'
import { openLinks } from '../../../records/people'
import { answer } from '../../../utils/answer'

export default answer((_event, { firm }): Promise<LinkListed[]> => openLinks(firm.id), 'owner')
