import type { Day } from '../measure/calendar'
import type { Mark } from './records'
import type { DoneWork } from './schedule/input'

/** Shares of several days that make a whole, but for rounding. */
const WHOLE = 0.995

/** Tasks that are finished, and those begun: marks of several days add up. */
export function doneByKey(marks: readonly Mark[]): {
  done: Map<string, DoneWork>
  begun: Map<string, { share: number; day: Day }>
} {
  const done = new Map<string, DoneWork>()
  const begun = new Map<string, { share: number; day: Day }>()
  for (const { key, doneOn, share, passed } of [...marks].sort((a, b) => (a.doneOn < b.doneOn ? -1 : 1))) {
    const total = (begun.get(key)?.share ?? 0) + share
    begun.set(key, { share: Math.min(1, total), day: doneOn })
    if (total >= WHOLE) done.set(key, { day: doneOn, passed })
  }
  for (const key of done.keys()) begun.delete(key)
  return { done, begun }
}
