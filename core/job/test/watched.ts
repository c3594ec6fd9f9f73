import { groundOf, jobOf, type Lawn } from '#contract/lawn'
import { aFirm, aPlannedLawn, BACK_ID, inTwoZones } from '../../../contract/test/plannedLawn'
import { ZONE_ID } from '../../../contract/test/looks'
import type { EmergenceCourse } from '../../establishment/emergenceCourse'
import type { Seen } from '../../learning/seen'
import { addDays, type Day } from '../../measure/calendar'
import { COLUMBUS_LAT } from '../../weather/test/stations'
import { planJob } from '../planJob'
import { seasonOfOutlook, type SeasonKnown } from '../season'
import { watchOf } from '../watch'
import { columbusOutlook, columbusYears } from './columbusSeason'
import { COURSE, SEED, SOWN } from './counted'

let built: SeasonKnown | undefined
/** The season at Columbus, worked out once for all that ask. */
export const columbus = (): SeasonKnown =>
  (built ??= seasonOfOutlook(columbusOutlook(columbusYears(addDays(SOWN, 21), 20)), []))

/** The lawn in two zones, sown, so many days later. */
export function watched(
  day: number,
  seen: Seen[],
  change: { done?: Lawn['done']; course?: Partial<EmergenceCourse>; sowOn?: Day } = {},
) {
  const lawn = aPlannedLawn(
    { ...inTwoZones(), latDeg: COLUMBUS_LAT, lonDeg: -83 },
    { sowOn: change.sowOn ?? SOWN },
    { done: change.done ?? [SEED], seen: seen.map((one, i) => ({ ...one, id: String(i), savedBy: null })) },
  )
  const [job, ground, firm] = [jobOf(lawn), groundOf(lawn), aFirm({ today: addDays(SOWN, day) })]
  const plan = planJob(job, ground, firm, columbus())
  const course = { ...COURSE, ...change.course }
  const beds = [ZONE_ID, BACK_ID].map((zoneId) => ({ zoneId, course }))
  return { plan, watch: watchOf({ job, lawn: ground, firm, plan, season: columbus(), beds }) }
}
