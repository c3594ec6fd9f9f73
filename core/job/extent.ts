import type { Glance } from '../establishment/glance'
import { sunSeason } from '../establishment/sunSeason'
import { dayOfYear, daysBetween, type Day } from '../measure/calendar'
import type { Extent } from './operations/definition'
import { WATER_AHEAD_BELOW } from './operations/groundGates'
import { OPERATIONS } from './operations/registry'
import type { FirmRecord, JobRecord, LawnRecord } from './records'

/** A winter lies between the killing of the autumn and the sowing. */
const AUTUMN_AHEAD_DAYS = 200

/** Days of the year, north of the equator, on which what is sown meets falling leaves: mid-August to the end of November. */
const LEAF_FALL = [227, 334] as const
const HALF_A_YEAR = 182

/** Whether trees on or by the lawn drop their leaves on what is sown on a day. */
function leavesFallOn({ features, latDeg, access }: LawnRecord, sowOn: Day): boolean {
  const day = (dayOfYear(sowOn) + (latDeg < 0 ? HALF_A_YEAR : 0)) % 365
  // What was seen of leaves counts before what is drawn of trees.
  const fall = access.leaves ? access.leaves !== 'none' : Object.values(features).some(({ kind }) => kind === 'tree')
  return fall && day >= LEAF_FALL[0] && day <= LEAF_FALL[1]
}

/** What the whole lawn, the season and the technician say about what a plan has to hold. */
export function extentOf(
  { job, lawn, firm }: { job: JobRecord; lawn: LawnRecord; firm: FirmRecord },
  sowOn: Day,
  glance: Glance | undefined,
): Extent {
  const left = glance?.sowing?.groundLeft
  const done = (is: (one: (typeof OPERATIONS)[number]) => unknown) =>
    OPERATIONS.some((one) => is(one) && job.done.some(({ key }) => key === one.code))
  return {
    springSown: sunSeason(sowOn, lawn.latDeg) === 'spring',
    soilTested: lawn.soilTest !== null,
    dormant: glance?.sowing?.dormant ?? false,
    dryGround: left !== undefined && left < WATER_AHEAD_BELOW && !done(({ pastSoaking }) => pastSoaking),
    added: job.work.added,
    autumnAhead: daysBetween(firm.today, sowOn) > AUTUMN_AHEAD_DAYS || done(({ autumnBefore }) => autumnBefore),
    leavesFall: leavesFallOn(lawn, sowOn),
    clientMows: lawn.wishes.mownBy === 'client',
    noSprays: lawn.wishes.noSprays === true,
  }
}
