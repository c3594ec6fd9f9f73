import type { Sequence } from '#core/programme/sequence'
import type { Hanger } from './sillScale'

/** A sequence as it hangs from the ledge; among many lawns only their sowing days. */
export function hangersOf(sequence: Sequence | undefined, name: string, onlySowing = false): Hanger[] {
  if (!sequence) return []
  const sowOn = sequence.slips.find(({ operation }) => operation.code === 'sow' || operation.code === 'lift')?.to
  return sequence.slips
    .filter(({ operation, to }) => operation.code === 'sow' || operation.code === 'lift' || (!onlySowing && to !== sowOn))
    .map(({ operation, to, done }) => ({
      key: `${name}/${operation.code}`, day: to, mark: operation.mark, done: done !== undefined,
      label: operation.code === 'lift' ? (onlySowing ? name : 'Dress') : operation.code === 'sow' ? (onlySowing ? name : 'Sow') : operation.mark === 'visit' || operation.code === 'mow' ? operation.name : '',
    }))
}
