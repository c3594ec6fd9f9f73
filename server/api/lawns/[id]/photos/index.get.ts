import { photosOf } from '../../../../records/photos'
import { answer } from '../../../../utils/answer'
import { lawnAsked } from '../../../../utils/lawnAsked'

export default answer(async (event, work) => photosOf(work.firm.id, (await lawnAsked(event, work)).id))
