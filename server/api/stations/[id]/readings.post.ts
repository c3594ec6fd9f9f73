import { idSchema } from '#contract/fields'
import { readingSchema } from '#contract/station'
import { keepReadings, stationById } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { bodyOf, paramOf } from '../../../utils/ask'
import { notFound, Refusal } from '../../../utils/refusal'

/** A soil temperature read by hand. */
export default answer(async (event, { firm, today }) => {
  const station = await stationById(firm.id, paramOf(event, 'id', idSchema, 'station'))
  if (!station) throw notFound('station')
  const reading = await bodyOf(event, readingSchema)
  if (reading.at.slice(0, 10) > today) throw new Refusal(422, 'invalid', 'This day has not come yet.', { at: 'Not after today.' })
  await keepReadings(firm.id, station.id, [reading])
  return reading
})
