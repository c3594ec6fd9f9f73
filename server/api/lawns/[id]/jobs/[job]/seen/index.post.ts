import { say } from '#core/explain/message'
import { seenSchema } from '#contract/seen'
import { authorOf } from '../../../../../../records/firms'
import { noteSeen } from '../../../../../../records/observations'
import { answer } from '../../../../../../utils/answer'
import { bodyOf } from '../../../../../../utils/ask'
import { jobAsked } from '../../../../../../utils/lawnAsked'
import { notAhead } from '../../../../../../utils/notAhead'
import { Refusal } from '../../../../../../utils/refusal'

/** What was seen of a bed after sowing. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work, 'open')
  const told = await bodyOf(event, seenSchema)
  notAhead(told.seenOn, work.today, 'seenOn')
  // A watering names an irrigation zone; rain and visits are of all of them.
  const ofZone = told.kind !== 'watering' && told.zoneId !== null
  if (ofZone && !lawn.job.zoneIds.includes(told.zoneId))
    throw new Refusal(422, 'invalid', say('server.seenElsewhere'), { zoneId: say('server.seenElsewhere') })
  const noted = await noteSeen(authorOf(work), { lawnId: lawn.id, jobId: lawn.job.id }, told)
  if (noted === 'other id') throw new Refusal(409, 'taken', say('server.notWrittenDown'))
  return jobAsked(event, work)
})
