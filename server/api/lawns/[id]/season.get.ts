import { answer } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'
import { stationFor } from '../../../utils/lawnStation'
import { seasonTold, subjectOf } from '../../../weather/sill'

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const station = await stationFor(lawn, work)
  return seasonTold(work, station, subjectOf(lawn, station, work.today))
})
