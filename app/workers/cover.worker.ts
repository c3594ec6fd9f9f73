import {
  countPatches,
  greenCover,
  isFrame,
  seeGround,
  type Corners,
  type GreenCover,
  type GroundSeen,
} from '#core/learning/greenCover'

/** A question to the worker: a picture with the corners of its frame, or another threshold for the one it has. */
export interface CoverAsked {
  number: number
  picture?: { file: Blob; corners: Corners }
  frameMm: number
  /** A threshold by hand; the picture's own where left out. */
  threshold?: number
}
export type CoverAnswer = { number: number } & (
  | { kind: 'found'; cover: GreenCover; patches: number; size: number; marked: Uint8ClampedArray<ArrayBuffer> }
  | { kind: 'no frame' }
  | { kind: 'damaged' }
  | { kind: 'failed'; message: string }
)

/** Pictures are looked at no larger than this, px. */
const LONGEST_PX = 1600
let seen: GroundSeen | undefined

async function read({ file, corners }: NonNullable<CoverAsked['picture']>): Promise<GroundSeen | undefined> {
  // Opened here: the screen has nothing to carry, however large it is.
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined)
  if (!bitmap) return undefined
  const scale = Math.min(1, LONGEST_PX / Math.max(bitmap.width, bitmap.height))
  const [width, height] = [bitmap.width, bitmap.height].map((side) => Math.max(1, Math.round(side * scale)))
  const context = new OffscreenCanvas(width!, height!).getContext('2d', { willReadFrequently: true })
  if (!context) throw new Error('No canvas.')
  context.drawImage(bitmap, 0, 0, width!, height!)
  bitmap.close()
  return seeGround(context.getImageData(0, 0, width!, height!), corners)
}

/** The ground with what counts as green in a colour that no lawn has. */
function marked({ pixels, excessGreen }: GroundSeen, threshold: number): Uint8ClampedArray<ArrayBuffer> {
  const out = new Uint8ClampedArray(pixels)
  excessGreen.forEach((excess, i) => {
    if (excess >= threshold) out.set([235, 64, 200], i * 4)
    else if (Number.isNaN(excess)) out.set([40, 60, 140], i * 4)
  })
  return out
}

async function answer(data: CoverAsked): Promise<void> {
  const { number, picture, frameMm, threshold } = data
  const say = (answer: CoverAnswer, transfer: Transferable[] = []) => {
    self.postMessage(answer, { transfer })
  }
  try {
    if (picture && !isFrame(picture.corners)) {
      say({ number, kind: 'no frame' })
      return
    }
    if (picture) {
      seen = await read(picture)
      if (!seen) say({ number, kind: 'damaged' })
    }
    if (!seen) return
    const cover = greenCover(seen, threshold)
    const shown = marked(seen, cover.threshold)
    const patches = countPatches(seen, cover.threshold, frameMm)
    say({ number, kind: 'found', cover, patches, size: seen.size, marked: shown }, [shown.buffer])
  } catch (error) {
    say({ number, kind: 'failed', message: (error as Error).message })
  }
}

/** One after the other: a threshold is of the picture that was asked for before it. */
let before = Promise.resolve()
self.onmessage = ({ data }: MessageEvent<CoverAsked>) => {
  before = before.then(() => answer(data))
}
