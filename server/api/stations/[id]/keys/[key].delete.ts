import { idSchema } from '#contract/fields'
import { revokeKey } from '../../../../records/stationKeys'
import { answer } from '../../../../utils/answer'
import { paramOf } from '../../../../utils/ask'
import { notFound } from '../../../../utils/refusal'
import { stationAsked } from '../../../../utils/stationAsked'

/** From here on nothing delivers by it. */
export default answer(async (event, work) => {
  const station = await stationAsked(event, work)
  if (!(await revokeKey(work.firm.id, station.id, paramOf(event, 'key', idSchema, 'key')))) throw notFound('key')
  return { revoked: true }
}, 'owner')
