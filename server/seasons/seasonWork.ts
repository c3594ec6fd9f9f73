import { daysBetween, type Day } from '#core/measure/calendar'
import type { Normals } from '#core/weather/normals'
import { buildSeason, firstYears, type Season, type SeasonInput } from '#core/establishment/season'
import { LASTING_YEARS, yearsOfTurf, type YearsOfTurf } from '#core/establishment/lasting'
import { emergenceCourse } from '#core/establishment/emergenceCourse'
import { briefAt, briefOf } from '#core/establishment/glance'
import { judgedOf } from '#core/establishment/judged'
import { summarise } from '#core/establishment/outlook'
import { tellOutlook } from '#core/establishment/outlookTold'
import type { Stand } from '#core/establishment/stand'
import type { SeedbedRisk } from '#core/establishment/sowing'
import type { Blend } from '#core/seed/blends'

/** A season to be worked out and what of it is asked; plain data, so that it can go to another thread. */
export interface SeasonWork {
  /** Changes whenever the input does. */
  key: string
  /** A `SeasonInput` as JSON. */
  input: string
  /** Weather years to go by, of those of the input at the most. */
  years: number
  seed: Blend
  risk: SeedbedRisk
  mowingMm: number
  stand: Stand | undefined
  /** A first look of the whole: fewer of its days are read closely, and there is no brief of it. */
  coarse?: true
  /** Only what a list reads of this sowing day, null for none chosen; the whole outlook where left out. */
  only?: { sowOn: Day | null }
  /** Only how what was sown on this day comes up. */
  courseOf?: Day
}

/** What was worked out, as text: it is kept and sent on so, and read by few. */
export interface WorkedOut {
  /** An `OutlookTold`; null where only a brief was asked. Where a course was asked, an `EmergenceCourse`; null for a day outside. */
  outlook: string | null
  /** Its `Brief`; an empty object where a course or a first look was asked. */
  brief: string
}

/** Days of a first look that go by one of them, but for their odds. */
const COARSE_DAYS = 4

/** A season weighs tens of megabytes; a thread is given the lawns that share one after the other. */
let latest:
  { key: string; asked: number; season: Season; normals: Normals; lasting: YearsOfTurf | undefined } | undefined

/** Works an outlook out; the season asked for last is at hand, for fewer of its years too. */
export function workOut({
  key,
  input,
  years,
  seed,
  risk,
  mowingMm,
  stand,
  only,
  courseOf,
  coarse,
}: SeasonWork): WorkedOut {
  if (latest?.key !== key || latest.asked < years) {
    const read = JSON.parse(input) as SeasonInput
    const of = { ...read, years: Math.min(years, read.years) }
    // What was there is let go before the next is built.
    latest = undefined
    latest = {
      key,
      asked: years,
      season: buildSeason(of),
      normals: read.climate.normals,
      // A first look has too few years to say what lives here.
      lasting: of.years < LASTING_YEARS ? undefined : yearsOfTurf(of),
    }
  }
  const { normals, lasting } = latest
  const season = firstYears(latest.season, years)
  if (courseOf !== undefined) {
    const sown = daysBetween(season.first, courseOf)
    const course =
      sown < 0 ? null : emergenceCourse(judgedOf(season, seed, risk, mowingMm, { stand, dryHours: false }), sown)
    return { outlook: course && JSON.stringify(course), brief: '{}' }
  }
  if (only) {
    const brief = briefAt(season, seed, risk, mowingMm, normals, only.sowOn, lasting)
    return { outlook: null, brief: JSON.stringify(brief) }
  }
  const everyDays = coarse ? COARSE_DAYS : 1
  const outlook = summarise(season, seed, risk, mowingMm, normals, { stand, lasting, everyDays })
  return {
    outlook: JSON.stringify(tellOutlook(outlook)),
    brief: coarse ? '{}' : JSON.stringify(briefOf(outlook)),
  }
}
