import { settingsTriedSchema } from '#contract/lawn'
import { answer, asJson } from '../../../utils/answer'
import { bodyOf } from '../../../utils/ask'
import { lawnAsked } from '../../../utils/lawnAsked'
import { stationFor } from '../../../utils/lawnStation'
import { sillJson, sillText } from '../../../weather/sill'
import { subjectOf } from '../../../weather/subject'

/** The season of a lawn by settings that are tried out; nothing of the plan changes. */
export default answer(async (event, work) => {
  const lawn = await lawnAsked(event, work)
  const { settings } = await bodyOf(event, settingsTriedSchema)
  const tried = { ...lawn, plan: { ...lawn.plan, settings } }
  const station = await stationFor(tried, work)
  return asJson(event, sillJson(await sillText(work, station, subjectOf(tried, station, work)), lawn.job.id))
})
