import type { Lawn } from '#contract/lawn'
import { DAYS_BEHIND } from '#core/establishment/season'
import { daysBetween } from '#core/measure/calendar'
import { putDownOn } from '#core/job/states'
import type { AtWork } from '../records/firms'
import type { StationRecord } from '../records/stations'
import { courseText } from './sill'
import { subjectOf, zoneSubjects } from './subject'

/**
 * How what was sown comes up, each zone under its own sun: an `EmergenceTold` as JSON. No zone where nothing is sown, or that
 * was before the season begins.
 */
export async function emergenceTold(work: AtWork, station: StationRecord, lawn: Lawn): Promise<string> {
  const { programme } = lawn.plan
  const sownOn = putDownOn({ programme, marks: lawn.done })
  if (!sownOn || daysBetween(sownOn, work.today) > DAYS_BEHIND) return '{"zones":[]}'
  // Days count from the one on which seed was really down, whatever was planned.
  const sown = { ...lawn, plan: { ...lawn.plan, sowOn: sownOn } }
  const whole = subjectOf(sown, station, work)
  const zones = zoneSubjects(sown, station, work)
  const subjects = zones.length
    ? zones.map(({ id, odds }) => ({ id, subject: { ...whole, ...odds } }))
    : lawn.job.zoneIds.map((id) => ({ id, subject: whole }))
  const told = await Promise.all(
    subjects.map(async ({ id, subject }) => {
      const course = await courseText(work, station, subject)
      return course === null ? [] : [`{"zoneId":"${id}","course":${course}}`]
    }),
  )
  return `{"zones":[${told.flat().join(',')}]}`
}
