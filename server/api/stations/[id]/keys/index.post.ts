import { say } from '#core/explain/message'
import { newKeySchema, type StationKeyMade } from '#contract/delivery'
import { addKey } from '../../../../records/stationKeys'
import { answer } from '../../../../utils/answer'
import { bodyOf } from '../../../../utils/ask'
import { newSecret, secretHash } from '../../../../utils/passwords'
import { Refusal } from '../../../../utils/refusal'
import { stationAsked } from '../../../../utils/stationAsked'

/** A key whose secret is told here and never again. */
export default answer(async (event, work): Promise<StationKeyMade> => {
  const station = await stationAsked(event, work)
  const { name } = await bodyOf(event, newKeySchema)
  if (station.kind === 'simulated') throw new Refusal(409, 'simulated', say('server.theSimulatedStationBringsItsOwn'))
  const secret = newSecret()
  return { ...(await addKey(work.firm.id, station.id, name, secretHash(secret))), secret }
}, 'owner')
