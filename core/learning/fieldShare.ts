import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import type { FieldBed } from '../establishment/stand'
import type { Day } from '../measure/calendar'

/** Of the live seed of a zone, what stood up, by its last count once all was up. Plain data, kept with the job. */
export interface FieldCount {
  bed: FieldBed
  seenOn: Day
  /** 0-1 of live seed. */
  share: number
  frames: number
  seedlings: number
}

/** What a firm's own counts say of one kind of bed, beside the figure it plans with. */
export interface FieldProposal {
  bed: FieldBed
  planning: number
  /** Mean of the posterior with its 90 % interval. */
  share: number
  low: number
  high: number
  zones: number
  seedlings: number
  /** There is enough of it, and the figure in use lies outside of the interval. */
  differs: boolean
}

/**
 * What is taken to be known before a firm's own counts: the usual figure, worth so many zones, that differ by so much. Not the figure
 * in use: that may come from the same counts already.
 * @source own
 */
export const FIELD_PRIOR = { zones: 4, shape: 2, spread: 0.15 } as const
/** With fewer zones nothing is proposed. @source own */
const LEAST_ZONES = 5

/**
 * Of several zones, the share of live seed that comes up: a normal mean of unknown variance with its conjugate prior, so that a
 * few lucky lawns move little.
 * @param usual the figure that is ours, 0-1 @param planning the one in use
 * @returns undefined where nothing was counted
 * @source statistics textbooks: normal and inverse gamma prior, the mean has a t distribution; the prior is own
 */
export function proposeFieldShare(
  bed: FieldBed,
  counts: readonly FieldCount[],
  { usual, planning }: { usual: number; planning: number },
): FieldProposal | undefined {
  const shares = counts.filter((count) => count.bed === bed).map(({ share }) => share)
  const n = shares.length
  if (!n) return undefined
  const { zones, shape, spread } = FIELD_PRIOR
  const mean = shares.reduce((sum, share) => sum + share, 0) / n
  const squares = shares.reduce((sum, share) => sum + (share - mean) ** 2, 0)
  const weight = zones + n
  const share = (zones * usual + n * mean) / weight
  const shapeAfter = shape + n / 2
  const scale = shape * spread ** 2 + squares / 2 + (zones * n * (mean - usual) ** 2) / (2 * weight)
  const half = tQuantile(0.95, 2 * shapeAfter) * Math.sqrt(scale / (shapeAfter * weight))
  const [low, high] = [Math.max(0, share - half), Math.min(1, share + half)]
  const seedlings = counts.filter((count) => count.bed === bed).reduce((sum, count) => sum + count.seedlings, 0)
  return {
    bed,
    planning,
    share,
    low,
    high,
    zones: n,
    seedlings,
    differs: n >= LEAST_ZONES && (planning < low || planning > high),
  }
}
