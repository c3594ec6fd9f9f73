import type { Sequence } from '#core/job/schedule/schedule'
import type { Hanger } from './sillScale'

/** A sequence as it hangs from the ledge; among many lawns only their sowing days. */
export function hangersOf(sequence: Sequence | undefined, name: string, onlySowing = false): Hanger[] {
  if (!sequence) return []
  const anchor = sequence.slips.find(({ key }) => key === 'sow') ?? sequence.slips.find(({ key }) => key === 'lift')
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
      label:
        operation.code === 'lift'
          ? onlySowing
            ? name
            : key === 'lift'
              ? 'Dress'
              : ''
          : operation.code === 'sow'
            ? onlySowing
              ? name
              : 'Sow'
            : operation.mark === 'visit' || operation.code === 'mow'
              ? operation.name
              : '',
    }))
}
