import { answer, asJson } from '../../../../../utils/answer'
import { jobAsked } from '../../../../../utils/lawnAsked'
import { stationFor } from '../../../../../utils/lawnStation'
import { emergenceTold } from '../../../../../weather/emergence'

/** How what was sown comes up, zone by zone. */
export default answer(async (event, work) => {
  const lawn = await jobAsked(event, work)
  return asJson(event, await emergenceTold(work, await stationFor(lawn, work), lawn))
})
