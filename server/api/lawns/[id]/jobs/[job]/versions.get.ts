import { versionsOf } from '../../../../../records/jobs'
import { answer } from '../../../../../utils/answer'
import { jobAsked } from '../../../../../utils/lawnAsked'

export default answer(async (event, work) => versionsOf(work.firm.id, (await jobAsked(event, work)).job.id))
