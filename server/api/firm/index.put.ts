import { say } from '#core/explain/message'
import { firmSettingsSchema } from '#contract/firm'
import { saveFirm } from '../../records/firms'
import { stationById } from '../../records/stations'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { notFound, Refusal } from '../../utils/refusal'
import { zoneKnown } from '../../utils/zoneKnown'

export default answer(async (event, { firm }) => {
  const settings = await bodyOf(event, firmSettingsSchema)
  if (settings.timeZone !== firm.timeZone) await zoneKnown(settings.timeZone)
  if (settings.homeStationId && !(await stationById(firm.id, settings.homeStationId))) throw notFound('station')
  if (!(await saveFirm(firm.id, settings))) throw new Refusal(409, 'conflict', say('server.anotherOwnerSavedThese'))
  return { saved: true }
}, 'owner')
