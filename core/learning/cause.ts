import type { Sun } from '../soil/soilCourse'

/** What is known of a bed that came up worse than expected. */
export interface Evidence {
  /** Days by which this season brings half of the seed up later than a usual one. */
  colderDays: number
  /** The top was found dry, waterings that were missed, and hours of daylight the bed was too dry as watered. */
  foundDry: boolean
  missed: number
  dryHours: number
  /** Seed was seen carried together, and the heaviest rain of a day while it lay loose over what begins to move it. */
  seenWashed: boolean
  rainOverMm: number
  seenBirds: boolean
  sun: Sun
  /** A zone in more sun comes up as expected. */
  sunnierFine: boolean
}

export const GERMINATION_CAUSES = ['dry', 'washout', 'birds', 'cold', 'shade', 'unknown'] as const
export type GerminationCause = (typeof GERMINATION_CAUSES)[number]

/** Days of delay that are worth telling. @source own */
const COLD_FROM_DAYS = 3
/** Waterings missed, and dry hours, from which a stand suffers. @source own: a dose of a tenth of a bare bed's */
const [MISSED_FROM, DRY_FROM_H] = [2, 6]

/**
 * Likely causes, the likeliest first: what was seen weighs more than what was logged, and that more than what is reckoned.
 * @source own
 */
export function likelyCauses(of: Evidence): GerminationCause[] {
  const weights: [GerminationCause, number][] = [
    ['dry', of.foundDry ? 5 : of.missed >= MISSED_FROM ? 4 : of.dryHours >= DRY_FROM_H ? 2 : 0],
    ['washout', of.seenWashed ? 6 : of.rainOverMm > 0 ? 3 : 0],
    ['birds', of.seenBirds ? 4.5 : 0],
    ['cold', of.colderDays >= COLD_FROM_DAYS ? 2.5 : 0],
    ['shade', of.sun !== 'full' && of.sunnierFine ? 1 : 0],
  ]
  const found = weights.filter(([, weight]) => weight > 0).sort((a, b) => b[1] - a[1])
  return found.length ? found.map(([cause]) => cause) : ['unknown']
}
