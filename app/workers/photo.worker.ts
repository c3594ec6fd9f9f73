import { LONGEST_SIDE_PX, MOST_JPEG_BYTES, MOST_SMALL_BYTES, SMALL_SIDE_PX } from '#contract/photo'

/** A picture of which copies are wanted, as it lies in its file. */
export interface PhotoAsked {
  file: Blob
}

/** The picture as it is sent and as it stands in a list, JPEGs by base64, or why there are none. */
export type PhotoCopies = { kind: 'made'; jpeg: string; small: string } | { kind: 'damaged' } | { kind: 'too large' }

/** Tried from the best on until it is small enough. */
const QUALITIES = [0.85, 0.75, 0.65, 0.5, 0.35]

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
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  )
  const context = canvas.getContext('2d')
  if (!context) return undefined
  // What was see-through becomes paper, not black.
  context.fillStyle = '#fff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.imageSmoothingQuality = 'high'
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  for (const quality of QUALITIES) {
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality })
    if (blob.size <= mostBytes) return asBase64(blob)
  }
  return undefined
}

async function copiesOf({ file }: PhotoAsked): Promise<PhotoCopies> {
  let picture: ImageBitmap
  try {
    picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
  } catch {
    return { kind: 'damaged' }
  }
  try {
    const jpeg = await packed(picture, LONGEST_SIDE_PX, MOST_JPEG_BYTES)
    const small = await packed(picture, SMALL_SIDE_PX, MOST_SMALL_BYTES)
    return jpeg && small ? { kind: 'made', jpeg, small } : { kind: 'too large' }
  } finally {
    picture.close()
  }
}

self.onmessage = ({ data }: MessageEvent<PhotoAsked>) => {
  void copiesOf(data).then((copies) => {
    self.postMessage(copies)
  })
}
