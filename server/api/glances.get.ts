import { glanceOfBrief, type Brief } from '#core/establishment/glance'
import { glancesAskedSchema, groundOf, jobOf, type Lawn } from '#contract/lawn'
import { sownOn } from '#core/job/seeding'
import type { LawnGlance } from '#contract/context'
import { lawnsOf } from '../records/lawns'
import { answer } from '../utils/answer'
import { queryOf } from '../utils/ask'
import { localFetch } from '../utils/localFetch'
import { failureOf } from '../records/failures'
import { log } from '../utils/log'
import { Refusal } from '../utils/refusal'
import { requestIdOf } from '../utils/requestId'
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
    const brief =
      !station || !sownOn(groundOf(lawn), jobOf(lawn))
        ? undefined
        : await briefText(work, station, subjectOf(lawn, station, work)).catch((error: unknown) => {
            // One lawn that cannot be reckoned with stops no list; a database that is gone stops it whole.
            if (failureOf(error) !== undefined) throw error
            if (!(error instanceof Refusal))
              log.error(
                { id: requestIdOf(event), lawn: lawn.id, reason: String(error) },
                'a season was left out of a list',
              )
            return undefined
          })
    glances.push({
      id: lawn.id,
      glance: brief === undefined ? null : glanceOfBrief(JSON.parse(brief) as Brief, lawn.plan.sowOn),
    })
  }
  const left = [...lawns]
  const worker = async (): Promise<void> => {
    // Whoever asked may have gone on; what is worked out already stays remembered.
    for (let lawn = left.shift(); lawn && !event.node.req.destroyed; lawn = left.shift()) await glance(lawn)
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
  return glances
})
