/** A picture as browsers hand it out: four bytes a pixel, row by row. */
export interface Picture {
  width: number
  height: number
  data: Uint8ClampedArray
}

/** A corner of the frame in the picture, 0-1 of its width and height. */
export type Corner = readonly [x: number, y: number]
/** Clockwise from the upper left. */
export type Corners = readonly [Corner, Corner, Corner, Corner]
export const WHOLE_PICTURE: Corners = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
]

/** The ground in a frame, seen straight from above. */
export interface GroundSeen {
  /** Of a side, pixels. */
  size: number
  /** Excess green of each pixel, -1 to 2; NaN where it cannot be told. */
  excessGreen: Float32Array
  /** The same ground as a picture, four bytes a pixel. */
  pixels: Uint8ClampedArray
  /** Share that lies in deep shadow, and that is blown out: neither is counted. */
  shadowShare: number
  blownShare: number
}

/** Pixels of a side that a frame is looked at with. @source own: half a millimetre in a frame of 250 mm */
const SIDE_PX = 512
/** Sums of red, green and blue under and over which colour cannot be told. @source own */
const [SHADOW, BLOWN] = [75, 740]

/**
 * The map of a square onto the frame in a picture.
 * @source Heckbert 1989: square to quadrilateral
 */
function projection([[x0, y0], [x1, y1], [x2, y2], [x3, y3]]: Corners): (u: number, v: number) => Corner {
  const [dx1, dx2, sx] = [x1 - x2, x3 - x2, x0 - x1 + x2 - x3]
  const [dy1, dy2, sy] = [y1 - y2, y3 - y2, y0 - y1 + y2 - y3]
  const below = dx1 * dy2 - dx2 * dy1
  const [g, h] = [(sx * dy2 - dx2 * sy) / below, (dx1 * sy - sx * dy1) / below]
  const [a, b, d, e] = [x1 - x0 + g * x1, x3 - x0 + h * x3, y1 - y0 + g * y1, y3 - y0 + h * y3]
  return (u, v) => {
    const w = g * u + h * v + 1
    return [(a * u + b * v + x0) / w, (d * u + e * v + y0) / w]
  }
}

/** Twice the area of a triangle, above 0 where it turns clockwise on a screen. */
const turn = ([ax, ay]: Corner, [bx, by]: Corner, [cx, cy]: Corner): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)

/** Whether four corners make a frame: each inside of the picture, clockwise, none on the line of its neighbours. */
export const isFrame = (corners: Corners): boolean =>
  corners.every(([x, y]) => x >= 0 && x <= 1 && y >= 0 && y <= 1) &&
  corners.every((corner, i) => turn(corner, corners[(i + 1) % 4]!, corners[(i + 2) % 4]!) > 1e-3)

/**
 * Takes the perspective out of a frame and tells how green each pixel of its ground is.
 * @throws RangeError for corners that make no frame
 * @source Woebbecke et al. 1995: excess green 2g - r - b of chromatic coordinates
 */
export function seeGround({ width, height, data }: Picture, corners: Corners = WHOLE_PICTURE): GroundSeen {
  if (!isFrame(corners)) throw new RangeError('Those corners make no frame.')
  const at = projection(corners)
  const excessGreen = new Float32Array(SIDE_PX * SIDE_PX)
  const pixels = new Uint8ClampedArray(SIDE_PX * SIDE_PX * 4)
  let [shadow, blown] = [0, 0]
  for (let row = 0; row < SIDE_PX; row++)
    for (let column = 0; column < SIDE_PX; column++) {
      const [x, y] = at((column + 0.5) / SIDE_PX, (row + 0.5) / SIDE_PX)
      const px = Math.min(width - 1, Math.max(0, Math.floor(x * width)))
      const py = Math.min(height - 1, Math.max(0, Math.floor(y * height)))
      const i = (py * width + px) * 4
      const [red, green, blue] = [data[i]!, data[i + 1]!, data[i + 2]!]
      pixels.set([red, green, blue, 255], (row * SIDE_PX + column) * 4)
      const sum = red + green + blue
      if (sum < SHADOW) shadow++
      else if (sum > BLOWN) blown++
      excessGreen[row * SIDE_PX + column] = sum < SHADOW || sum > BLOWN ? NaN : (2 * green - red - blue) / sum
    }
  const all = SIDE_PX * SIDE_PX
  return { size: SIDE_PX, excessGreen, pixels, shadowShare: shadow / all, blownShare: blown / all }
}

/** A split of a histogram in two. */
export interface Split {
  /** First bin of the upper part. */
  from: number
  /** Variance between the two parts over that of all, 0-1: how well they are told apart. */
  apart: number
  /** Mean bins of both. */
  means: [low: number, high: number]
}

/**
 * The threshold that tells two kinds of pixels apart best.
 * @param counts of bins, one after the other
 * @returns undefined where there are not two bins with something in them
 * @source Otsu 1979: greatest variance between classes
 */
export function otsu(counts: ArrayLike<number>): Split | undefined {
  let [all, sum, squares] = [0, 0, 0]
  for (let i = 0; i < counts.length; i++) {
    all += counts[i]!
    sum += i * counts[i]!
    squares += i * i * counts[i]!
  }
  const variance = squares / all - (sum / all) ** 2
  let best: Split | undefined
  let [below, belowSum, most] = [0, 0, 0]
  for (let i = 1; i < counts.length; i++) {
    below += counts[i - 1]!
    belowSum += (i - 1) * counts[i - 1]!
    if (!below || below === all) continue
    const [low, high] = [belowSum / below, (sum - belowSum) / (all - below)]
    const between = (below / all) * (1 - below / all) * (high - low) ** 2
    if (between <= most) continue
    most = between
    best = { from: i, apart: between / variance, means: [low, high] }
  }
  return best
}

/** Bins of the histogram, from the least to the most excess green that is told apart. */
const [BINS, LEAST, MOST] = [150, -0.5, 1]
const binOf = (excess: number): number =>
  Math.max(0, Math.min(BINS - 1, Math.floor(((excess - LEAST) / (MOST - LEAST)) * BINS)))

/** Excess green from which a pixel is a leaf where the picture itself does not tell. @source own, about weed science's 0.1 */
export const FIXED_THRESHOLD = 0.1
/** Otsu's split is gone by where its parts are so far apart in excess green, and so well told apart. @source own: one mode alone splits at 0.64 */
const [APART_BY, TOLD_APART] = [0.12, 0.7]
/** A threshold outside of these splits soil from soil, or leaf from leaf. @source own */
const BOUNDS = [0.03, 0.35] as const

/** Green cover of the ground in a frame. */
export interface GreenCover {
  /** Of what can be told, 0-1. */
  share: number
  threshold: number
  /** How the threshold was found. */
  by: 'otsu' | 'fixed' | 'hand'
  shadowShare: number
  blownShare: number
}

/** The threshold of a picture: Otsu's where it has two kinds of pixels, a fixed one where it has one. */
export function thresholdOf({ excessGreen }: GroundSeen): Pick<GreenCover, 'threshold' | 'by'> {
  const counts = new Float64Array(BINS)
  for (const excess of excessGreen) if (!Number.isNaN(excess)) counts[binOf(excess)]!++
  const split = otsu(counts)
  const binWide = (MOST - LEAST) / BINS
  if (split) {
    const threshold = LEAST + split.from * binWide
    const far = (split.means[1] - split.means[0]) * binWide
    if (far >= APART_BY && split.apart >= TOLD_APART && threshold >= BOUNDS[0] && threshold <= BOUNDS[1])
      return { threshold, by: 'otsu' }
  }
  return { threshold: FIXED_THRESHOLD, by: 'fixed' }
}

/**
 * Green cover of the ground.
 * @param byHand a threshold that somebody corrected
 * @throws RangeError where nothing of the picture can be told
 */
export function greenCover(seen: GroundSeen, byHand?: number): GreenCover {
  const { threshold, by } = byHand === undefined ? thresholdOf(seen) : { threshold: byHand, by: 'hand' as const }
  let [green, told] = [0, 0]
  for (const excess of seen.excessGreen) {
    if (Number.isNaN(excess)) continue
    told++
    if (excess >= threshold) green++
  }
  if (!told) throw new RangeError('Nothing of this picture can be told.')
  return { share: green / told, threshold, by, shadowShare: seen.shadowShare, blownShare: seen.blownShare }
}

/** Less than this is a speck, mm². @source own: a blade of fine fescue, 1 mm wide and 3 mm long */
const LEAST_SEEDLING_MM2 = 3

/**
 * Separate patches of green: seedlings, while they stand apart.
 * @param frameMm side of the frame
 * @returns patches of the size of a seedling and more
 * @source connected components, eight neighbours
 */
export function countPatches({ size, excessGreen }: GroundSeen, threshold: number, frameMm: number): number {
  const leastPx = Math.max(2, LEAST_SEEDLING_MM2 / (frameMm / size) ** 2)
  const seen = new Uint8Array(size * size)
  const stack: number[] = []
  let count = 0
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || !(excessGreen[start]! >= threshold)) continue
    let area = 0
    stack.push(start)
    seen[start] = 1
    while (stack.length) {
      const i = stack.pop()!
      area++
      const [x, y] = [i % size, Math.floor(i / size)]
      for (let ny = Math.max(0, y - 1); ny <= Math.min(size - 1, y + 1); ny++)
        for (let nx = Math.max(0, x - 1); nx <= Math.min(size - 1, x + 1); nx++) {
          const next = ny * size + nx
          if (seen[next] || !(excessGreen[next]! >= threshold)) continue
          seen[next] = 1
          stack.push(next)
        }
    }
    if (area >= leastPx) count++
  }
  return count
}
