import { isDay, type Day } from '#core/measure/calendar'
import type { PhotoAsked, PhotoCopies } from '~/workers/photo.worker'
import { t } from './words'

/** A photo as it is sent: made small, and with nothing in it of what the camera wrote. */
export interface PhotoFile {
  jpeg: string
  small: string
  takenOn: Day | null
  /** Where it was taken, as the camera wrote it; kept only where somebody wants it. */
  place: { latDeg: number; lonDeg: number } | null
}
export type PhotoRead = { ok: true; photo: PhotoFile } | { ok: false; message: string }

const MOST_FILE_BYTES = 60_000_000
/** More than any camera takes; a file that says so would fill the memory when it is opened. */
const MOST_PIXELS = 150_000_000
/** What says how large a picture is stands at its beginning, behind what a camera writes. */
const HEAD_BYTES = 1_000_000
/** "2026:08:19 10:22:31", as cameras write it. */
function dayOf(written: unknown): Day | null {
  const day = typeof written === 'string' ? written.slice(0, 10).replaceAll(':', '-') : ''
  return isDay(day) ? day : null
}

async function writtenBy(file: Blob): Promise<Pick<PhotoFile, 'takenOn' | 'place'>> {
  const { default: exifr } = await import('exifr')
  const [tags, place] = await Promise.all([
    exifr
      .parse(file, { pick: ['DateTimeOriginal', 'CreateDate', 'DateTime'], reviveValues: false })
      .catch(() => undefined) as Promise<Record<string, unknown> | undefined>,
    exifr.gps(file).catch(() => undefined),
  ])
  const whole = place && Math.abs(place.latitude) <= 90 && Math.abs(place.longitude) <= 180
  return {
    takenOn: dayOf(tags?.DateTimeOriginal ?? tags?.CreateDate ?? tags?.DateTime),
    place: whole ? { latDeg: place.latitude, lonDeg: place.longitude } : null,
  }
}

/** What the file says of its size, before anything of it is opened. */
async function sizeSaid(file: Blob): Promise<{ width: number; height: number } | undefined> {
  const { imageSize } = await import('image-size')
  try {
    return imageSize(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()))
  } catch {
    return undefined
  }
}

/** Makes the copies of a picture beside the screen: a large one is drawn for longer than a frame lasts. */
function copiesOf(file: Blob): Promise<PhotoCopies> {
  const worker = new Worker(new URL('../workers/photo.worker.ts', import.meta.url), { type: 'module' })
  return new Promise<PhotoCopies>((done) => {
    worker.onmessage = ({ data }: MessageEvent<PhotoCopies>) => done(data)
    worker.onerror = () => done({ kind: 'too large' })
    worker.postMessage({ file } satisfies PhotoAsked)
  }).finally(() => worker.terminate())
}

/** Reads a photo from a file, upright by what its camera wrote. */
export async function photoFrom(file: File): Promise<PhotoRead> {
  const no = (message: string): PhotoRead => ({ ok: false, message: `${file.name}: ${message}` })
  if (file.size === 0) return no(t('look.thisFileIsEmpty'))
  if (file.size > MOST_FILE_BYTES) return no(t('look.largerThan60Mb'))
  const said = await sizeSaid(file)
  if (said && said.width * said.height > MOST_PIXELS)
    return no(
      t('look.itSaysItIs', { width: said.width.toLocaleString('en'), height: said.height.toLocaleString('en') }),
    )
  if (!said) return no(t('look.thisIsNoPicture'))
  const [copies, written] = await Promise.all([copiesOf(file), writtenBy(file)])
  if (copies.kind === 'damaged') return no(t('look.itIsDamagedOr'))
  if (copies.kind === 'too large') return no(t('look.itCouldNotBe'))
  const { jpeg, small } = copies
  return { ok: true, photo: { jpeg, small, ...written } }
}
