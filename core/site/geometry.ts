/** A point of the site plan: metres east and north of its origin. */
export type PointM = readonly [eastM: number, northM: number]

/** Corners in order; the last side closes back to the first corner. */
export type Ring = readonly PointM[]

/** One outline with what is cut out of it. */
export interface Outline {
  outer: Ring
  holes: readonly Ring[]
}

const closed = (ring: Ring, i: number): PointM => ring[(i + 1) % ring.length]!

/** Positive for corners counted against the clock. @returns m² @source surveying textbooks: the shoelace formula */
export function signedAreaM2(ring: Ring): number {
  // About the first corner: far from the origin the products would lose digits.
  const [x0, y0] = ring[0] ?? [0, 0]
  let twice = 0
  ring.forEach(([x, y], i) => {
    const [nextX, nextY] = closed(ring, i)
    twice += (x - x0) * (nextY - y0) - (nextX - x0) * (y - y0)
  })
  return twice / 2
}

/**
 * Area inside the outline and outside its holes, whichever way round they were drawn. Holes have to lie inside and apart,
 * as they do in what `overlay` gives back; of a drawing as it was drawn, ask `coveredM2`.
 * @returns m²
 */
export const outlineAreaM2 = ({ outer, holes }: Outline): number =>
  Math.abs(signedAreaM2(outer)) - holes.reduce((sum, hole) => sum + Math.abs(signedAreaM2(hole)), 0)

export const distanceM = ([ax, ay]: PointM, [bx, by]: PointM): number => Math.hypot(bx - ax, by - ay)

/** Lengths of the sides, m, in order; the last one closes. */
export const sidesM = (ring: Ring): number[] => ring.map((corner, i) => distanceM(corner, closed(ring, i)))

/** @returns m, all round */
export const perimeterM = (ring: Ring): number => sidesM(ring).reduce((sum, m) => sum + m, 0)

/** @returns m along an open line */
export const lineM = (line: readonly PointM[]): number =>
  line.slice(1).reduce((sum, point, i) => sum + distanceM(line[i]!, point), 0)

/** By counting crossings; a point on the edge may fall either way. */
export function insideRing([x, y]: PointM, ring: Ring): boolean {
  let inside = false
  ring.forEach(([ax, ay], i) => {
    const [bx, by] = closed(ring, i)
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside
  })
  return inside
}

export const insideOutline = (point: PointM, { outer, holes }: Outline): boolean =>
  insideRing(point, outer) && !holes.some((hole) => insideRing(point, hole))

const turn = ([ax, ay]: PointM, [bx, by]: PointM, [cx, cy]: PointM): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)

const crosses = (a: PointM, b: PointM, c: PointM, d: PointM): boolean =>
  turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0

/**
 * An outline that crosses itself has no area to speak of. Sides are looked at from west to east, each against those it
 * shares a stretch with: thousands of corners take milliseconds.
 */
export function crossesItself(ring: Ring): boolean {
  const sides = ring
    .map((from, i) => {
      const to = closed(ring, i)
      return {
        i,
        from,
        to,
        west: Math.min(from[0], to[0]),
        east: Math.max(from[0], to[0]),
        south: Math.min(from[1], to[1]),
        north: Math.max(from[1], to[1]),
      }
    })
    .sort((a, b) => a.west - b.west)
  for (let a = 0; a < sides.length; a++) {
    const one = sides[a]!
    for (let b = a + 1; b < sides.length && sides[b]!.west <= one.east; b++) {
      const other = sides[b]!
      if (other.south > one.north || other.north < one.south) continue
      const apart = Math.abs(one.i - other.i)
      if (apart < 2 || apart === ring.length - 1) continue
      if (crosses(one.from, one.to, other.from, other.to)) return true
    }
  }
  return false
}

/** From a point to the nearest place of a line, m. @throws RangeError for a line without points */
export function distanceToLineM(point: PointM, line: readonly PointM[]): number {
  const [first] = line
  if (!first) throw new RangeError('A line has a point at least.')
  let nearest = distanceM(point, first)
  for (let i = 1; i < line.length; i++) {
    const [[ax, ay], [bx, by]] = [line[i - 1]!, line[i]!]
    const lengthSquared = (bx - ax) ** 2 + (by - ay) ** 2
    const along = lengthSquared
      ? Math.max(0, Math.min(1, ((point[0] - ax) * (bx - ax) + (point[1] - ay) * (by - ay)) / lengthSquared))
      : 0
    nearest = Math.min(nearest, distanceM(point, [ax + along * (bx - ax), ay + along * (by - ay)]))
  }
  return nearest
}

export interface Extent {
  minX: number
  minY: number
  maxX: number
  maxY: number
}

/** The smallest upright box round some points; undefined for none. */
export function extentOf(points: readonly PointM[]): Extent | undefined {
  if (!points.length) return undefined
  const extent = {
    minX: Number.POSITIVE_INFINITY,
    minY: Number.POSITIVE_INFINITY,
    maxX: Number.NEGATIVE_INFINITY,
    maxY: Number.NEGATIVE_INFINITY,
  }
  for (const [x, y] of points) {
    if (x < extent.minX) extent.minX = x
    if (x > extent.maxX) extent.maxX = x
    if (y < extent.minY) extent.minY = y
    if (y > extent.maxY) extent.maxY = y
  }
  return extent
}

/**
 * An outline with one side made as long as it was typed: what follows moves along; the closing side moves its own end
 * alone, or nothing would close any more.
 * @throws RangeError for a length that is none, or a side without a direction
 */
export function withSide(ring: Ring, side: number, metres: number): PointM[] {
  const next = (side + 1) % ring.length
  const [from, to] = [ring[side]!, ring[next]!]
  const length = distanceM(from, to)
  if (!(metres > 0) || !(length > 0)) throw new RangeError('A side is longer than nothing.')
  const [dx, dy] = [((to[0] - from[0]) / length) * (metres - length), ((to[1] - from[1]) / length) * (metres - length)]
  return ring.map(([x, y], i): PointM =>
    next === 0 ? (i === side ? [x - dx, y - dy] : [x, y]) : i >= next ? [x + dx, y + dy] : [x, y],
  )
}

/**
 * Next corner by tape and turn: so many metres on, after a turn away from the last side.
 * @param turnDeg left positive, 0 straight on; for the first side counted from north, clockwise negative
 */
export function tapeOn(line: readonly PointM[], alongM: number, turnDeg: number): PointM {
  const [x, y] = line.at(-1)!
  const before = line.at(-2)
  const heading = before ? Math.atan2(y - before[1], x - before[0]) : Math.PI / 2
  const to = heading + (turnDeg * Math.PI) / 180
  return [x + alongM * Math.cos(to), y + alongM * Math.sin(to)]
}
