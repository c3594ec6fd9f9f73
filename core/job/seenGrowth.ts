import { firstMowHeightMm, keptHeightMm } from '../establishment/growth'
import { growthLine, lagDays, movedBy, TALL_MM, type GrowthLine } from '../learning/height'
import { LEAF_STAGES, leavesOf, stageFrom, stageLagDays, type LeafStage } from '../learning/leafStage'
import type { Seen } from '../learning/seen'
import { daysBetween, type Day } from '../measure/calendar'
import { isCutLow } from './decision/practiceFigures'
import { doneByKey } from './marks'
import { STANDING_LEAVES, type VisitTold } from './operations/asked'
import { turnsDone } from './operations/gates'
import { OPERATIONS } from './operations/registry'
import type { Part } from './parts'
import type { JobRecord } from './records'
import type { SeasonKnown } from './season'

/** Leaves by the season and as they were measured. */
export interface Growth {
  line: GrowthLine
  firstMowMm: number
  keptMm: number
  heights: { day: number; heightMm: number; zoneId: string | null }[]
  /** Days by which what was seen last lags behind the line, and the day it was seen; undefined where nobody looked. */
  lag: number | undefined
  seenDay: number | undefined
  /** Day on which leaves were first seen to stand at 25 mm or more. */
  tallDay: number | undefined
  /** Day on which they were last seen to be shorter, before that. */
  shortDay: number | undefined
  /** Days after sowing on which seedlings come into each stage, moved by that lag. */
  stages: { stage: LeafStage; day: number }[]
  /** The old grass by the season: as it was cut, and days after sowing until it wants mowing; null where none stays. */
  old: { fromMm: number; mowDay: number } | null
  /** Days after sowing of the first mowing, as the season has it and as it was measured. */
  mow: { early: number; middle: number; late: number }
}

/** What was seen of some kinds since sowing, oldest first. */
export const seenOf = <K extends Seen['kind']>(
  job: JobRecord,
  kinds: K | readonly K[],
  sownOn: Day,
): Extract<Seen, { kind: K }>[] =>
  (job.seen ?? [])
    .filter(
      (one): one is Extract<Seen, { kind: K }> =>
        [kinds].flat().some((kind) => kind === one.kind) && one.seenOn >= sownOn,
    )
    .sort((a, b) => daysBetween(b.seenOn, a.seenOn))

/** What was answered at the visits of a job, the last of each task. */
export const visitsOf = ({ seen = [] }: Pick<JobRecord, 'seen'>): Map<string, VisitTold> =>
  new Map(
    seen
      .flatMap((one) => (one.kind === 'visit' ? [one] : []))
      .sort((a, b) => daysBetween(b.seenOn, a.seenOn))
      .map(({ task, seenOn, answers }) => [task, { seenOn, answers }]),
  )

/** Leaves that were measured at a visit, of the whole lawn. */
const heightsOfVisits = (job: JobRecord, sownOn: Day) =>
  seenOf(job, 'visit', sownOn).flatMap(({ seenOn, zoneId, answers: { [STANDING_LEAVES]: heightMm } }) =>
    typeof heightMm === 'number' ? [{ kind: 'height' as const, seenOn, zoneId, heightMm }] : [],
  )

/** Mowings of seedlings that are recorded, by day. */
export function mowingsDone({ done }: Pick<JobRecord, 'done'>): Day[] {
  const opens = OPERATIONS.find(({ opensLawn }) => opensLawn)!
  const made = doneByKey(done).done
  return turnsDone(made, opens.code)
    .map((key) => made.get(key)!.day)
    .sort()
}

/**
 * Leaves since sowing by the season, moved by what was measured.
 * @returns undefined where the season does not tell emergence or the first mowing
 */
export function growthOf(
  { job, parts, season }: { job: JobRecord; parts: readonly Part[]; season: SeasonKnown },
  sownOn: Day,
): Growth | undefined {
  const part = parts[0]
  const sowing = season.glance?.(sownOn)?.sowing
  if (!part || !sowing?.up || !sowing.mow) return undefined
  const keptMm = keptHeightMm(part.grass, part.survey.mowingHeightMm)
  const firstMowMm = firstMowHeightMm(keptMm, isCutLow(part.practices, keptMm))
  const line = growthLine({ up: sowing.up, tall: season.sownAt?.(sownOn)?.tall ?? null, mow: sowing.mow, firstMowMm })
  const [mown] = mowingsDone(job)
  const looked = [...seenOf(job, ['height', 'leaf'], sownOn), ...heightsOfVisits(job, sownOn)]
    .sort((a, b) => daysBetween(b.seenOn, a.seenOn))
    // What was cut tells of the mower.
    .filter(({ seenOn }) => !mown || seenOn <= mown)
    .map((one) => ({ ...one, day: daysBetween(sownOn, one.seenOn) }))
  const heights = looked.flatMap((one) =>
    one.kind === 'height' ? [{ day: one.day, heightMm: one.heightMm, zoneId: one.zoneId }] : [],
  )
  // Of one day what was written down last counts.
  const last = looked.at(-1)
  const lag =
    last && (last.kind === 'leaf' ? stageLagDays(line, last.day, last.stage) : lagDays(line, last.day, last.heightMm))
  const isTall = (one: (typeof looked)[number]) => (one.kind === 'leaf' ? leavesOf(one.stage) : one.heightMm) >= TALL_MM
  const tallDay = looked.find(isTall)?.day
  const shortDay = looked.findLast((one) => !isTall(one) && one.day < (tallDay ?? Infinity))?.day
  const mow = last && lag !== undefined ? movedBy(sowing.mow, lag, last.day) : sowing.mow
  const stages = LEAF_STAGES.map((stage) => ({ stage, day: Math.round(stageFrom(line, stage) + (lag ?? 0)) }))
  const oldMow = part.programme.keepsTurf ? season.sownAt?.(sownOn)?.stand?.oldMow : null
  const old = oldMow ? { fromMm: part.settings.scalpToMm, mowDay: oldMow } : null
  return { line, firstMowMm, keptMm, heights, lag, seenDay: last?.day, tallDay, shortDay, stages, old, mow }
}

/** How far seedlings have come as it was seen, in days after sowing: it ends phases before the season does. */
export interface SeenEnds {
  /** Leaves were short yet, and at 25 mm. */
  shortDay: number | undefined
  tallDay: number | undefined
  /** By how much they lag as they were seen last. */
  lag: { days: number; on: number } | undefined
  /** Mowings, the first of them first. */
  mowings: readonly number[]
}

/** What was seen of a bed that ends the phases of its watering; nothing before it is sown. */
export function seenEnds(job: JobRecord, growth: Growth | undefined, sownOn: Day): SeenEnds {
  const mowings = mowingsDone(job).map((day) => daysBetween(sownOn, day))
  const { lag, seenDay, shortDay, tallDay } = growth ?? {}
  return {
    shortDay,
    tallDay,
    lag: lag === undefined || seenDay === undefined ? undefined : { days: lag, on: seenDay },
    mowings,
  }
}
