import { glanceOfBrief, type Brief } from '#core/establishment/glance'
import { glancesAskedSchema, seedOf, type Lawn } from '#contract/lawn'
import type { LawnGlance } from '#contract/context'
import { lawnsOf } from '../records/lawns'
import { answer } from '../utils/answer'
import { queryOf } from '../utils/ask'
import { localFetch } from '../utils/localFetch'
import { Refusal } from '../utils/refusal'
import { freshStations } from '../weather/collect'
import { briefText, stationOf } from '../weather/sill'
import { subjectOf } from '../weather/subject'

/** Lawns that are asked for at once: as many as keep every thread at work. */
const AT_ONCE = 4

/** The season of the lawns asked for in brief. Long work, done beside the server's own thread. */
export default answer(async (event, work): Promise<LawnGlance[]> => {
  const lawns = await lawnsOf(work.firm.id, { ids: queryOf(event, glancesAskedSchema).of })
  const stations = await freshStations(work, localFetch)
  const glances: LawnGlance[] = []
  const glance = async (lawn: Lawn): Promise<void> => {
    const station = stationOf(lawn, stations)
    if (!station || !seedOf(lawn)) return
    const brief = await briefText(work, station, subjectOf(lawn, station, work.today)).catch((error: unknown) => {
      if (error instanceof Refusal) return undefined
      throw error
    })
    glances.push({ id: lawn.id, glance: brief === undefined ? null : glanceOfBrief(JSON.parse(brief) as Brief, lawn.plan.sowOn) })
  }
  const left = [...lawns]
  const worker = async (): Promise<void> => {
    // Whoever asked may have gone on; what is worked out already stays remembered.
    for (let lawn = left.shift(); lawn && !event.node.req.destroyed; lawn = left.shift()) await glance(lawn)
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
  return glances
})
