import { zoneIsKnown } from '../records/firms'
import { Refusal } from './refusal'

/** A zone that only one of server and database knows shuts a firm out on some day. @throws Refusal at its field */
export async function zoneKnown(timeZone: string): Promise<void> {
  const message =
    'This time zone is not known to the database. Choose a zone by region and city, such as America/New_York.'
  if (!(await zoneIsKnown(timeZone)))
    throw new Refusal(422, 'invalid', 'Some fields need another look.', { timeZone: message })
}
