import type { Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { outlineIsOld } from '../records/listed'
import { stationFor } from '../utils/lawnStation'
import { log } from '../utils/log'
import { sillJson, sillText } from './sill'
import { subjectOf } from './subject'

/**
 * The season of a lawn, a `SillTold` as JSON.
 * @param coarse whether a first look will do where it is not worked out yet
 * @throws Refusal 'weather' where no station can tell it
 */
export async function lawnSill(work: AtWork, lawn: Lawn, coarse: boolean): Promise<string> {
  const station = await stationFor(lawn, work)
  // The list goes by fewer years: from now on it says what the lawn's own page says.
  const onMade = () =>
    outlineIsOld(work.firm.id, lawn.job.id).catch((error: unknown) => {
      log.warn({ reason: String(error) }, 'a list keeps an outline of fewer years')
    })
  const text = await sillText(work, station, subjectOf(lawn, station, work), { coarse, onMade })
  return sillJson(text, lawn.job.id)
}
