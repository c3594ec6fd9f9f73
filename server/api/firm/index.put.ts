import { firmSettingsSchema } from '#contract/firm'
import { saveFirm } from '../../records/firms'
import { stationById } from '../../records/stations'
import { answer } from '../../utils/answer'
import { bodyOf } from '../../utils/ask'
import { conflict, notFound } from '../../utils/refusal'

export default answer(async (event, { firm }) => {
  const settings = await bodyOf(event, firmSettingsSchema)
  if (settings.homeStationId && !(await stationById(firm.id, settings.homeStationId))) throw notFound('station')
  if (!(await saveFirm(firm.id, settings))) throw conflict(undefined)
  return { saved: true }
}, 'owner')
