import type { NewPhoto } from '#contract/photo'
import type { NewSeen } from '#contract/seen'

/** Writing down what is seen after sowing, and taking it back: once at a time, with what went wrong in words. */
export function useWatchNotes(lawnId: string) {
  const store = useLawnsStore()
  const { busy, message: said, errors, send } = useSend()
  const message = computed(() => said.value || (Object.values(errors.value)[0] ?? ''))

  const sendPhoto = usePhotoSend(lawnId)

  /** @param photo that goes with it @returns true when it was taken */
  const note = (seen: NewSeen, photo: NewPhoto | null = null) =>
    send(async () => {
      if (photo) await sendPhoto(photo)
      await store.noteSeen(lawnId, seen)
    })
  const forget = (seenId: string) => send(() => store.forgetSeen(lawnId, seenId))
  return { note, forget, busy, message }
}
