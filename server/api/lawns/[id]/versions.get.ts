import { versionsOf } from '../../../records/plans'
import { answer } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'

export default answer(async (event, work) => versionsOf(work.firm.id, (await lawnAsked(event, work)).id))
