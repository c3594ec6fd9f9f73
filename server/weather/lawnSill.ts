import type { Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import { stationFor } from '../utils/lawnStation'
import { sillJson, sillText } from './sill'
import { subjectOf } from './subject'

/** The season of a lawn, a `SillTold` as JSON. @throws Refusal 'weather' where no station can tell it */
export async function lawnSill(work: AtWork, lawn: Lawn): Promise<string> {
  const station = await stationFor(lawn, work)
  return sillJson(await sillText(work, station, subjectOf(lawn, station, work)), lawn.job.id)
}
