import { SaidError, say } from '../explain/message'
import { Clipper64, ClipType, FillRule, PolyTree64, type Path64, type PolyPath64 } from 'clipper2-ts'
import { extentOf, outlineAreaM2, perimeterM, signedAreaM2, type Outline, type PointM, type Ring } from './geometry'

/**
 * Joining and cutting of outlines. The clipping is a library's, on whole tenths of a millimetre: on whole numbers it
 * cannot lose its way where edges all but touch.
 */
const STEPS_PER_M = 10_000

/** Outlines go against the clock, holes with it, whichever way they were drawn. */
function pathOf(ring: Ring, hole: boolean): Path64 {
  const path = ring.map(([x, y]) => ({ x: Math.round(x * STEPS_PER_M), y: Math.round(y * STEPS_PER_M) }))
  return signedAreaM2(ring) > 0 === hole ? path.reverse() : path
}
const ringOf = (path: PolyPath64): Ring => path.poly!.map(({ x, y }) => [x / STEPS_PER_M, y / STEPS_PER_M])
const childrenOf = (path: PolyPath64): PolyPath64[] => Array.from({ length: path.count }, (_, i) => path.child(i))

/** What is inside a hole is an outline of its own again. */
const outlinesIn = (parent: PolyPath64): Outline[] =>
  childrenOf(parent).flatMap((outer) => {
    const holes = childrenOf(outer)
    return [{ outer: ringOf(outer), holes: holes.map(ringOf) }, ...holes.flatMap(outlinesIn)]
  })

function clippedPaths(how: ClipType, subject: Path64[], clip: Path64[]): Outline[] {
  const clipper = new Clipper64()
  clipper.addSubject(subject)
  if (clip.length) clipper.addClip(clip)
  const tree = new PolyTree64()
  clipper.execute(how, FillRule.NonZero, tree)
  return outlinesIn(tree)
}

/** Holes as they cut: where they lie outside, over each other or over the edge, they take out only what is there. */
function cutOut({ outer, holes }: Outline): Path64[] {
  if (!holes.length) return [pathOf(outer, false)]
  const left = clippedPaths(
    ClipType.Difference,
    [pathOf(outer, false)],
    holes.map((hole) => pathOf(hole, false)),
  )
  return left.flatMap((outline) => [pathOf(outline.outer, false), ...outline.holes.map((hole) => pathOf(hole, true))])
}
const pathsOf = (outlines: readonly Outline[]): Path64[] => outlines.flatMap(cutOut)

const clipped = (how: ClipType, outlines: readonly Outline[], by: readonly Outline[]): Outline[] =>
  clippedPaths(how, pathsOf(outlines), pathsOf(by))

/** Everything that any of them covers. */
export const joined = (outlines: readonly Outline[]): Outline[] =>
  outlines.length ? clipped(ClipType.Union, outlines, []) : []

/** What is left of some outlines after others are taken out: beds, ponds, buildings. */
export const without = (outlines: readonly Outline[], taken: readonly Outline[]): Outline[] =>
  outlines.length && taken.length ? clipped(ClipType.Difference, outlines, taken) : joined(outlines)

/** @returns m² covered by any of them; what overlaps counts once, and what is cut out only where it lies */
export const coveredM2 = (outlines: readonly Outline[]): number =>
  joined(outlines).reduce((sum, outline) => sum + outlineAreaM2(outline), 0)

/** @returns m of edge all round, along holes too */
export const borderM = (outlines: readonly Outline[]): number =>
  outlines.reduce(
    (sum, { outer, holes }) => sum + perimeterM(outer) + holes.reduce((m, hole) => m + perimeterM(hole), 0),
    0,
  )

/**
 * Cuts an outline along the straight line through two points.
 * @returns the pieces to the left and to the right of it
 * @throws RangeError where the two points are one, or the line misses the outline
 */
export function splitAlong(outline: Outline, from: PointM, to: PointM): { left: Outline[]; right: Outline[] } {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  if (!(length > 0)) throw new SaidError(say('site.lineNeedsTwoPoints'))
  const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
  const box = extentOf([...outline.outer, from, to])!
  const reach = 2 * Math.hypot(box.maxX - box.minX, box.maxY - box.minY) + 1
  const back: PointM = [from[0] - ux * reach, from[1] - uy * reach]
  const ahead: PointM = [to[0] + ux * reach, to[1] + uy * reach]
  const beside = ([x, y]: PointM): PointM => [x - uy * reach * 2, y + ux * reach * 2]
  const half: Outline = { outer: [back, ahead, beside(ahead), beside(back)], holes: [] }
  const [left, right] = [
    clipped(ClipType.Intersection, [outline], [half]),
    clipped(ClipType.Difference, [outline], [half]),
  ]
  if (!left.length || !right.length) throw new SaidError(say('site.lineDoesNotCross'))
  return { left, right }
}
