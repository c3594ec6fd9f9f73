import { setImmediate } from 'node:timers/promises'
import { glanceOf } from '#core/establishment/outlook'
import type { LawnGlance } from '#contract/context'
import { lawnsOf } from '../records/lawns'
import { stationsOf } from '../records/stations'
import { answer } from '../utils/answer'
import { Refusal } from '../utils/refusal'
import { localFetch } from '../utils/localFetch'
import { sillData, stationOf, subjectOf } from '../weather/sill'

/** The season of every surveyed lawn in brief. Long work: other requests get their turn between lawns. */
export default answer(async (_event, work): Promise<LawnGlance[]> => {
  const stations = await stationsOf(work.firm.id)
  const glances: LawnGlance[] = []
  for (const lawn of await lawnsOf(work.firm.id)) {
    const station = stationOf(lawn, stations)
    if (!station || !lawn.grass) continue
    const data = await sillData(work, station, subjectOf(lawn, station), localFetch).catch((error: unknown) => {
      if (error instanceof Refusal) return undefined
      throw error
    })
    glances.push({ id: lawn.id, glance: data ? glanceOf(data.outlook, lawn.plan.sowOn) : null })
    await setImmediate()
  }
  return glances
})
