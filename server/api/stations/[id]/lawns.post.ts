import { stationsOf } from '../../../records/stations'
import { answer } from '../../../utils/answer'
import { stationAsked } from '../../../utils/stationAsked'
import { readNearest } from '../../../weather/nearer'

/** Lawns that lie nearest to this station read it from now on. */
export default answer(async (event, work) => {
  const station = await stationAsked(event, work)
  return { moved: await readNearest(work.firm.id, station.id, await stationsOf(work.firm.id)) }
})
