import { newStationSchema, type Station } from '#contract/station'
import { addStation } from '../../records/stations'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { Refusal } from '../../utils/refusal'

export default answer(async (event, { firm }): Promise<Station> => {
  const station = await addStation(firm.id, await bodyOf(event, newStationSchema))
  if (!station)
    throw new Refusal(409, 'taken', 'There is a station of this name already.', {
      name: 'There is a station of this name already.',
    })
  return station
})
