import { createHash } from 'node:crypto'
import { seenSchema, type EmergenceTold } from '#contract/seen'
import type { Lawn } from '#contract/lawn'
import { expectedIn } from '#core/learning/germination'
import { poissonQuantile } from '#core/learning/intervals'
import type { SeenCount } from '#core/learning/seen'
import { addDays, dayNumber, daysBetween, type Day } from '#core/measure/calendar'
import { putDownOn } from '#core/job/states'
import { sunClass, sunHoursOn } from '#core/site/zone'
import { randomDay } from '#core/weather/random'
import { authorOf, type AtWork } from '../records/firms'
import { lawnById } from '../records/lawns'
import { countedJobs, noteSeen } from '../records/observations'
import { stationFor } from '../utils/lawnStation'
import { emergenceTold } from '../weather/emergence'

/** Invented for the demo: counted every fourth day in six frames, and half of what is expected comes up out of the sun. */
const [EVERY_DAYS, FIRST_DAY, LAST_DAY, FRAMES, IN_SHADE] = [4, 10, 38, 6, 0.5]
const SEED = 41

/** An id that is the same for the same count, so that the clock stepped twice counts once. */
function idOf(...of: (string | number)[]): string {
  const hex = createHash('sha256').update(of.join(' ')).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}

const lastCount = ({ seen }: Lawn, zoneId: string) =>
  seen.filter((one): one is Lawn['seen'][number] & SeenCount => one.kind === 'count' && one.zoneId === zoneId).at(-1)

/** What is counted on one day in the zones that were counted before. */
function countsOn(lawn: Lawn, { zones }: EmergenceTold, sownOn: Day, seenOn: Day) {
  const day = daysBetween(sownOn, seenOn)
  const drawn = randomDay(SEED, dayNumber(seenOn))
  return zones.flatMap(({ zoneId, course }, z) => {
    const [before, zone] = [lastCount(lawn, zoneId), lawn.zones[zoneId]]
    if (!before || !zone || !course.perCm2) return []
    const sun = sunClass(sunHoursOn(zone, lawn.measured[zoneId]!, seenOn) ?? 8)
    const expected = expectedIn(course, course.perCm2, before.frameMm, day).middle * (sun === 'full' ? 1 : IN_SHADE)
    return [
      seenSchema.parse({
        id: idOf(lawn.job.id, zoneId, seenOn),
        kind: 'count',
        seenOn,
        zoneId,
        frameMm: before.frameMm,
        seedlings: Array.from({ length: FRAMES }, (_, i) => poissonQuantile(drawn.uniform(z * FRAMES + i), expected)),
        moist: sun === 'full',
      }),
    ]
  })
}

/**
 * Counts of the demo's lawns that come up, on the days its clock passes: those that somebody counts already go on being counted.
 * @param work of the day the clock came from @param to the day it stands at now
 */
export async function simulateCounts(work: AtWork, to: Day): Promise<void> {
  for (const { lawnId, jobId } of await countedJobs(work.firm.id)) {
    const lawn = await lawnById(work.firm.id, lawnId, jobId)
    const sownOn = lawn && putDownOn({ programme: lawn.plan.programme, marks: lawn.done })
    if (!lawn || !sownOn) continue
    const days = Array.from({ length: daysBetween(work.today, to) }, (_, i) => addDays(work.today, i + 1)).filter(
      (on) => {
        const day = daysBetween(sownOn, on)
        return day >= FIRST_DAY && day <= LAST_DAY && (day - FIRST_DAY) % EVERY_DAYS === 0
      },
    )
    if (!days.length) continue
    const then = { ...work, today: to }
    const told = JSON.parse(await emergenceTold(then, await stationFor(lawn, then), lawn)) as EmergenceTold
    for (const seen of days.flatMap((on) => countsOn(lawn, told, sownOn, on)))
      await noteSeen(authorOf(work), { lawnId, jobId }, seen)
  }
}
