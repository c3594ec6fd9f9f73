import { PLANNING, planningOf } from '#core/job/planningFigures'
import { FIELD_BEDS } from '#core/establishment/stand'
import { proposeFieldShare } from '#core/learning/fieldShare'
import { fieldCountsIn } from '../../records/jobEnds'
import { answer } from '../../utils/answer'

/** What the counts of closed jobs say of the figures the firm plans with; nothing is changed by it. */
export default answer(async (_event, { firm }) => {
  const counts = await fieldCountsIn(firm.id)
  const planning = planningOf(firm.planning)
  return FIELD_BEDS.flatMap(
    (bed) => proposeFieldShare(bed, counts, { usual: PLANNING[bed].value, planning: planning[bed] }) ?? [],
  )
})
