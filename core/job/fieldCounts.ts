import { bedOf } from '../establishment/stand'
import type { FieldCount } from '../learning/fieldShare'
import { ALL_UP, perFrame } from '../learning/germination'
import { daysBetween } from '../measure/calendar'
import { operationOf } from './operations/registry'
import { oddsInputOf, oddsInputsByZone } from './oddsInput'
import type { FirmRecord, JobRecord, LawnRecord } from './records'
import { seenOf } from './seenGrowth'
import { putDownOn } from './states'
import type { SownZone } from './watch'

/**
 * What the counts of a job say of its beds, for the firm's own figures: the last count of each zone made once all should be up,
 * and before anything was sown again.
 * @param beds how its zones were expected to come up
 */
export function fieldCountsOf(
  { job, lawn, firm }: { job: JobRecord; lawn: LawnRecord; firm: FirmRecord },
  beds: readonly SownZone[],
): FieldCount[] {
  const sownOn = putDownOn({ programme: job.programme, marks: job.done })
  if (!sownOn) return []
  const resown = job.done.flatMap(({ key, doneOn }) => (operationOf(key)?.reseeds ? [doneOn] : [])).sort()[0]
  const asSown = { ...job, sowOn: sownOn }
  const zones = oddsInputsByZone(asSown, lawn, firm, false)
  const whole = oddsInputOf(asSown, lawn, firm, false).stand
  return beds.flatMap(({ zoneId, course }): FieldCount[] => {
    const stand = zones.find(({ id }) => id === zoneId)?.odds.stand ?? whole
    const last = seenOf(job, 'count', sownOn)
      .filter((count) => count.zoneId === zoneId && (!resown || count.seenOn <= resown))
      .at(-1)
    if (!stand || !last || !course.perCm2) return []
    const day = Math.min(daysBetween(sownOn, last.seenOn), course.slow.length - 1)
    const up = course.middle[day]!
    if (course.slow[day]! < ALL_UP) return []
    const seedlings = last.seedlings.reduce((sum, count) => sum + count, 0)
    const expected = perFrame(course.perCm2, last.frameMm) * last.seedlings.length * up
    return [
      {
        bed: bedOf(stand),
        seenOn: last.seenOn,
        share: Math.min(1, (seedlings / expected) * stand.fieldShare),
        frames: last.seedlings.length,
        seedlings,
      },
    ]
  })
}
