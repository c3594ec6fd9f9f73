import { removeStation } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { Refusal } from '../../../utils/refusal'
import { stationAsked } from '../../../utils/stationAsked'

export default answer(async (event, work) => {
  const { id } = await stationAsked(event, work)
  if (!(await removeStation(work.firm.id, id))) {
    throw new Refusal(
      409,
      'in_use',
      'This station stays: it is the home station, delivers by itself, or a lawn was told to read it.',
    )
  }
  return { removed: true }
})
