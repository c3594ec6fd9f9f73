import { stationsOf } from '../records/stations'
import { answer } from '../utils/answer'
import { nearerLawns } from '../weather/nearer'

/** Lawns that lie nearer to another station than to the one they read; nothing is changed. */
export default answer(async (_event, { firm }) => nearerLawns(firm.id, await stationsOf(firm.id)))
