import { say } from '#core/explain/message'
import { zoneIsKnown } from '../records/firms'
import { Refusal } from './refusal'

/** A zone that only one of server and database knows shuts a firm out on some day. @throws Refusal at its field */
export async function zoneKnown(timeZone: string): Promise<void> {
  const message = say('server.thisTimeZoneIs')
  if (!(await zoneIsKnown(timeZone)))
    throw new Refusal(422, 'invalid', say('server.someFieldsNeedAnother'), { timeZone: message })
}
