import { seenSchema, type NewSeen } from '#contract/seen'
import type { ReadTyped } from '~/utils/readTyped'

/** A form in which something seen today is written down of a zone. Sent again after a lost answer, it is the same note. */
export function useSeenForm(zones: readonly { id: string }[]) {
  const context = useContextStore()
  const { judged, errors } = useSend()
  const id = crypto.randomUUID()
  const zoneId = ref(zones[0]?.id ?? '')

  /**
   * What was seen, as it is sent; undefined where something is wrong with it, which then stands beside its field.
   * @param typed fields that were read from words, by their path
   */
  const noted = (kind: NewSeen['kind'], fields: object, typed: Record<string, ReadTyped> = {}): NewSeen | undefined =>
    judged(seenSchema, { id, kind, seenOn: context.today, zoneId: zoneId.value, ...fields }, typed)
  return { zoneId, errors, noted }
}
