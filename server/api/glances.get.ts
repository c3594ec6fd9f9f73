import { setImmediate } from 'node:timers/promises'
import { glanceOf } from '#core/establishment/outlook'
import { glancesAskedSchema, grassOf } from '#contract/lawn'
import type { LawnGlance } from '#contract/context'
import { lawnsOf } from '../records/lawns'
import { answer } from '../utils/answer'
import { queryOf } from '../utils/ask'
import { localFetch } from '../utils/localFetch'
import { Refusal } from '../utils/refusal'
import { freshStations } from '../weather/collect'
import { sillData, stationOf, subjectOf } from '../weather/sill'

/** The season of the lawns asked for in brief. Long work: other requests get their turn between lawns. */
export default answer(async (event, work): Promise<LawnGlance[]> => {
  const lawns = await lawnsOf(work.firm.id, { ids: queryOf(event, glancesAskedSchema).of })
  const stations = await freshStations(work, localFetch)
  const glances: LawnGlance[] = []
  for (const lawn of lawns) {
    // Whoever asked has gone on; what is worked out already stays remembered.
    if (event.node.req.destroyed) break
    const station = stationOf(lawn, stations)
    if (!station || !grassOf(lawn)) continue
    const data = await sillData(work, station, subjectOf(lawn, station, work.today)).catch((error: unknown) => {
      if (error instanceof Refusal) return undefined
      throw error
    })
    glances.push({ id: lawn.id, glance: data ? glanceOf(data.outlook, lawn.plan.sowOn) : null })
    await setImmediate()
  }
  return glances
})
