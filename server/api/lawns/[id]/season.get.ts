import { answer, asJson } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'
import { stationFor } from '../../../utils/lawnStation'
import { seasonTold } from '../../../weather/sill'
import { subjectOf } from '../../../weather/subject'

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const station = await stationFor(lawn, work)
  return asJson(event, await seasonTold(work, station, subjectOf(lawn, station, work), lawn))
})
