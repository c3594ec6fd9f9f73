import { LIFT_MM, liftShares } from '../../site/hollow'
import { LOADS_M3 } from '../carrying'
import { soilOf, wantsRelaying, type Part } from '../parts'

/** What of a hollow's soil and ground each lift takes. */
export function sharesOf(part: Part): ReturnType<typeof liftShares> {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  return liftShares(deepestMm, overM2 ? (volumeM3 / overM2) * 1000 : deepestMm)
}

/** Lifts that a seeding over living turf leaves for when the new grass bears them. */
export const laterLifts = (part: Part): ReturnType<typeof liftShares> =>
  part.programme.keepsTurf &&
  part.programme.anchor === 'seeding' &&
  soilOf(part).deepestMm > LIFT_MM &&
  !wantsRelaying(part)
    ? sharesOf(part).slice(1)
    : []

/** Lifts after the first, whether under seed that waits or on turf that is dressed again and again. */
const afterTheFirst = (part: Part): ReturnType<typeof liftShares> =>
  part.programme.anchor === 'dressing' && !wantsRelaying(part) && soilOf(part).volumeM3 > 0
    ? sharesOf(part).slice(1)
    : laterLifts(part)

/** Soil of each lift after the first, over some parts, m³ loose. */
export function laterLiftsM3(parts: readonly Part[]): number[] {
  const lifts = parts.map((part) => afterTheFirst(part).map(({ volumeShare }) => volumeShare * soilOf(part).volumeM3))
  const most = Math.max(0, ...lifts.map((of) => of.length))
  return Array.from({ length: most }, (_, i) => lifts.reduce((sum, of) => sum + (of[i] ?? 0), 0))
}

/** Less soil than this comes in buckets on the van, m³: three barrow loads. @source own */
export const TIPPED_FROM_M3 = 0.25

/** Soil that goes down first, m³ loose: of living turf no more than a lift. */
export const soilNowM3 = (part: Part): number => soilOf(part).volumeM3 * firstShare(part)
/** Soil for the lifts after it, m³ loose; a bucket or less is not worth telling. */
export function soilLaterM3(part: Part): number {
  const m3 = soilOf(part).volumeM3 - soilNowM3(part)
  return m3 < LOADS_M3.bucket ? 0 : m3
}
export const firstShare = (part: Part): number => (afterTheFirst(part).length ? sharesOf(part)[0]!.volumeShare : 1)
