import { dayOfHeight, lagDays, type GrowthLine } from './height'

/** How far seedlings are by their leaves, as labels and liquid feeds ask for it. */
export const LEAF_STAGES = ['one leaf', 'second leaf', 'two to three leaves', 'tillering'] as const
export type LeafStage = (typeof LEAF_STAGES)[number]

/**
 * Height at which seedlings come into a stage, mm. @source own: a seedling of an inch has two leaves, one that is tall
 * enough for its first mowing has begun to tiller
 */
const FROM_MM: Record<LeafStage, number> = {
  'one leaf': 0,
  'second leaf': 20,
  'two to three leaves': 45,
  tillering: 70,
}

/** Height that leaves of a stage have at the least, mm. */
export const leavesOf = (stage: LeafStage): number => FROM_MM[stage]

/** Day after sowing on which the line comes into a stage. */
export const stageFrom = (line: GrowthLine, stage: LeafStage): number => dayOfHeight(line, FROM_MM[stage])

/**
 * Days by which seedlings lag behind the line that are seen in a stage: none while it is in the same one, else to the
 * nearest day on which it is; below 0 they are ahead.
 * @param day after sowing
 */
export function stageLagDays(line: GrowthLine, day: number, stage: LeafStage): number {
  const ahead = lagDays(line, day, FROM_MM[stage])
  if (ahead < 0) return ahead
  const next = LEAF_STAGES[LEAF_STAGES.indexOf(stage) + 1]
  return next ? Math.max(0, lagDays(line, day, FROM_MM[next])) : 0
}
