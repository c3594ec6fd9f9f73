import { answer } from '../../../utils/answer'
import { Refusal } from '../../../utils/refusal'
import { lawnAsked } from '../../../utils/lawnAsked'
import { localFetch } from '../../../utils/localFetch'
import { freshStations } from '../../../weather/collect'
import { sillData, stationOf, subjectOf } from '../../../weather/sill'

export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const station = stationOf(lawn, await freshStations(work, localFetch))
  if (!station) throw new Refusal(409, 'weather', 'No weather station yet. Add one under Weather and import its days.')
  return sillData(work, station, subjectOf(lawn, station, work.today))
})
