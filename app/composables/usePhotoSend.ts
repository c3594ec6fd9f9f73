import type { NewPhoto, Photo } from '#contract/photo'
import { problemOf } from '~/utils/api'

/** Sends photos of a lawn; without a network they wait on the device. */
export function usePhotoSend(lawnId: string) {
  const device = useDeviceStore()
  const store = useLawnsStore()
  const path = `/api/lawns/${lawnId}/photos`
  /** @returns all photos of the lawn as the server has them; undefined where this one waits */
  return async function sendPhoto(photo: NewPhoto): Promise<Photo[] | undefined> {
    try {
      return await $fetch<Photo[]>(path, { method: 'POST', body: photo })
    } catch (error) {
      if (problemOf(error).code !== 'unreachable') throw error
      const jobId = store.byId(lawnId)?.job.id ?? ''
      await device.put({ id: photo.id, kind: 'photo', lawnId, jobId, path, body: photo })
      return undefined
    }
  }
}
