import { say } from '#core/explain/message'
import { stationEditSchema, type Station } from '#contract/station'
import { saveStation } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { conflict, Refusal } from '../../../utils/refusal'
import { stationAsked } from '../../../utils/stationAsked'

export default answer(async (event, work): Promise<Station> => {
  const { id } = await stationAsked(event, work)
  const saved = await saveStation(work.firm.id, id, await bodyOf(event, stationEditSchema))
  if (saved === 'taken')
    throw new Refusal(409, 'taken', say('server.thereIsAStation'), {
      name: say('server.thereIsAStation'),
    })
  const station = await stationAsked(event, work)
  if (!saved) throw conflict(station)
  return station
})
