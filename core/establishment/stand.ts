import type { Grass, GrassCode } from '../grass/grasses'
import { dayReached, firstMowHeightMm, thermalTimeToHeight } from './growth'
import type { SeasonYear } from './season'

/**
 * Ground that one plant covers in the end, as it tillers or spreads, cm², and thermal time of soil at 50 mm from its emergence
 * to half of that, °C·d. @source own, agreeing with covers of the trade
 */
const PLANTS: Readonly<Record<GrassCode, readonly [largestCm2: number, middleCd: number]>> = {
  PRG: [2.5, 390],
  TF: [2.5, 390],
  ARG: [2.5, 390],
  IRG: [2.5, 390],
  CHF: [2, 450],
  HF: [2, 450],
  CRF: [3, 450],
  KBG: [3, 900],
  RBG: [4, 500],
  CBG: [4, 700],
  BER: [6, 450],
  ZOY: [4, 900],
}
const SPREADS_OVER_CD = 120
/** From this share of grass that is kept, seedlings come up among it. @source own */
const AMONG_GRASS_FROM = 0.3
/** Looked at so long after sowing, d. */
export const COVER_AFTER_DAYS = 42
/** Cover from which a sward is dense. */
export const DENSE_SHARE = 0.9
/** The last cut before sowing is made so many days ahead. @source own, the scalp's preferred day */
const SCALPED_BEFORE_DAYS = 3

/** What stands and what is sown, for the cover of a bed. */
export interface Stand {
  /** The grass that stands there; null where none is known, or all of it is killed. */
  old: Grass | null
  /** Of the ground that old grass covers, 0-1. */
  keptShare: number
  /** Cut down to before sowing, mm. */
  scalpToMm: number
  liveSeedsPerCm2: number
  buried: boolean
  /** Of live seed, what stands up in the field, 0-1. */
  fieldShare: number
}

/** How seed lies, each with a planning figure of its own: raked in or covered, on the surface, among standing grass. */
export const FIELD_BEDS = ['fieldCovered', 'fieldSurface', 'fieldAmongGrass'] as const
export type FieldBed = (typeof FIELD_BEDS)[number]

/** How seed lies in a bed, for what of it comes up. */
export const bedOf = ({ keptShare, buried }: Pick<Stand, 'keptShare' | 'buried'>): FieldBed =>
  keptShare >= AMONG_GRASS_FROM ? 'fieldAmongGrass' : buried ? 'fieldCovered' : 'fieldSurface'

/** @param thermalCd °C·d of soil at 50 mm since emergence @returns cm² that one plant covers */
export function plantCm2(grass: GrassCode, thermalCd: number): number {
  const [largest, middle] = PLANTS[grass]
  return largest / (1 + Math.exp((middle - thermalCd) / SPREADS_OVER_CD))
}

/** Plants of one grass on a square centimetre, and how far they have come. */
export interface Plants {
  grass: GrassCode
  perCm2: number
  /** °C·d of soil at 50 mm since emergence; below 0 while they are not up. */
  thermalCd: number
}

/** Share of the ground that plants and the old grass between them cover: 1 − exp(−n·a), and the old sward's beside it. */
export function coverShare(plants: readonly Plants[], oldShare = 0): number {
  let covered = 0
  for (const { grass, perCm2, thermalCd } of plants) if (thermalCd >= 0) covered += perCm2 * plantCm2(grass, thermalCd)
  return coverBy(covered, oldShare)
}

/** @param covered cm² that plants reach on each cm² of ground, one over the other */
const coverBy = (covered: number, oldShare: number): number => 1 - (1 - oldShare) * Math.exp(-covered)

/** Seedlings to be counted on, per cm². */
export const seedlingsPerCm2 = ({ liveSeedsPerCm2, fieldShare }: Stand): number => liveSeedsPerCm2 * fieldShare

/** Running sums of thermal time of soil at 50 mm in one year, over the base of each season's grasses. */
export type SoilCourse50 = Readonly<Record<Grass['season'], Float64Array>>

export function soilCourseOf({ soil: { probeDailyC } }: Pick<SeasonYear, 'soil'>): SoilCourse50 {
  const over = (baseC: number) => {
    const course = new Float64Array(probeDailyC.length)
    let sum = 0
    for (let i = 0; i < course.length; i++) course[i] = sum += Math.max(0, probeDailyC[i]! - baseC)
    return course
  }
  return { cool: over(5), warm: over(10) }
}

/** What comes up of a sowing in one year: its grasses by number, with their days of median emergence. */
export type ComingUp = readonly { grass: Grass; countShare: number; up50: number }[]

/** Cover of the bed at the end of a day, 0-1. */
export function coverOn(stand: Stand, course: SoilCourse50, coming: ComingUp, day: number): number {
  const perCm2 = seedlingsPerCm2(stand)
  const last = Math.min(day, course.cool.length - 1)
  let covered = 0
  for (const { grass, countShare, up50 } of coming) {
    if (up50 > last) continue
    const sums = course[grass.season]
    covered += perCm2 * countShare * plantCm2(grass.code, sums[last]! - (up50 > 0 ? sums[up50 - 1]! : 0))
  }
  return coverBy(covered, stand.keptShare)
}

/** First day on which the bed is dense in one year; Infinity where it is not within the series. */
export function denseIndex(stand: Stand, course: SoilCourse50, coming: ComingUp, sown: number): number {
  let [low, high] = [sown, course.cool.length - 1]
  if (coverOn(stand, course, coming, high) < DENSE_SHARE) return Infinity
  while (low < high) {
    const middle = (low + high) >> 1
    if (coverOn(stand, course, coming, middle) >= DENSE_SHARE) high = middle
    else low = middle + 1
  }
  return low
}

/**
 * Day on which the old grass, cut before sowing, wants mowing again in one weather year; Infinity where growth stops
 * first or nothing stands.
 * @param course of its leaves
 */
export function oldMowIndex({ old, scalpToMm }: Stand, course: Float64Array, sown: number, keptMm: number): number {
  if (!old) return Infinity
  const wanted = thermalTimeToHeight(old, firstMowHeightMm(keptMm)) - thermalTimeToHeight(old, scalpToMm)
  return Math.max(sown, dayReached(course, Math.max(0, sown - SCALPED_BEFORE_DAYS), wanted))
}
