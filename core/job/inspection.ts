import { DENSE_SHARE } from '../establishment/stand'
import { RELEASING_MOWINGS } from '../establishment/growth'
import { say, type Message } from '../explain/message'
import type { GrassCode } from '../grass/grasses'
import type { SwardCode } from '../grass/swards'
import { countInterval, type CountInterval } from '../learning/intervals'
import { addDays, daysBetween, latestOf, type Day } from '../measure/calendar'
import { mainOf } from '../seed/blends'
import type { ZoneSurvey } from '../site/zone'
import { PROGRAMMES } from './decision/programmes'
import { zoneSurveysOf } from './lawn'
import { doneByKey } from './marks'
import { nextSeasonOf, type NextStep } from './nextSeason'
import type { Definition, Wanted } from './operations/definition'
import { isVisit, numberOf, operationOf, OPERATIONS } from './operations/registry'
import type { JobPlan } from './planJob'
import { AFTER_EMERGENCE_DAYS } from './price'
import type { Promised } from './promise'
import type { FirmRecord, JobRecord, LawnRecord, Mark } from './records'
import { mowingsDone, seenOf } from './seenGrowth'
import { putDownOn } from './states'

/** A zone before the job and now. Shares are 0-1 of its ground. */
export interface InspectedZone {
  id: string
  name: string
  areaM2: number
  stood: SwardCode | null
  wanted: GrassCode
  before: { cover: number; weeds: number; coarse: number }
  /** Green cover as it was seen last; null where nobody looked. */
  cover: { share: number; seenOn: Day; from: 'photo' | 'eye'; photoId: string | null } | null
  /** Seedlings of the last count. */
  count: { seenOn: Day; frameMm: number; frames: number; interval: CountInterval } | null
}

/** How what came up stands, by the cover seen last of all zones. */
export type StandVerdict = 'dense' | 'filling' | 'thin' | 'not seen'

/** Work that was done, with what the plan had it use. */
export interface DoneWorkLine {
  key: string
  name: Message
  on: Day
  uses: readonly Wanted[]
}

/** A job at its end: before and now, what was told and what came, what was done, and what the next season wants. Plain data. */
export interface Inspection {
  on: Day
  sownOn: Day
  zones: InspectedZone[]
  stands: { verdict: StandVerdict; cover: number | null; coverBefore: number }
  /** Null where no schedule was ever confirmed. */
  promised: Promised | null
  /** What was recorded of the same; null where nobody recorded it. */
  came: { upOn: Day | null; firstMowOn: Day | null; inUseOn: Day | null }
  mowings: { done: number; of: number }
  done: DoneWorkLine[]
  next: NextStep[]
}

/** Cover from which a stand closes by itself as it tillers. @source own */
const FILLING_SHARE = 0.7

const weighted = (zones: readonly { areaM2: number; share: number }[]): number =>
  zones.reduce((sum, { areaM2, share }) => sum + areaM2 * share, 0) / zones.reduce((sum, { areaM2 }) => sum + areaM2, 0)

function zoneOf(job: JobRecord, zone: ZoneSurvey, sownOn: Day): InspectedZone {
  const last = <T extends { zoneId: string | null }>(seen: readonly T[]) =>
    seen.filter(({ zoneId }) => zoneId === zone.id).at(-1)
  const cover = last(seenOf(job, 'cover', sownOn))
  const count = last(seenOf(job, 'count', sownOn))
  return {
    id: zone.id,
    name: zone.name,
    areaM2: zone.areaM2,
    stood: zone.sward,
    wanted: zone.grass,
    before: { cover: 1 - zone.bareShare, weeds: zone.weedShare, coarse: zone.coarseShare },
    cover: cover ? { share: cover.coverShare, seenOn: cover.seenOn, from: cover.from, photoId: cover.photoId } : null,
    count: count
      ? {
          seenOn: count.seenOn,
          frameMm: count.frameMm,
          frames: count.seedlings.length,
          interval: countInterval(count.seedlings),
        }
      : null,
  }
}

function standsOf(zones: readonly InspectedZone[]): Inspection['stands'] {
  const coverBefore = weighted(zones.map(({ areaM2, before }) => ({ areaM2, share: before.cover })))
  const seen = zones.flatMap(({ areaM2, cover }) => (cover ? [{ areaM2, share: cover.share }] : []))
  if (!seen.length) return { verdict: 'not seen', cover: null, coverBefore }
  const cover = weighted(seen)
  return { verdict: cover >= DENSE_SHARE ? 'dense' : cover >= FILLING_SHARE ? 'filling' : 'thin', cover, coverBefore }
}

/** First day on which somebody saw green come: a count with seedlings, or a visit that looks for them. */
function seenUpOn(job: JobRecord, sownOn: Day): Day | null {
  const counted = seenOf(job, 'count', sownOn).find(({ seedlings }) => seedlings.some((count) => count > 0))?.seenOn
  const visited = job.done
    .filter(({ key, passed, doneOn }) => operationOf(key)?.seesEmergence && passed && doneOn >= sownOn)
    .map(({ doneOn }) => doneOn)
    .sort()[0]
  return [counted, visited].filter((day) => day !== undefined).sort()[0] ?? null
}

/** In use once it was mowed four times and six weeks have gone since it came up, as the estimate has it. */
function inUseOn(mowed: readonly Day[], upOn: Day | null): Day | null {
  const fourth = mowed[RELEASING_MOWINGS - 1]
  return fourth ? latestOf([fourth, ...(upOn ? [addDays(upOn, AFTER_EMERGENCE_DAYS)] : [])]) : null
}

/** Turns that a plan counts one by one have a name each: the second mowing is not the first again. */
function turnNameOf(key: string, operation: Definition): Message {
  const counting = (OPERATIONS as readonly Definition[]).find(
    ({ wantsTurns }) => wantsTurns?.one && wantsTurns.of === operation.code,
  )
  const number = numberOf(key)
  return counting && number > 1 ? say(counting.wantsTurns!.one!, { number }) : operation.name
}

function doneLines(done: readonly Mark[], plan: Pick<JobPlan, 'schedule'>): DoneWorkLine[] {
  const tasks = new Map(plan.schedule?.tasks.map((task) => [task.key, task]))
  return [...doneByKey(done).done]
    .flatMap(([key, { day }]): DoneWorkLine[] => {
      const task = tasks.get(key)
      const operation = operationOf(key)
      // Calls and deliveries are the firm's own affair.
      if (operation && !isVisit(operation)) return []
      const name = task?.name ?? (operation && turnNameOf(key, operation))
      return name ? [{ key, name, on: day, uses: task?.wanted ?? [] }] : []
    })
    .sort((a, b) => daysBetween(b.on, a.on))
}

/**
 * A job at its final inspection.
 * @param promised what was told when its schedule was confirmed
 * @returns undefined while seed is not down on all of it, or nothing was sown
 */
export function inspectionOf(
  { job, lawn, firm, plan }: { job: JobRecord; lawn: LawnRecord; firm: FirmRecord; plan: JobPlan },
  promised: Promised | null,
): Inspection | undefined {
  const sownOn = putDownOn({ programme: job.programme, marks: job.done })
  if (!sownOn || !job.programme || PROGRAMMES[job.programme].anchor !== 'seeding') return undefined
  const surveys = zoneSurveysOf(lawn, sownOn).filter(({ id }) => job.zonePlans[id]?.programme !== 'leave')
  if (!surveys.length) return undefined
  const zones = surveys.map((zone) => zoneOf(job, zone, sownOn))
  const mowed = mowingsDone(job)
  const mowings = { done: Math.min(mowed.length, RELEASING_MOWINGS), of: RELEASING_MOWINGS }
  const upOn = seenUpOn(job, sownOn)
  return {
    on: firm.today,
    sownOn,
    zones,
    stands: standsOf(zones),
    promised,
    came: { upOn, firstMowOn: mowed[0] ?? null, inUseOn: inUseOn(mowed, upOn) },
    mowings,
    done: doneLines(job.done, plan),
    next: nextSeasonOf({
      job,
      lawn,
      plan,
      sownOn,
      mowings,
      today: firm.today,
      zones: surveys.map((survey, i) => ({ survey, cover: zones[i]!.cover?.share ?? null })),
    }),
  }
}

/** What stands on a zone after a job, in the answers of a survey. */
export interface ZoneStands {
  sward: SwardCode
  desirableShare: number
  weedShare: number
  coarseShare: number
  bareShare: number
}

/**
 * What a survey says of each zone whose cover was seen: the grass that was sown where all else was killed or nothing stood, what
 * stood there with it otherwise. Weeds that were not killed are taken to cover
 * what they did, and to have thinned with the rest where there is less green.
 * @returns by zone; nothing of zones nobody looked at
 */
export function standsAfter({ zones }: Pick<Inspection, 'zones'>, job: JobRecord, plan: Pick<JobPlan, 'parts'>) {
  const kept = job.programme !== null && PROGRAMMES[job.programme].keepsTurf
  const seed = plan.parts[0]?.seed
  return Object.fromEntries(
    zones.flatMap(({ id, cover, before, stood, wanted }): [string, ZoneStands][] => {
      if (!cover) return []
      const green = kept && before.cover > 0 ? Math.min(1, cover.share / before.cover) : 0
      const [weedShare, coarseShare] = [before.weeds * green, before.coarse * green]
      return [
        [
          id,
          {
            sward: kept && stood ? stood : seed ? mainOf(seed) : wanted,
            desirableShare: cover.share - weedShare - coarseShare,
            weedShare,
            coarseShare,
            bareShare: 1 - cover.share,
          },
        ],
      ]
    }),
  )
}
