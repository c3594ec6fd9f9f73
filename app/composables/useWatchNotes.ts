import type { NewSeen } from '#contract/seen'
import { saving } from '~/utils/api'

/** Writing down what is seen after sowing, and taking it back: once at a time, with what went wrong in words. */
export function useWatchNotes(lawnId: string) {
  const store = useLawnsStore()
  const busy = ref(false)
  const message = ref('')

  async function once(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    message.value = ''
    const saved = await saving(work)
    busy.value = false
    if (!saved.ok) message.value = Object.values(saved.problem.fields)[0] ?? saved.problem.message
    return saved.ok
  }
  /** @param photo that goes with it @returns true when it was taken */
  const note = (seen: NewSeen, photo: object | null = null) =>
    once(async () => {
      if (photo) await $fetch(`/api/lawns/${lawnId}/photos`, { method: 'POST', body: photo })
      await store.noteSeen(lawnId, seen)
    })
  const forget = (seenId: string) => once(() => store.forgetSeen(lawnId, seenId))
  return { note, forget, busy, message }
}
