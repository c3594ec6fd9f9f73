import { lastingGate } from '../establishment/lasting'
import type { Glance } from '../establishment/glance'
import type { Gate } from '../explain/judgement'
import { grassByCode } from '../grass/grasses'
import { mainOf } from '../seed/blends'
import { addDays, type Day } from '../measure/calendar'
import { supplyOf } from '../site/soilTest'
import type { Survey } from '../site/survey'
import type { ZoneSurvey } from '../site/zone'
import { decideZone, type ZoneDecision } from './decision/decide'
import type { Practices } from './decision/practices'
import { PROGRAMMES, type ProgrammeCode } from './decision/programmes'
import { PLAN_AHEAD_DAYS, waitOf, type Waiting } from './decision/wait'
import { isIrrigated, isLocated, putOn, surveyOf, timesWatered, zoneSurveysOf } from './lawn'
import { doneByKey } from './marks'
import type { Way } from './carrying'
import { extentOf } from './extent'
import { anchorOf } from './operations/planned'
import { partsOf, USUAL_WET_DAYS, type Part, type PlannedZone, type WetPhase } from './parts'
import { estimateOf, type Estimate } from './price'
import type { WateringProgramme } from '../water/programme'
import { wateringOfJob } from './watering'
import type { Amounts, FirmRecord, JobRecord, LawnRecord } from './records'
import { buildSchedule, type Schedule } from './schedule/schedule'
import { NO_SEASON, type SeasonKnown } from './season'
import { growthOf, seenEnds, visitsOf } from './seenGrowth'
import { practicesOf, settingsOf, sownOn } from './seeding'
import type { PlanSettings } from './settings'
import { growsFrom } from './states'

/** Every zone judged against every programme. */
export interface LawnDecision {
  zones: ZoneDecision[]
  /** The programme recommended for most of the ground. */
  recommended: ProgrammeCode | undefined
  waiting: Waiting
}

/** All that follows from what is recorded of a job, its lawn, its firm and its season. */
export interface JobPlan {
  practices: Practices
  settings: PlanSettings
  /** The whole lawn as it is planned for; undefined while something is missing. */
  survey: Survey | undefined
  glance: Glance | undefined
  /** Undefined while the survey or the season is missing. */
  decision: LawnDecision | undefined
  /** Ground that is treated alike; none while the survey or the programme is missing, or all of it is left alone. */
  parts: Part[]
  /** Undefined while there is nothing to do or no day to do it from. */
  schedule: Schedule | undefined
  price: Estimate | undefined
  /** Waterings from sowing until it stands; not told where the season is not worked out day by day. */
  watering: WateringProgramme | undefined
}

/** The programme recommended for the largest area. */
function mostRecommended(zones: readonly ZoneDecision[]): ProgrammeCode | undefined {
  const areas = new Map<ProgrammeCode, number>()
  for (const { zone, recommended } of zones)
    if (recommended) areas.set(recommended.programme, (areas.get(recommended.programme) ?? 0) + zone.areaM2)
  return [...areas].sort((a, b) => b[1] - a[1])[0]?.[0]
}

/** From where a truck stands to the lawn, as surveyed. */
const wayOf = ({ access }: LawnRecord): Way => ({ distanceM: access.barrowM ?? null, steps: access.steps ?? 0 })

/** What a plan is made of, handed on together. */
interface Given {
  job: JobRecord
  lawn: LawnRecord
  firm: FirmRecord
  practices: Practices
}

/** Whether a programme can be begun on some zones now. */
function waitingFor(given: Given, glance: Glance, programme: ProgrammeCode, zones: ZoneDecision[]): Waiting {
  const { lawn, firm, practices } = given
  const { water, nothingPutOn, latDeg } = lawn
  return waitOf({
    programme,
    zones,
    applications: putOn(lawn, firm.planning),
    nothingPutOn,
    latDeg,
    today: firm.today,
    windows: glance.windows,
    growing: glance.growing,
    years: glance.years,
    rainShare: glance.rainShare,
    irrigated: isIrrigated(lawn),
    restriction: { kind: water.restriction, until: water.restrictedUntil },
    season: practices.season,
    planning: firm.planning,
    lasting: lastingHere(given, glance, programme),
  })
}

/** Water until nearly all is up, of a sowing that has to be kept wet: as the watering programme has it, where there is one. */
function wetPhase(
  { water }: LawnRecord,
  glance: Glance | undefined,
  watering: WateringProgramme | undefined,
): WetPhase | undefined {
  const clientTimes = water.source === 'none' ? 0 : water.timesADay
  const of = { clientTimes, days: watering?.phases[0]?.to?.middle ?? glance?.sowing?.up?.late ?? USUAL_WET_DAYS }
  if (watering) {
    const { day, wants } = watering.wet.find(({ id }) => id === watering.worst)!
    const mmADay = day.cycles.reduce((sum, { depthMm }) => sum + depthMm, 0)
    if (mmADay > 0 && day.cycles.length >= wants) return { mmADay, timesADay: wants, ...of }
  }
  return glance?.sowing?.water ? { ...glance.sowing.water, ...of } : undefined
}

/** What is sown to live here, and may not. Winter color is not to. */
function lastingHere({ job, lawn, practices }: Given, { lasting }: Glance, programme: ProgrammeCode): Gate | undefined {
  const seed = programme === 'winter' || !lasting ? undefined : sownOn(lawn, { ...job, programme }, practices)
  return seed && lasting && lastingGate(grassByCode(mainOf(seed)), lasting, isIrrigated(lawn))
}

function decisionOf(given: Given, glance: Glance): LawnDecision | undefined {
  const { job, lawn, firm, practices } = given
  if (!surveyOf(lawn, firm.today)) return undefined
  const horizon = addDays(firm.today, PLAN_AHEAD_DAYS)
  const of = {
    ph: lawn.soilTest?.ph ?? null,
    timesADay: timesWatered(lawn, practices),
    irrigated: isIrrigated(lawn),
    goal: lawn.wishes.goal,
    noSprays: lawn.wishes.noSprays === true,
    upkeep: lawn.wishes.upkeep ?? null,
    mownBy: lawn.wishes.mownBy ?? null,
    homeWhen: lawn.water.homeWhen ?? null,
    texture: lawn.texture,
    winterOpen: glance.windows.some(({ from }) => from <= horizon),
  }
  const zones = zoneSurveysOf(lawn, job.sowOn ?? firm.today).map((zone) =>
    decideZone(zone, of, practices, firm.planning),
  )
  const recommended = mostRecommended(zones)
  const concerned = zones.filter(({ zone }) => job.zonePlans[zone.id]?.programme !== 'leave')
  return {
    zones,
    recommended,
    waiting: waitingFor(given, glance, job.programme ?? recommended ?? 'overseed', concerned),
  }
}

/** Zones with the programme each is to have, those left alone taken out. */
function plannedZones(lawn: LawnRecord, { zonePlans }: JobRecord, day: Day, programme: ProgrammeCode): PlannedZone[] {
  return zoneSurveysOf(lawn, day).flatMap((zone: ZoneSurvey): PlannedZone[] => {
    const own = zonePlans[zone.id]?.programme
    return own === 'leave' ? [] : [{ zone, programme: own ?? programme }]
  })
}

/** What all open jobs will use up, less what this one is in it for. */
const byOthers = (all: Amounts, own: Amounts): Amounts =>
  Object.fromEntries(
    Object.entries(all).map(([matter, amount]) => [matter, (amount ?? 0) - (own[matter as keyof Amounts] ?? 0)]),
  )

/** Days after sowing of the first and the fourth mowing; leaves that were measured move both. */
function mowingsOf({ job }: Given, parts: readonly Part[], sowOn: Day, season: SeasonKnown) {
  const sowing = season.glance?.(sowOn)?.sowing
  if (!sowing?.mow) return {}
  const { mow: firstMow } = growthOf({ job, parts, season }, sowOn) ?? { mow: sowing.mow }
  const moved = firstMow.middle - sowing.mow.middle
  return { firstMow, ...(sowing.fourthMow === null ? {} : { fourthMow: sowing.fourthMow + moved }) }
}

function scheduleOf(given: Given, parts: readonly Part[], sowOn: Day, season: SeasonKnown): Schedule {
  const { job, lawn, firm } = given
  const { work } = job
  const { glance: glanceAt, sownAt: _sown, dryingOver: _drying, ...weather } = season
  const glance = glanceAt?.(sowOn)
  const sowing = glance?.sowing
  const really = growsFrom({ ...job, sowOn })
  // A list knows the season of the planned day alone.
  const down = glanceAt?.(really)?.sowing ? really : sowOn
  const up = glanceAt?.(down)?.sowing?.up
  const growing = glance?.growing.find(({ to }) => to >= sowOn)
  return buildSchedule({
    parts,
    applications: putOn(lawn, firm.planning),
    located: isLocated(lawn),
    access: lawn.access,
    sowOn,
    today: firm.today,
    planning: firm.planning,
    feedRules: firm.feedRules,
    phosphorus: supplyOf(lawn.soilTest, 'p'),
    ...(glance ? { windows: glance.windows } : {}),
    // Once seed is down, its season is that of the day on which it really went down.
    extent: extentOf(given, really, glance),
    // Where only a glance is at hand, the ground is known of the sowing day alone.
    ...(sowing ? { groundOn: () => sowing.groundLeft } : {}),
    ...weather,
    // Without days on record the water in the ground is reckoned from normals alone.
    groundIsGuess: glance !== undefined && glance.rainShare === null,
    workingDays: firm.workingDays,
    holidays: new Set(firm.holidays),
    hoursADay: firm.hoursADay,
    pace: firm.pace,
    stock: firm.stock,
    spokenFor: byOthers(firm.spokenFor, job.spokenFor),
    ...doneByKey(job.done),
    visits: visitsOf(job),
    skipped: work.skipped,
    own: work.own,
    overruled: work.overruled,
    pins: new Map(Object.entries(work.pins)),
    agreed: new Map(Object.entries(work.days)),
    ...(growing ? { growsUntil: growing.to } : {}),
    ...mowingsOf(given, parts, down, season),
    ...(up ? { firstGreen: up } : {}),
    ...(sowing && glance && anchorOf(parts) === 'seeding' ? { soil: { expectedC: sowing.soilC, ...glance.band } } : {}),
  })
}

/** The watering programme of what is sown; none where seed lies until spring, or nothing is. */
function wateringOf(
  { job, lawn, firm, practices }: Given,
  settings: PlanSettings,
  season: SeasonKnown,
  parts: readonly Part[],
): WateringProgramme | undefined {
  if (!job.sowOn || !job.programme || PROGRAMMES[job.programme].anchor !== 'seeding') return undefined
  const seed = sownOn(lawn, job, practices)
  const warm = seed !== undefined && grassByCode(mainOf(seed)).season === 'warm'
  const sowOn = growsFrom({ ...job, sowOn: job.sowOn })
  const seen = seenEnds(job, growthOf({ job, parts, season }, sowOn), sowOn)
  return wateringOfJob({ lawn, firm, practices, settings, sowOn }, season, warm, seen)
}

/**
 * Plans a job: the one way from what is recorded to decision, schedule, quantities, hours and price. What is tried out is
 * the same call with the job changed.
 * @param season what is known of it; the more, the more gates are judged
 * @returns as much as the records allow; what lacks is undefined or empty
 * @throws RangeError for impossible settings (rates, shares, heights)
 */
export function planJob(job: JobRecord, lawn: LawnRecord, firm: FirmRecord, season: SeasonKnown = NO_SEASON): JobPlan {
  const given: Given = { job, lawn, firm, practices: practicesOf(job, firm) }
  const settings = settingsOf(lawn, job, firm)
  const day = job.sowOn ?? firm.today
  const survey = surveyOf(lawn, day)
  const glance = season.glance?.(job.sowOn)
  const zones = job.programme && survey ? plannedZones(lawn, job, day, job.programme) : []
  const partsWith = (wet: WetPhase | undefined) =>
    zones.length
      ? partsOf(zones, settings, {
          texture: lawn.texture,
          practices: given.practices,
          blend: job.blend,
          planning: firm.planning,
          way: wayOf(lawn),
          wet,
          thin: job.work.thin ?? null,
        })
      : []
  // How it is watered depends on what grows on the parts; what the parts are told of it, on the watering.
  const watering = zones.length ? wateringOf(given, settings, season, partsWith(undefined)) : undefined
  const parts = partsWith(wetPhase(lawn, glance, watering))
  const schedule = parts.length && job.sowOn ? scheduleOf(given, parts, job.sowOn, season) : undefined
  return {
    practices: given.practices,
    settings,
    survey,
    glance,
    decision: glance && decisionOf(given, glance),
    parts,
    schedule,
    price: schedule && estimateOf(parts, schedule, firm.planning, firm.currency),
    watering,
  }
}

/** Whether a programme can be begun on some zones of a lawn now. */
export const waitingOf = (
  job: JobRecord,
  lawn: LawnRecord,
  firm: FirmRecord,
  { glance, programme, zones }: { glance: Glance; programme: ProgrammeCode; zones: ZoneDecision[] },
): Waiting => waitingFor({ job, lawn, firm, practices: practicesOf(job, firm) }, glance, programme, zones)

/** Days of what is still to do, as they stand. */
export const daysOf = ({ tasks }: Schedule): Record<string, Day> =>
  Object.fromEntries(tasks.filter(({ done }) => !done).map(({ key, to }) => [key, to]))

/**
 * A job with something changed, as it is tried out: the days that stand now count as confirmed, so that as few of them
 * move as can be, whichever view tries it.
 */
export function tried(job: JobRecord, standing: Schedule | undefined, change: Partial<JobRecord>): JobRecord {
  const work = change.work ?? job.work
  return { ...job, ...change, work: { ...work, days: standing ? daysOf(standing) : work.days } }
}

/** Seed or a dressing goes down first: the operation whose day is chosen. */
export const isSeeded = ({ programme }: Pick<JobRecord, 'programme'>): boolean =>
  programme === null || PROGRAMMES[programme].anchor === 'seeding'
