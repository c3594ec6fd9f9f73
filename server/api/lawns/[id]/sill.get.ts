import { answer, asJson } from '../../../utils/answer'
import { lawnAsked } from '../../../utils/lawnAsked'
import { stationFor } from '../../../utils/lawnStation'
import { sillJson, sillText } from '../../../weather/sill'
import { subjectOf } from '../../../weather/subject'

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const station = await stationFor(lawn, work)
  return asJson(event, sillJson(await sillText(work, station, subjectOf(lawn, station, work)), lawn.job.id))
})
