import type { Photo, PhotoWords } from '#contract/photo'
import { saving } from '~/utils/api'
import { photoFrom, type PhotoFile } from '~/utils/photoFile'

/** A photo that was read but could not be sent yet. */
interface Waiting {
  id: string
  name: string
  words: PhotoWords
  photo: PhotoFile
}

/** The photos of a lawn: kept as they are added, not with the survey, since nobody takes one twice. */
export function usePhotos(lawnId: string) {
  const photos = ref<Photo[]>([])
  const waiting = ref<Waiting[]>([])
  const message = ref('')
  const busy = ref('')
  const path = `/api/lawns/${lawnId}/photos`
  const sendPhoto = usePhotoSend(lawnId)
  const device = useDeviceStore()

  async function run(work: () => Promise<Photo[]>): Promise<boolean> {
    const done = await saving(async () => {
      photos.value = await work()
    })
    message.value = done.ok ? '' : done.problem.message
    return done.ok
  }
  const load = () => run(() => $fetch<Photo[]>(path))

  async function send(one: Waiting): Promise<boolean> {
    busy.value = t('look.keeping', { name: one.name })
    const { jpeg, small, place } = one.photo
    const sent = await run(() =>
      sendPhoto({ id: one.id, ...one.words, place, jpeg, small }).then((all) => all ?? photos.value),
    )
    if (sent) waiting.value = waiting.value.filter(({ id }) => id !== one.id)
    busy.value = ''
    return sent
  }
  /** Sends again what could not be sent. */
  async function again(): Promise<void> {
    for (const one of [...waiting.value]) if (!(await send(one))) return
  }

  /** @param keepPlace whether where it was taken is wanted; otherwise it stays in the file */
  async function add(files: readonly File[], words: Omit<PhotoWords, 'takenOn'>, keepPlace: boolean): Promise<void> {
    const refused: string[] = []
    message.value = ''
    for (const file of files) {
      busy.value = t('look.reading', { name: file.name })
      const read = await photoFrom(file)
      if (!read.ok) {
        refused.push(read.message)
        continue
      }
      const one: Waiting = {
        id: crypto.randomUUID(),
        name: file.name,
        words: { ...words, takenOn: read.photo.takenOn },
        photo: { ...read.photo, place: keepPlace ? read.photo.place : null },
      }
      waiting.value.push(one)
      await send(one)
    }
    busy.value = ''
    message.value = [...refused, message.value].filter(Boolean).join(' ')
  }

  const describe = (id: string, words: PhotoWords) =>
    run(() => $fetch<Photo[]>(`${path}/${id}`, { method: 'PUT', body: words }))
  const remove = (id: string) => run(() => $fetch<Photo[]>(`${path}/${id}`, { method: 'DELETE' }))
  const pictureOf = (id: string, size: 'small' | 'whole') => `${path}/${id}${size === 'small' ? '?small=1' : ''}`

  onMounted(load)
  // What waited on the device is there now.
  watch(
    () => device.answered,
    (ids) => ids.includes(lawnId) && void load(),
  )
  return { photos, waiting, message, busy, load, add, again, describe, remove, pictureOf }
}
