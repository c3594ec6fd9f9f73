import type { EmergenceCourse } from '../establishment/emergenceCourse'
import { RELEASING_MOWINGS } from '../establishment/growth'
import { WASHES_FROM_MM } from '../establishment/losses'
import { coveringOf } from '../establishment/sowing'
import { ALL_UP, judgeCount, learnEmergence, type JudgedCount, type LearnedEmergence } from '../learning/germination'
import { likelyCauses, type Evidence, type GerminationCause } from '../learning/cause'
import type { SeenCheck, SeenCount } from '../learning/seen'
import { addDays, daysBetween, latestOf, type Day } from '../measure/calendar'
import { enoughSeedsPerCm2 } from '../seed/blends'
import { seedNeed } from '../seed/liveSeed'
import { surveyOver } from '../site/survey'
import type { ZoneSurvey } from '../site/zone'
import type { Sun } from '../soil/soilCourse'
import { followLog, type BedLog } from '../water/log'
import { zoneSurveysOf } from './lawn'
import { growthOf, mowingsDone, seenOf, type Growth } from './seenGrowth'
import { PLAN_RATE, type Part } from './parts'
import type { JobPlan } from './planJob'
import type { FirmRecord, JobRecord, LawnRecord } from './records'
import type { SeasonKnown } from './season'
import { putDownOn } from './states'
import { LEAST_RATE_SHARE, resownOn, spotsOf, spotsTogether, type ThinSpot } from './thinSpots'
import { irrigationOf, wateredBeds } from './watering'

/** How a zone that is sown comes up, as it is expected. */
export interface SownZone {
  zoneId: string
  course: EmergenceCourse
}

/** What to do about a zone next, the first thing first. */
export type WatchAction =
  | { code: 'count'; on: Day }
  | { code: 'wait'; until: Day }
  | { code: 'water' }
  | { code: 'reseed'; areaM2: number; rateShare: number; massKg: number; from: Day; on: Day | null }
  | { code: 'overfull' }
  | { code: 'nothing' }

/** One zone with its counts beside what was expected of it. */
export interface ZoneWatch {
  id: string
  name: string
  areaM2: number
  sun: Sun
  course: EmergenceCourse
  /** Seedlings to be counted on in the end, per cm²: as planned, and as its counts have it. */
  perCm2: number
  /** Oldest first. */
  counts: JudgedCount[]
  learned: LearnedEmergence | undefined
  /** Thin spots as they were walked round, oldest first, with the seed each takes. */
  spots: ThinSpot[]
  /** Green cover as it was seen, oldest first, and what was expected on its day. */
  covers: { seenOn: Day; day: number; share: number; expected: number | null; from: 'photo' | 'eye' }[]
  /** Likeliest first; none where it comes up as expected. */
  causes: GerminationCause[]
  evidence: Evidence
  actions: WatchAction[]
}

/** What becomes of what was sown. */
export interface Watch {
  sownOn: Day
  /** Days since. */
  day: number
  zones: ZoneWatch[]
  /** What the beds have been through by the watering log, by irrigation zone. */
  logs: ({ id: string; name: string; zoneId: string | null } & BedLog)[]
  growth: Growth | undefined
  mowings: { done: Day[]; of: number }
}

export interface WatchAsked {
  job: JobRecord
  lawn: LawnRecord
  firm: FirmRecord
  plan: Pick<JobPlan, 'parts' | 'settings' | 'practices' | 'glance' | 'watering'>
  season: SeasonKnown
  /** Zones whose emergence is worked out. */
  beds: readonly SownZone[]
}

/** Counts are repeated so many days apart while seed comes up. @source own */
const COUNT_EVERY_DAYS = 7
/** Seedlings over so many times a full stand crowd each other. @source own: most of them die of disease or of each other */
const OVERFULL = 1.5

/** Waterings of a day as they were written down, for one irrigation zone. */
function loggedOf(job: JobRecord, sownOn: Day, zoneId: string) {
  const notes = seenOf(job, 'watering', sownOn).filter((note) => note.zoneId === null || note.zoneId === zoneId)
  return (day: Day) => {
    const of = (given: boolean) =>
      notes.filter((note) => note.seenOn === day && note.given === given).flatMap(({ hours }) => hours)
    return { missed: of(false), given: of(true) }
  }
}

/** Rain of each day, as somebody there tells of it before what the station counted; the one written down last counts. */
function rainOf(job: JobRecord, sownOn: Day, { fellOn }: Pick<SeasonKnown, 'fellOn'>) {
  const told = new Map(seenOf(job, 'rain', sownOn).map(({ seenOn, rainMm }) => [seenOn, rainMm]))
  return (day: Day): number => told.get(day) ?? fellOn?.(day) ?? 0
}

/** What each irrigation zone has been through since sowing; none where the season is not worked out. */
export function logsOf({ job, lawn, firm, plan, season }: Omit<WatchAsked, 'beds'>, sownOn: Day): Watch['logs'] {
  const { watering, practices, settings } = plan
  if (!watering || !season.dryingOver || !season.fellOn) return []
  const rainOn = rainOf(job, sownOn, season)
  const zoneOf = new Map(irrigationOf(lawn, zoneSurveysOf(lawn, sownOn)).map(({ id, zoneId }) => [id, zoneId]))
  return wateredBeds({ lawn, firm, practices, settings, sowOn: sownOn }).flatMap((bed) => {
    const zone = watering.wet.find(({ id }) => id === bed.id)
    if (!zone) return []
    const log = followLog({
      bed,
      hours: zone.day.cycles.map(({ hour }) => hour),
      sowOn: sownOn,
      today: firm.today,
      dayOf: (day) => {
        const drying = season.dryingOver!(day, 1)
        // Ahead a dry day is reckoned with; behind, all three are the day itself.
        return { et0Mm: (day > firm.today ? drying?.dry : drying?.usual) ?? 0, rainMm: rainOn(day) }
      },
      loggedOn: loggedOf(job, sownOn, bed.id),
    })
    return [{ id: bed.id, name: bed.name, zoneId: zoneOf.get(bed.id) ?? null, ...log }]
  })
}

const SUNNIER: Record<Sun, number> = { dense: 0, part: 1, full: 2 }

function evidenceOf(
  { job, plan, season }: WatchAsked,
  zone: ZoneSurvey & { sun: Sun },
  looks: readonly (SeenCount | SeenCheck)[],
  course: EmergenceCourse,
  { sownOn, log, sunnierFine }: { sownOn: Day; log: BedLog | undefined; sunnierFine: boolean },
): Evidence {
  const covering = coveringOf(plan.settings.coverMm > 0 ? plan.settings.coverMaterial : 'none')
  const last = looks.at(-1)
  const loose = Math.max(0, daysBetween(sownOn, last?.seenOn ?? sownOn))
  const rainOn = rainOf(job, sownOn, season)
  const heaviest = Math.max(0, ...Array.from({ length: loose + 1 }, (_, i) => rainOn(addDays(sownOn, i))))
  return {
    colderDays: course.up50 !== null && course.usual50 !== null ? course.up50 - course.usual50 : 0,
    foundDry: looks.some(({ moist }) => moist === false),
    missed: log?.missed ?? 0,
    dryHours: log?.dryHours ?? 0,
    seenWashed: looks.some(({ washed }) => washed),
    rainOverMm: Math.max(0, heaviest - WASHES_FROM_MM[covering]),
    seenBirds: looks.some(({ birds }) => birds),
    sun: zone.sun,
    sunnierFine,
  }
}

/** First day after sowing on which a slow year has all up that will come; the end of the course where it never does. */
const allUpAfter = ({ slow }: EmergenceCourse): number => {
  const day = slow.findIndex((share) => share >= ALL_UP)
  return day < 0 ? slow.length : day
}

/** Seed for ground that came up thin, sown by hand once it can be: in a window, weeks after what came is up. */
function reseedOf(
  { plan, firm }: WatchAsked,
  part: Part,
  { areaM2, missingShare, upOn }: { areaM2: number; missingShare: number; upOn: Day },
): WatchAction {
  const { settings, planning } = part
  const from = latestOf([addDays(upOn, planning.weakFirst), firm.today])
  const window = plan.glance?.windows.find(({ to }) => to >= from)
  const soon = window && (window.from <= from ? from : window.from)
  const rateShare = Math.max(LEAST_RATE_SHARE, missingShare)
  return {
    code: 'reseed',
    areaM2,
    rateShare,
    massKg: seedNeed(areaM2, settings.seedRateGPerM2 * rateShare, settings.lot, PLAN_RATE).product.value,
    from,
    on: soon ?? null,
  }
}

function actionsOf(
  asked: WatchAsked,
  zone: Omit<ZoneWatch, 'actions'>,
  part: Part | undefined,
  sownOn: Day,
): WatchAction[] {
  const { today } = asked.firm
  const { counts, course, learned, causes, perCm2, areaM2 } = zone
  const last = counts.at(-1)
  const allUpOn = addDays(sownOn, allUpAfter(course))
  const delayDays = Math.max(0, Math.round(learned?.delayDays ?? 0))
  const upOn = addDays(sownOn, (course.up50 ?? COUNT_EVERY_DAYS) + delayDays)
  // Nothing more is sown while what is there may still come; late is told from thin by the counts.
  const comesUntil = addDays(allUpOn, delayDays)
  // What was walked round is known better than what frames stand for.
  if (zone.spots.length && part) {
    const dry: WatchAction[] = zone.spots.some(({ cause }) => cause === 'dry') ? [{ code: 'water' }] : []
    if (comesUntil > today) return [...dry, { code: 'wait', until: comesUntil }]
    return [...dry, reseedOf(asked, part, { ...spotsTogether(zone.spots), upOn })]
  }
  const firstCount = addDays(sownOn, course.up50 ?? COUNT_EVERY_DAYS)
  const water: WatchAction[] = causes[0] === 'dry' ? [{ code: 'water' }] : []
  if (!last) return [...water, { code: 'count', on: latestOf([firstCount, today]) }]
  const next: WatchAction = { code: 'count', on: latestOf([addDays(last.seenOn, COUNT_EVERY_DAYS), today]) }
  if (last.state === 'early') return [...water, next]
  const full = part && enoughSeedsPerCm2(part.seed)[1] * part.planning.fieldCovered
  if (full && last.interval.mean / (last.frameMm / 10) ** 2 > OVERFULL * full) return [{ code: 'overfull' }]
  const low = last.state === 'behind' || last.state === 'failed'
  if (!low && !last.weak.length) return [...water, allUpOn > today ? next : { code: 'nothing' }]
  // Sown again since it was counted: what comes of that is counted once half of it can be up.
  const resown = resownOn(asked.job)
  if (resown && resown >= last.seenOn)
    return [...water, { code: 'count', on: latestOf([addDays(resown, course.up50 ?? COUNT_EVERY_DAYS), today]) }]
  if (low && last.state !== 'failed' && comesUntil > last.seenOn)
    return [...water, { code: 'wait', until: latestOf([comesUntil, today]) }]
  if (!part) return [...water, next]
  const thin = last.weak.map((i) => last.seedlings[i]!)
  // Frames that stand alone stand for so much of the ground; where all are low it is all of it.
  const patch = last.weak.length > 0 && last.weak.length < last.seedlings.length
  const stands = patch
    ? thin.reduce((sum, count) => sum + count, 0) / thin.length / (perCm2 * (last.frameMm / 10) ** 2)
    : (learned?.factor ?? last.interval.mean / Math.max(1e-9, last.expected))
  return [
    ...water,
    reseedOf(asked, part, {
      areaM2: patch ? (areaM2 * last.weak.length) / last.seedlings.length : areaM2,
      missingShare: 1 - Math.min(1, stands),
      upOn,
    }),
  ]
}

/** Green cover of a zone as it was seen, beside what was expected. */
const coversOf = (job: JobRecord, zoneId: string, { cover }: EmergenceCourse, sownOn: Day): ZoneWatch['covers'] =>
  seenOf(job, 'cover', sownOn)
    .filter((seen) => seen.zoneId === zoneId)
    .map(({ seenOn, coverShare, from }) => {
      const day = daysBetween(sownOn, seenOn)
      return { seenOn, day, share: coverShare, expected: cover?.[Math.min(day, cover.length - 1)] ?? null, from }
    })

/** Whatever zone has its part: by name, as parts have them. */
const partOf = (parts: readonly Part[], { name }: { name: string }): Part | undefined =>
  parts.find(({ zones }) => zones.includes(name)) ?? parts[0]

function watchedZones(asked: WatchAsked, sownOn: Day, logs: Watch['logs']): ZoneWatch[] {
  const { job, lawn, beds, plan } = asked
  const surveys = zoneSurveysOf(lawn, sownOn)
  const counted = beds.flatMap(({ zoneId, course }) => {
    const zone = surveys.find(({ id }) => id === zoneId)
    if (!zone || course.perCm2 === null || !(course.perCm2 > 0)) return []
    const looks = seenOf(job, ['count', 'check'], sownOn).filter((look) => look.zoneId === zoneId)
    const seen = looks.filter((look) => look.kind === 'count')
    const { perCm2 } = course
    return [
      {
        zone: { ...zone, sun: surveyOver([zone], lawn.texture).sun },
        course,
        perCm2,
        looks,
        counts: seen.map((count) => judgeCount(count, course, sownOn, perCm2)),
        learned: learnEmergence(seen, course, sownOn, perCm2),
      },
    ]
  })
  return counted.map(({ zone, course, perCm2, looks, counts, learned }): ZoneWatch => {
    const last = counts.at(-1)
    const sunnierFine = counted.some(
      (other) =>
        SUNNIER[other.zone.sun] > SUNNIER[zone.sun] && ['on track', 'ahead'].includes(other.counts.at(-1)?.state ?? ''),
    )
    // What waters this ground, or the whole lawn; what another zone went through tells nothing of it.
    const log = logs.find(({ zoneId }) => zoneId === zone.id) ?? logs.find(({ zoneId }) => zoneId === null)
    const evidence = evidenceOf(asked, zone, looks, course, { sownOn, log, sunnierFine })
    const low = last && (last.state === 'behind' || last.state === 'failed' || last.weak.length > 0)
    const { id, name, areaM2, sun } = zone
    const part = partOf(plan.parts, zone)
    const watch = {
      ...{ id, name, areaM2, sun, course, perCm2, counts, learned, evidence },
      spots: spotsOf(asked.job, id, part, sownOn),
      covers: coversOf(asked.job, id, course, sownOn),
      causes: low ? likelyCauses(evidence) : looks.at(-1)?.moist === false ? (['dry'] as const).slice() : [],
    }
    return { ...watch, actions: actionsOf(asked, watch, part, sownOn) }
  })
}

/**
 * What becomes of what was sown: each zone's counts beside what was expected, why it is behind and what to do, what the beds
 * have been through, and leaves and mowings.
 * @returns undefined while seed is not down on all of it
 */
export function watchOf(asked: WatchAsked): Watch | undefined {
  const { job, firm, plan, season } = asked
  const sownOn = putDownOn({ programme: job.programme, marks: job.done })
  if (!sownOn || plan.parts[0]?.programme.anchor !== 'seeding') return undefined
  const logs = logsOf(asked, sownOn)
  return {
    sownOn,
    day: daysBetween(sownOn, firm.today),
    zones: watchedZones(asked, sownOn, logs),
    logs,
    growth: growthOf({ job, parts: plan.parts, season }, sownOn),
    mowings: { done: mowingsDone(job), of: RELEASING_MOWINGS },
  }
}
