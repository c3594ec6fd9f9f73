import { latestOf, type Day } from '../measure/calendar'
import { OPERATIONS } from './operations/registry'
import type { JobWork, ThinGround } from './records'
import type { Watch } from './watch'

/** All that is to be sown again, as one task of the plan. */
export interface Reseeding {
  /** Key of the task. */
  key: string
  thin: ThinGround
  on: Day
}

/** What of a lawn is to be sown again, and the day; undefined where nothing is, or no window is open for it. */
export function reseedingOf({ zones }: Pick<Watch, 'zones'>): Reseeding | undefined {
  const all = zones.flatMap(({ actions }) => actions.filter((one) => one.code === 'reseed'))
  const days = all.flatMap(({ on }) => on ?? [])
  const areaM2 = all.reduce((sum, one) => sum + one.areaM2, 0)
  if (!days.length || !(areaM2 > 0)) return undefined
  // Ground that is thinner than other ground counts by the seed that it takes.
  const rateShare = all.reduce((sum, one) => sum + one.areaM2 * one.rateShare, 0) / areaM2
  const { code: key } = OPERATIONS.find(({ reseeds }) => reseeds)!
  return { key, thin: { areaM2, rateShare }, on: latestOf(days) }
}

/** Whether a plan has it as it is. */
export const isPlanned = ({ thin, pins }: JobWork, reseeding: Reseeding): boolean =>
  thin !== null &&
  thin !== undefined &&
  Math.abs(thin.areaM2 - reseeding.thin.areaM2) < 0.1 &&
  Math.abs(thin.rateShare - reseeding.thin.rateShare) < 0.01 &&
  pins[reseeding.key] === reseeding.on

/** What a plan's work changes by to have it, in place of what was planned or left out of it before. */
export function planReseeding({ pins, skipped, added }: JobWork, { key, thin, on }: Reseeding) {
  const { [key]: _reason, ...others } = skipped
  return { thin, skipped: others, pins: { ...pins, [key]: on }, added: [...new Set([...added, key])] }
}
