import { keysOf } from '../../../../records/stationKeys'
import { answer } from '../../../../utils/answer'
import { stationAsked } from '../../../../utils/stationAsked'

export default answer(async (event, work) => keysOf(work.firm.id, (await stationAsked(event, work)).id), 'owner')
