import type { Operation } from '#core/job/operations/definition'
import { isAnchorKey } from '#core/job/operations/registry'
import type { Sequence } from '#core/job/schedule/schedule'
import type { Hanger } from './sillScale'

/** A sequence as it hangs from the ledge; among many lawns only their sowing days. */
export function hangersOf(sequence: Sequence | undefined, name: string, onlySowing = false): Hanger[] {
  if (!sequence) return []
  const anchor = sequence.slips.find(({ key }) => isAnchorKey(key))
  return sequence.slips
    .filter(
      ({ key, to, operation }) =>
        key === anchor?.key || (!onlySowing && to !== anchor?.to && operation.mark !== 'call'),
    )
    .map(({ key, operation, to, done }) => ({
      key: `${name}/${key}`,
      day: to,
      mark: operation.mark as Exclude<typeof operation.mark, 'call'>,
      done: done !== undefined,
      label: labelOf(key, operation, onlySowing ? name : undefined),
    }))
}

/** @param lawn named where only its sowing hangs there */
function labelOf(key: string, { anchors, ledgeLabel, mark, name }: Operation, lawn?: string): string {
  if (anchors) return lawn ?? (isAnchorKey(key) ? (ledgeLabel ?? '') : '')
  return ledgeLabel ?? (mark === 'visit' ? name : '')
}
