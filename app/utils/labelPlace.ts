import { distanceToLineM, extentOf, insideOutline, type Outline, type PointM } from '#core/site/geometry'

/** Places tried along each side of the box round an outline. */
const TRIES = 26
/** A name is wider than it is high: room above counts less than room beside. */
const WIDE = 2.4

/**
 * Where the name of an area stands freest: inside of it, away from its edges and from what else is named there.
 * @param others places of other names, m
 */
export function labelPlace(outline: Outline, others: readonly PointM[]): PointM | undefined {
  const box = extentOf(outline.outer)
  if (!box) return undefined
  const flat = ([x, y]: PointM): PointM => [x, y * WIDE]
  const rings = [outline.outer, ...outline.holes].map((ring) => [...ring, ring[0]!].map(flat))
  const named = others.map(flat)
  let best: PointM | undefined
  let most = 0
  for (let i = 0; i < TRIES * TRIES; i++) {
    const at: PointM = [
      box.minX + ((box.maxX - box.minX) * ((i % TRIES) + 0.5)) / TRIES,
      box.minY + ((box.maxY - box.minY) * (Math.floor(i / TRIES) + 0.5)) / TRIES,
    ]
    if (!insideOutline(at, outline)) continue
    const here = flat(at)
    const room = Math.min(
      ...rings.map((ring) => distanceToLineM(here, ring)),
      ...named.map(([x, y]) => Math.hypot(here[0] - x, here[1] - y) * 0.6),
    )
    if (room > most) [most, best] = [room, at]
  }
  return best
}

/** Middle of the corners of something, where its own name stands. */
export function middleOf(points: readonly PointM[]): PointM {
  const sum = points.reduce<[number, number]>(([x, y], point) => [x + point[0], y + point[1]], [0, 0])
  return [sum[0] / points.length, sum[1] / points.length]
}
