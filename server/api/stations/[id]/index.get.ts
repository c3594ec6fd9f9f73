import type { StationDetail } from '#contract/station'
import { gapsOf, readingsKept, weatherNow } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { stationAsked } from '../../../utils/stationAsked'

/** What a station's record lacks, and the forecast that counts today. */
export default answer(async (event, work): Promise<StationDetail> => {
  const station = await stationAsked(event, work)
  const [gaps, readings, { forecast, forecastIssued }] = await Promise.all([
    gapsOf(work.firm.id, station.id),
    readingsKept(work.firm.id, station.id),
    weatherNow(work.firm.id, station.id, work.today, work.today),
  ])
  return { ...gaps, readings, forecast, forecastIssued }
})
