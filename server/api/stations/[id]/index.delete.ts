import { say } from '#core/explain/message'
import { removeStation } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { Refusal } from '../../../utils/refusal'
import { stationAsked } from '../../../utils/stationAsked'

export default answer(async (event, work) => {
  const { id } = await stationAsked(event, work)
  if (!(await removeStation(work.firm.id, id))) {
    throw new Refusal(409, 'in_use', say('server.thisStationStaysIt'))
  }
  return { removed: true }
})
