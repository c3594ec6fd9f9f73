import { say } from '#core/explain/message'
import { newStationSchema, type Station } from '#contract/station'
import { addStation, stationsOf } from '../../records/stations'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { holdStations } from '../../weather/nearer'
import { Refusal } from '../../utils/refusal'

export default answer(async (event, { firm }): Promise<Station> => {
  const wanted = await bodyOf(event, newStationSchema)
  const before = await stationsOf(firm.id)
  const station = await addStation(firm.id, wanted)
  if (!station)
    throw new Refusal(409, 'taken', say('server.thereIsAStation'), {
      name: say('server.thereIsAStation'),
    })
  // A second station takes no lawn over in silence.
  await holdStations(firm.id, before)
  return station
})
