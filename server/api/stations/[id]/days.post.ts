import { say } from '#core/explain/message'
import { getRequestHeader, type H3Event } from 'h3'
import { deliverySchema, type DeliveryResult } from '#contract/delivery'
import { idSchema } from '#contract/fields'
import { MOST_FILE_BYTES } from '#contract/station'
import { keyUsed, stationOfKey, type Delivered } from '../../../records/stationKeys'
import { answerAnyone } from '../../../utils/answer'
import { bodyOf, bytesOf, paramOf } from '../../../utils/ask'
import { addressOf, limited } from '../../../utils/limits'
import { secretHash } from '../../../utils/passwords'
import { notFound, Refusal } from '../../../utils/refusal'
import { deliver } from '../../../weather/deliver'
import { deliverFile } from '../../../weather/deliverFile'

/** A thousand days and half as many readings again, as JSON. */
const MOST_JSON = { mostBytes: 256 * 1024, mostValues: 16_000 }

/** The station whose key came with the request; no cookie opens this door. @throws Refusal 401, 404 or 429 */
async function byKey(event: H3Event): Promise<Delivered> {
  const [, secret] = /^Bearer ([\w-]{43})$/.exec(getRequestHeader(event, 'authorization') ?? '') ?? []
  const found = secret ? await stationOfKey(secretHash(secret)) : undefined
  if (!found) {
    await limited('unknown key, address', addressOf(event))
    throw new Refusal(401, 'no_key', say('server.thisDoorOpensBy'))
  }
  if (paramOf(event, 'id', idSchema, 'station') !== found.stationId) throw notFound('station')
  await limited('station key', found.keyId)
  await keyUsed(found.firmId, found.keyId)
  return found
}

/** Days of a logger or a script, as JSON or CSV; docs/station-door.md. Sent again they change nothing. */
export default answerAnyone(async (event): Promise<DeliveryResult> => {
  const to = await byKey(event)
  if ((getRequestHeader(event, 'content-type') ?? '').startsWith('text/csv'))
    return deliverFile(to, await bytesOf(event, 'text/csv', MOST_FILE_BYTES))
  return deliver(to, await bodyOf(event, deliverySchema, MOST_JSON))
})
