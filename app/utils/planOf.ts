import { grassOf, zonesOf, zoneSurveysOf, surveyOf, type Lawn } from '#contract/lawn'
import { schoolsOf } from '#contract/schools'
import { depthLimitOf } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import type { Glance } from '#core/establishment/glance'
import { decideZone, type ZoneDecision } from '#core/job/decision/decide'
import { anchorOf, partsOf, type Part, type PlannedZone } from '#core/job/parts'
import { defaultSettings, shallowEnough, type PlanSettings } from '#core/job/settings'
import type { Planning } from '#core/job/planningFigures'
import { PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'
import { buildSequence, type Sequence } from '#core/job/schedule/schedule'
import { doneByKey } from '#contract/work'
import { WATER_AHEAD_BELOW } from '#core/job/operations/gates'
import type { Sky } from '#core/job/operations/weatherGates'
import type { StockLevels } from '#core/materials/stock'
import type { Pace } from '#core/job/hours'
import type { Extent } from '#core/job/parts'
import type { Schools } from '#core/job/decision/practices'
import { PLAN_AHEAD_DAYS, waitOf, type Waiting } from '#core/job/decision/wait'
import { addDays, dayOfYear, daysBetween, type Day } from '#core/measure/calendar'
import type { ZoneSurvey } from '#core/site/zone'

/** What the firm holds, with which figures, on which days it works, and which day it is. */
export interface Practice {
  today: Day
  schools: Schools
  planning: Planning
  workingDays: readonly number[]
  holidays: readonly Day[]
  hoursADay: number
  /** How fast the firm really is, by operation. */
  pace: Readonly<Record<string, Pace>>
  /** What the shed holds. */
  stock: StockLevels
}

/** The schools of a plan: the firm's, but where it differs. */
export const schoolsIn = (lawn: Lawn, { schools }: Pick<Practice, 'schools'>): Schools => schoolsOf({ ...schools, ...lawn.plan.schools })

/** What a plan would begin with. */
export function beginningSettings(lawn: Lawn, schools: Schools, programme: ProgrammeCode): PlanSettings {
  const grass = grassByCode(PROGRAMMES[programme].seed ?? grassOf(lawn) ?? 'TF')
  const zones = zonesOf(lawn).map(([, zone]) => zone.desirableShare ?? 0.5)
  const desirableShare = zones.reduce((sum, share) => sum + share, 0) / zones.length
  const day = lawn.plan.sowOn
  const inSpring = day !== null && (dayOfYear(day) > 182) !== lawn.latDeg >= 0
  const settings = defaultSettings({ grass, desirableShare, programme: PROGRAMMES[programme], schools, inSpring })
  return lawn.plan.blend.length ? shallowEnough(settings, depthLimitOf(lawn.plan.blend)) : settings
}

/** Settings of the plan, or those it would begin with. */
export const settingsOf = (lawn: Lawn, practice: Pick<Practice, 'schools'>): PlanSettings =>
  lawn.plan.settings ?? beginningSettings(lawn, schoolsIn(lawn, practice), lawn.plan.programme ?? 'overseed')

/** Every zone judged against every programme. */
export interface LawnDecision {
  zones: ZoneDecision[]
  /** Where the rules lean for most of the ground. */
  leans: ProgrammeCode | undefined
  waiting: Waiting
}

const irrigated = ({ water }: Lawn): boolean => water.source === 'sprinklers'

/** Where the rules lean over the largest area. */
function mostLean(zones: readonly ZoneDecision[]): ProgrammeCode | undefined {
  const areas = new Map<ProgrammeCode, number>()
  for (const { zone, leans } of zones) if (leans) areas.set(leans.programme, (areas.get(leans.programme) ?? 0) + zone.areaM2)
  return [...areas].sort((a, b) => b[1] - a[1])[0]?.[0]
}

/** Whether a programme can be begun on some zones now. */
export function waitingFor(lawn: Lawn, glance: Glance, practice: Practice, programme: ProgrammeCode, zones: readonly ZoneDecision[]): Waiting {
  const { water, applications, latDeg } = lawn
  return waitOf({
    programme, zones, applications, latDeg, today: practice.today, windows: glance.windows, growing: glance.growing, years: glance.years, rainShare: glance.rainShare,
    irrigated: irrigated(lawn), restriction: { kind: water.restriction, until: water.restrictedUntil }, season: schoolsIn(lawn, practice).season, planning: practice.planning,
  })
}

export function zoneDecisionsOf(lawn: Lawn, glance: Glance, practice: Practice, zones: readonly ZoneSurvey[] = zoneSurveysOf(lawn, lawn.plan.sowOn ?? practice.today)): ZoneDecision[] {
  const { water, wishes, soilTest } = lawn
  const horizon = addDays(practice.today, PLAN_AHEAD_DAYS)
  const of = {
    ph: soilTest?.ph ?? null, timesADay: water.timesADay, irrigated: irrigated(lawn), goal: wishes.goal,
    winterOpen: glance.windows.some(({ from }) => from <= horizon),
  }
  return zones.map((zone) => decideZone(zone, of, schoolsIn(lawn, practice), practice.planning))
}

/** The judgement of the whole lawn; undefined while something it needs is missing. */
export function decisionOf(lawn: Lawn, glance: Glance, practice: Practice): LawnDecision | undefined {
  if (!surveyOf(lawn, practice.today)) return undefined
  const zones = zoneDecisionsOf(lawn, glance, practice)
  const leans = mostLean(zones)
  const programme = lawn.plan.programme ?? leans ?? 'overseed'
  const concerned = zones.filter(({ zone }) => lawn.plan.zonePlans[zone.id]?.programme !== 'leave')
  return { zones, leans, waiting: waitingFor(lawn, glance, practice, programme, concerned) }
}

/** Zones with the programme each is to have, those left alone taken out. */
export function plannedZones(lawn: Lawn, day: Day, programme: ProgrammeCode): PlannedZone[] {
  return zoneSurveysOf(lawn, day).flatMap((zone): PlannedZone[] => {
    const own = lawn.plan.zonePlans[zone.id]?.programme
    return own === 'leave' ? [] : [{ zone, programme: own ?? programme }]
  })
}

/** The parts of a plan; undefined while the survey or the choice is missing, or every zone is left alone. */
export function partsIn(lawn: Lawn, practice: Practice): Part[] | undefined {
  const day = lawn.plan.sowOn ?? practice.today
  if (!lawn.plan.programme || !surveyOf(lawn, day)) return undefined
  const zones = plannedZones(lawn, day, lawn.plan.programme)
  return zones.length ? partsOf(zones, lawn.texture, settingsOf(lawn, practice), schoolsIn(lawn, practice), lawn.plan.blend, practice.planning) : undefined
}

/** What is known of the season beyond a plan's own day: the forecast, and the soil day by day where a whole outlook is at hand. */
export interface Weather extends Sky {
  soilOn?: (day: Day) => number | undefined
  groundOn?: (day: Day) => number | undefined
}
export const NO_WEATHER: Weather = { forecast: [] }

/** A winter lies between the killing of the autumn and the sowing. */
const AUTUMN_AHEAD_DAYS = 200

function extentOf(lawn: Lawn, sowOn: Day, glance: Glance | null | undefined, today: Day): Extent {
  const left = glance?.sowing?.groundLeft
  return {
    soilTested: lawn.soilTest !== null, dormant: glance?.sowing?.dormant ?? false, dryGround: left !== undefined && left < WATER_AHEAD_BELOW && !lawn.done.some(({ key }) => ['core', 'fork', 'sow', 'lift'].includes(key)), added: lawn.plan.work.added,
    autumnAhead: daysBetween(today, sowOn) > AUTUMN_AHEAD_DAYS || lawn.done.some(({ key }) => key === 'killAutumn'),
  }
}

/** The sequence of some parts from a day on. */
export function sequenceOfParts(lawn: Lawn, parts: readonly Part[], sowOn: Day, glance: Glance | null | undefined, practice: Practice, weather: Weather): Sequence {
  const sowing = glance?.sowing
  const { work } = lawn.plan
  const growing = glance?.growing.find(({ to }) => to >= sowOn)
  return buildSequence({
    parts, applications: lawn.applications, sowOn, today: practice.today, planning: practice.planning, extent: extentOf(lawn, sowOn, glance, practice.today),
    // Where only a glance is at hand, the ground is known of the sowing day alone.
    ...(sowing ? { groundOn: () => sowing.groundLeft } : {}), ...weather,
    workingDays: practice.workingDays, holidays: new Set(practice.holidays), hoursADay: practice.hoursADay, pace: practice.pace, stock: practice.stock,
    ...doneByKey(lawn.done), skipped: work.skipped, own: work.own, overruled: work.overruled, pins: new Map(Object.entries(work.pins)), agreed: new Map(Object.entries(work.days)),
    ...(growing ? { growsUntil: growing.to } : {}),
    ...(sowing?.mow ? { firstMow: sowing.mow } : {}),
    ...(sowing?.up ? { firstGreen: sowing.up } : {}),
    ...(sowing && glance && anchorOf(parts) === 'sow' ? { soil: { expectedC: sowing.soilC, ...glance.band } } : {}),
  })
}

/** The dated sequence of a decided plan; undefined while something before it is missing. */
export function sequenceOf(lawn: Lawn, glance: Glance | null | undefined, practice: Practice, weather: Weather = NO_WEATHER, sowOn = lawn.plan.sowOn): Sequence | undefined {
  const parts = sowOn ? partsIn(lawn, practice) : undefined
  return parts && sowOn ? sequenceOfParts(lawn, parts, sowOn, glance, practice, weather) : undefined
}
