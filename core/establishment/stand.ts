import { growthBaseC, type Grass } from '../grass/grasses'
import { firstMowHeightMm, thermalTimeToHeight } from './growth'
import type { SeasonYear } from './season'

/**
 * Ground that one seedling covers, cm²: at emergence, in the end, and how it gets there with thermal time of air
 * above 5 °C. @source ownown
 */
const FOOTPRINT = { firstCm2: 0.05, lastCm2: 1, middleCd: 350, scaleCd: 90 } as const
const COVER_BASE_C = 5
/**
 * Of live seed, how much stands up in the field: raked in and covered, on the surface, or among standing grass.
 * @source ownown
 */
export const FIELD_SHARE = { covered: 0.6, surface: 0.4, amongGrass: 0.3 } as const
/** From this share of grass that is kept, seedlings come up among it. @source own */
const AMONG_GRASS_FROM = 0.3
/** Looked at so long after sowing, d. */
export const COVER_AFTER_DAYS = 42
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
}

/** @param thermalCd °C·d of air above 5 °C since emergence @returns cm² @source own*/
export const footprintCm2 = (thermalCd: number): number =>
  FOOTPRINT.firstCm2 +
  (FOOTPRINT.lastCm2 - FOOTPRINT.firstCm2) / (1 + Math.exp(-(thermalCd - FOOTPRINT.middleCd) / FOOTPRINT.scaleCd))

/**
 * Share of the ground that seedlings and the old grass between them cover. @source own: 1 − exp(−n·a), and
 * the old sward's beside it
 */
export const coverShare = (seedlingsPerCm2: number, thermalCd: number, oldShare = 0): number =>
  1 - (1 - oldShare) * Math.exp(-seedlingsPerCm2 * footprintCm2(thermalCd))

/** Seedlings to be counted on, per cm². */
export function seedlingsPerCm2({ liveSeedsPerCm2, buried, keptShare }: Stand): number {
  return (
    liveSeedsPerCm2 *
    (keptShare >= AMONG_GRASS_FROM ? FIELD_SHARE.amongGrass : buried ? FIELD_SHARE.covered : FIELD_SHARE.surface)
  )
}

const airCd = ({ weather: { tmaxC, tminC } }: SeasonYear, day: number, baseC: number) =>
  Math.max(0, (tmaxC[day]! + tminC[day]!) / 2 - baseC)

/** Cover of the bed six weeks after sowing in one weather year, 0-1. @param upIndex day of median emergence */
export function coverOf(stand: Stand, year: SeasonYear, sown: number, upIndex: number): number {
  const end = Math.min(sown + COVER_AFTER_DAYS, year.weather.tmaxC.length)
  let thermalCd = 0
  for (let d = upIndex; d < end; d++) thermalCd += airCd(year, d, COVER_BASE_C)
  return upIndex < end ? coverShare(seedlingsPerCm2(stand), thermalCd, stand.keptShare) : stand.keptShare
}

/**
 * Day on which the old grass, cut before sowing, wants mowing again in one weather year; Infinity where growth stops
 * first or nothing stands.
 */
export function oldMowIndex({ old, scalpToMm }: Stand, year: SeasonYear, sown: number, keptMm: number): number {
  if (!old) return Infinity
  const target = thermalTimeToHeight(old, firstMowHeightMm(keptMm)) - thermalTimeToHeight(old, scalpToMm)
  const baseC = growthBaseC(old)
  let sum = 0
  for (let d = Math.max(0, sown - SCALPED_BEFORE_DAYS); d < year.weather.tmaxC.length; d++) {
    sum += airCd(year, d, baseC)
    if (sum >= target) return Math.max(d, sown)
  }
  return Infinity
}
