import { SaidError, say } from '../explain/message'
import { distanceM, type Extent, type PointM } from './geometry'

/** A picture laid under the plan: an aerial photo, or a sketch. */
export interface Underlay {
  photoId: string
  /** Where its middle lies on the plan, m. */
  at: PointM
  /** Ground that one of its pixels covers, m. */
  mPerPx: number
  /** Turned clockwise, degrees. */
  turnDeg: number
  widthPx: number
  heightPx: number
}

/** Bounds of a picture's scale: a page held at arm's length, and a kilometre across. */
export const M_PER_PX = { least: 0.0005, most: 2 } as const
/** How wide a picture is taken to be before it was scaled, m. @source own, about a house plot */
const FIRST_WIDTH_M = 30
/** Two points nearer than this scale nothing, px. */
const LEAST_PX = 8

/** A picture as it is first laid down: over what is drawn, or on a plot of ordinary width. */
export function layUnder(
  photo: { id: string; widthPx: number; heightPx: number },
  drawn: Extent | undefined,
): Underlay {
  const wideM = drawn
    ? Math.max(drawn.maxX - drawn.minX, ((drawn.maxY - drawn.minY) * photo.widthPx) / photo.heightPx, 1)
    : FIRST_WIDTH_M
  const at: PointM = drawn ? [(drawn.minX + drawn.maxX) / 2, (drawn.minY + drawn.maxY) / 2] : [0, 0]
  return {
    photoId: photo.id,
    at,
    mPerPx: wideM / photo.widthPx,
    turnDeg: 0,
    widthPx: photo.widthPx,
    heightPx: photo.heightPx,
  }
}

/**
 * Scales the picture by a length that is known on it.
 * @param from where the length begins, on the plan as the picture lies now; that point stays where it is
 * @param lengthM what was measured on the ground, m
 * @throws RangeError, in words for the screen, where the points are too near or the scale comes out impossible
 */
export function scaledBy(picture: Underlay, from: PointM, to: PointM, lengthM: number): Underlay {
  const nowM = distanceM(from, to)
  if (nowM < LEAST_PX * picture.mPerPx) throw new SaidError(say('site.pointsTooNear'))
  if (!(lengthM > 0)) throw new SaidError(say('site.lengthMoreThanNothing'))
  const by = lengthM / nowM
  const mPerPx = picture.mPerPx * by
  if (mPerPx < M_PER_PX.least || mPerPx > M_PER_PX.most) throw new SaidError(say('site.pictureImpossible'))
  return {
    ...picture,
    mPerPx,
    at: [from[0] + (picture.at[0] - from[0]) * by, from[1] + (picture.at[1] - from[1]) * by],
  }
}

/** Moves the picture so that what lay at one point lies at the other. */
export const movedFrom = (picture: Underlay, from: PointM, to: PointM): Underlay => ({
  ...picture,
  at: [picture.at[0] + to[0] - from[0], picture.at[1] + to[1] - from[1]],
})

/** Turns the picture about its own middle. @param turnDeg clockwise from how it was taken */
export const turnedTo = (picture: Underlay, turnDeg: number): Underlay => ({
  ...picture,
  turnDeg: ((((turnDeg + 180) % 360) + 360) % 360) - 180,
})

/** Where a pixel of the picture lies on the plan. @param px from its left edge, and down from its upper one */
export function onPlan(
  { at, mPerPx, turnDeg, widthPx, heightPx }: Underlay,
  [px, py]: readonly [number, number],
): PointM {
  const [right, up] = [(px - widthPx / 2) * mPerPx, (heightPx / 2 - py) * mPerPx]
  const turn = (turnDeg * Math.PI) / 180
  return [at[0] + right * Math.cos(turn) + up * Math.sin(turn), at[1] - right * Math.sin(turn) + up * Math.cos(turn)]
}
