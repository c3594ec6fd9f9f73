import { say } from '#core/explain/message'
import { readingSchema } from '#contract/station'
import { keepReadings } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { Refusal } from '../../../utils/refusal'
import { stationAsked } from '../../../utils/stationAsked'

/** A soil temperature read by hand. */
export default answer(async (event, work) => {
  const station = await stationAsked(event, work)
  const reading = await bodyOf(event, readingSchema)
  if (reading.at.slice(0, 10) > work.today)
    throw new Refusal(422, 'invalid', say('server.thisDayHasNot'), { at: say('server.notAfterToday') })
  await keepReadings(work.firm.id, station.id, [reading])
  return reading
})
