import { LONGEST_SIDE_PX, MOST_JPEG_BYTES, MOST_SMALL_BYTES, SMALL_SIDE_PX } from '#contract/photo'
import { isDay, type Day } from '#core/measure/calendar'
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
/** Tried from the best on until it is small enough. */
const QUALITIES = [0.85, 0.75, 0.65, 0.5, 0.35]

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

async function asBase64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  // A call takes only so many arguments.
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192))
  return btoa(text)
}

/** Draws a picture no larger than a side allows, and packs it until it is small enough; undefined where it never is. */
async function packed(picture: ImageBitmap, longestPx: number, mostBytes: number): Promise<string | undefined> {
  const scale = Math.min(1, longestPx / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  const context = canvas.getContext('2d')
  if (!context) return undefined
  // What was see-through becomes paper, not black.
  context.fillStyle = '#fff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.imageSmoothingQuality = 'high'
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  for (const quality of QUALITIES) {
    const blob = await new Promise<Blob | null>((done) => {
      canvas.toBlob(done, 'image/jpeg', quality)
    })
    if (blob && blob.size <= mostBytes) return asBase64(blob)
  }
  return undefined
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
  let picture: ImageBitmap
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
  } catch {
    return no(t('look.itIsDamagedOr'))
  }
  try {
    const [jpeg, small, written] = [
      await packed(picture, LONGEST_SIDE_PX, MOST_JPEG_BYTES),
      await packed(picture, SMALL_SIDE_PX, MOST_SMALL_BYTES),
      await writtenBy(file),
    ]
    return jpeg && small ? { ok: true, photo: { jpeg, small, ...written } } : no(t('look.itCouldNotBe'))
  } finally {
    picture.close()
  }
}
