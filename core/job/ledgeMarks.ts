import type { Message } from '../explain/message'
import type { Day } from '../measure/calendar'
import type { Operation } from './operations/definition'
import { isAnchorKey } from './operations/registry'
import type { Schedule } from './schedule/schedule'

/** A task as it hangs from the ledge. */
export interface LedgeMark {
  key: string
  day: Day
  mark: Exclude<Operation['mark'], 'call'>
  /** Said beside it where there is room; null for none. */
  label: Message | null
  done: boolean
  /** The sowing, or the first dressing: of many lawns only these hang there. */
  anchor: boolean
}

const labelOf = (key: string, { anchors, ledgeLabel, mark, name }: Operation): Message | null =>
  anchors && !isAnchorKey(key) ? null : (ledgeLabel ?? (mark === 'visit' ? name : null))

/** A schedule as it hangs from the ledge: the anchor, and what is on other days and more than a call. */
export function ledgeMarksOf(schedule: Schedule | undefined): LedgeMark[] {
  const tasks = schedule?.tasks ?? []
  const anchor = tasks.find(({ key }) => isAnchorKey(key))
  return tasks
    .filter(({ key, to, operation }) => key === anchor?.key || (to !== anchor?.to && operation.mark !== 'call'))
    .map(({ key, operation, to, done }) => ({
      key,
      day: to,
      mark: operation.mark as LedgeMark['mark'],
      label: labelOf(key, operation),
      done: done !== undefined,
      anchor: key === anchor?.key,
    }))
}
