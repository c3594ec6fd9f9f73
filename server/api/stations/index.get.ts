import type { Station } from '#contract/station'
import { stationsOf } from '../../records/stations'
import { answer } from '../../utils/answer'

export default answer(async (_event, { firm }): Promise<Station[]> => stationsOf(firm.id))
