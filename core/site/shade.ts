import { extentOf, type Extent, type Outline, type PointM } from './geometry'
import { heightOf, reachOf, type Feature, type Features } from './sitePlan'

/** Azimuths a horizon is kept in, one a degree, clockwise from north. */
const AZIMUTHS = 360
/** Share of a tree's height that is bare trunk: low sun comes in under the crown. @source own */
const TRUNK_SHARE = 0.25
const TURN = AZIMUTHS / (2 * Math.PI)

/** A grid over some ground, with the points that are lawn. */
export interface SunGrid {
  extent: Extent
  cellM: number
  columns: number
  rows: number
  /** Index of the outline each cell lies in, row by row from the south-west corner; -1 for none. */
  owner: Int16Array
  /** Cells that are lawn, as indices into `owner`. */
  lawn: Int32Array
}

/** Cells a sun map has at the most: a hectare at half a metre. */
export const MOST_CELLS = 40_000
/**
 * Cells times what casts a shadow on them, at the most: about a second's work. A plan that asks for more gets a
 * coarser grid.
 */
export const MOST_SHADOWS = 6_000_000

/**
 * @param shadows walls and crowns that each cell looks at
 * @param mostCells each takes some 4 kB while the sun is worked out
 * @returns the finest cell, m, not under `wantedM`, that keeps a grid within bounds
 */
export function cellFor(
  groups: readonly (readonly Outline[])[],
  wantedM: number,
  shadows = 0,
  mostCells = MOST_CELLS,
): number {
  const box = extentOf(groups.flat().flatMap(({ outer }) => outer))
  if (!box) return wantedM
  const cells = Math.min(mostCells, MOST_SHADOWS / Math.max(1, shadows))
  return Math.max(wantedM, Math.sqrt(((box.maxX - box.minX) * (box.maxY - box.minY)) / cells))
}

/** How many walls and crowns a cell looks at. */
export const shadowsOf = (features: Features): number =>
  wallsOf(features).length + Object.values(features).filter(({ kind }) => kind === 'tree').length

/** Lays a grid over groups of outlines, such as those of each zone. */
export function sunGrid(groups: readonly (readonly Outline[])[], cellM: number): SunGrid {
  const extent = extentOf(groups.flat().flatMap(({ outer }) => outer)) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 }
  const columns = Math.max(1, Math.ceil((extent.maxX - extent.minX) / cellM))
  const rows = Math.max(1, Math.ceil((extent.maxY - extent.minY) / cellM))
  const owner = new Int16Array(columns * rows).fill(-1)
  groups.forEach((outlines, group) => {
    for (const outline of outlines) own(owner, { extent, cellM, columns, rows }, outline, group)
  })
  const lawn: number[] = []
  for (let cell = 0; cell < owner.length; cell++) if (owner[cell]! >= 0) lawn.push(cell)
  return { extent, cellM, columns, rows, owner, lawn: Int32Array.from(lawn) }
}

/**
 * Gives a group the cells whose middle lies in one of its outlines, row by row between the sides that cross the row; the
 * first to come keeps a cell.
 */
function own(
  owner: Int16Array,
  { extent, cellM, columns, rows }: Pick<SunGrid, 'extent' | 'cellM' | 'columns' | 'rows'>,
  { outer, holes }: Outline,
  group: number,
): void {
  const box = extentOf(outer)!
  const firstRow = Math.max(0, Math.floor((box.minY - extent.minY) / cellM - 0.5))
  const crossings = Array.from(
    { length: Math.max(0, Math.min(rows, Math.ceil((box.maxY - extent.minY) / cellM + 0.5)) - firstRow) },
    (): number[] => [],
  )
  const endRow = firstRow + crossings.length
  for (const ring of [outer, ...holes]) {
    ring.forEach(([ax, ay], i) => {
      const [bx, by] = ring[(i + 1) % ring.length]!
      const [low, high] = ay < by ? [ay, by] : [by, ay]
      const first = Math.max(firstRow, Math.ceil((low - extent.minY) / cellM - 0.5))
      for (let row = first; row < endRow; row++) {
        const y = extent.minY + (row + 0.5) * cellM
        if (y >= high) break
        if (y >= low) crossings[row - firstRow]!.push(ax + ((bx - ax) * (y - ay)) / (by - ay))
      }
    })
  }
  crossings.forEach((xs, i) => {
    const row = firstRow + i
    xs.sort((a, b) => a - b)
    for (let k = 0; k + 1 < xs.length; k += 2) {
      const from = Math.max(0, Math.ceil((xs[k]! - extent.minX) / cellM - 0.5))
      for (let column = from; column < columns && extent.minX + (column + 0.5) * cellM < xs[k + 1]!; column++) {
        const cell = row * columns + column
        if (owner[cell] === -1) owner[cell] = group
      }
    }
  })
}

export const centreOf = (
  { extent, cellM, columns }: Pick<SunGrid, 'extent' | 'cellM' | 'columns'>,
  cell: number,
): PointM => [extent.minX + ((cell % columns) + 0.5) * cellM, extent.minY + (Math.floor(cell / columns) + 0.5) * cellM]

/**
 * What stands round each lawn cell, as the tangent of the height of the sun it hides: from the ground up to `solid`, and
 * from `crownLow` to `crownHigh` where tree crowns stand. Crowns that overlap in one direction count as one. All cells of
 * one direction lie together: the sun asks all of them about one direction at a time.
 */
export interface Horizons {
  cells: number
  solid: Float32Array
  crownLow: Float32Array
  crownHigh: Float32Array
  /** Directions in which any cell sees a crown. */
  crowns: Uint8Array
}

type Wall = readonly [PointM, PointM, number]

function wallsOf(features: Features): Wall[] {
  return Object.values(features).flatMap((feature): Wall[] => {
    const height = heightOf(feature)
    if (feature.kind === 'fence') return feature.points.slice(1).map((to, i) => [feature.points[i]!, to, height])
    if (feature.kind !== 'building') return []
    return feature.points.map((from, i) => [from, feature.points[(i + 1) % feature.points.length]!, height])
  })
}

/** Raises the horizon of one cell by a wall. */
function raiseByWall(
  { solid, cells }: Horizons,
  cell: number,
  [x, y]: PointM,
  [[ax, ay], [bx, by], height]: Wall,
): void {
  const [px, py, qx, qy] = [ax - x, ay - y, bx - x, by - y]
  // Twice the area of the triangle to the wall: positive where its end lies clockwise of its start.
  const cross = px * qy - py * qx
  if (Math.abs(cross) < 1e-9) return
  const [fromX, fromY, toX, toY] = cross < 0 ? [px, py, qx, qy] : [qx, qy, px, py]
  const from = Math.atan2(fromX, fromY) * TURN
  let span = Math.atan2(toX, toY) * TURN - from
  if (span < 0) span += AZIMUTHS
  const size = Math.abs(cross)
  for (let k = Math.ceil(from - 0.5); k <= Math.floor(from + span + 0.5); k++) {
    const angle = Math.min(Math.max(k, from), from + span) / TURN
    // Distance along the ray to the wall, over the height: the tangent wanted.
    const across = Math.abs(Math.sin(angle) * (toY - fromY) - Math.cos(angle) * (toX - fromX))
    const tangent = (height * across) / size
    const bin = (((k % AZIMUTHS) + AZIMUTHS) % AZIMUTHS) * cells + cell
    if (tangent > solid[bin]!) solid[bin] = tangent
  }
}

/** Hangs the crown of a tree into the view of one cell. */
function hangCrown(
  { crownLow, crownHigh, crowns, cells }: Horizons,
  cell: number,
  [x, y]: PointM,
  tree: Feature,
): void {
  const [tx, ty] = tree.points[0]!
  const [dx, dy] = [tx - x, ty - y]
  const height = heightOf(tree)
  const radius = Math.max(reachOf(tree), 0.1)
  const away = Math.hypot(dx, dy)
  const beneath = away < radius
  const middle = Math.atan2(dx, dy)
  const half = beneath ? Math.PI : Math.asin(Math.min(1, radius / away))
  const first = Math.ceil((middle - half) * TURN)
  const last = beneath ? first + AZIMUTHS - 1 : Math.floor((middle + half) * TURN)
  for (let k = first; k <= last; k++) {
    const off = k / TURN - middle
    const chord = Math.sqrt(Math.max(0, radius ** 2 - (away * Math.sin(off)) ** 2))
    const near = Math.max(away * Math.cos(off) - chord, 0)
    const far = away * Math.cos(off) + chord
    if (far <= 0) continue
    const direction = ((k % AZIMUTHS) + AZIMUTHS) % AZIMUTHS
    const bin = direction * cells + cell
    crowns[direction] = 1
    crownLow[bin] = Math.min(crownLow[bin]!, (height * TRUNK_SHARE) / far)
    crownHigh[bin] = Math.max(crownHigh[bin]!, near > 0 ? height / near : Number.POSITIVE_INFINITY)
  }
}

/** What every lawn cell of a grid sees round itself. */
export function horizonsOf(grid: SunGrid, features: Features): Horizons {
  const size = grid.lawn.length * AZIMUTHS
  const horizons: Horizons = {
    cells: grid.lawn.length,
    solid: new Float32Array(size),
    crownLow: new Float32Array(size).fill(Number.POSITIVE_INFINITY),
    crownHigh: new Float32Array(size),
    crowns: new Uint8Array(AZIMUTHS),
  }
  const walls = wallsOf(features)
  const trees = Object.values(features).filter(({ kind }) => kind === 'tree')
  grid.lawn.forEach((cell, i) => {
    const at = centreOf(grid, cell)
    for (const wall of walls) raiseByWall(horizons, i, at, wall)
    for (const tree of trees) hangCrown(horizons, i, at, tree)
  })
  return horizons
}

const binOf = (azimuthDeg: number): number => Math.round(azimuthDeg) % AZIMUTHS

/** Does the sun reach lawn cell `i`? @param tangent of the height of the sun @param azimuthDeg clockwise from north */
export function sunReaches(
  { solid, crownLow, crownHigh, cells }: Horizons,
  i: number,
  azimuthDeg: number,
  tangent: number,
): boolean {
  const bin = binOf(azimuthDeg) * cells + i
  return tangent > solid[bin]! && !(tangent > crownLow[bin]! && tangent < crownHigh[bin]!)
}

/** How many of some rising values lie below a limit. @param inclusive whether those at the limit count */
function countBelow(rising: Float64Array, limit: number, inclusive: boolean): number {
  let [from, to] = [0, rising.length]
  while (from < to) {
    const middle = (from + to) >> 1
    const value = rising[middle]!
    if (value < limit || (inclusive && value === limit)) from = middle + 1
    else to = middle
  }
  return from
}

/**
 * Counts for every cell the stands of the sun that reach it. Stands in one direction are looked at together, by their
 * rising tangents: a year of days costs little more than one.
 * @param stands azimuth clockwise from north, and tangent of the height
 * @returns counts in the order of the cells
 */
export function countSun(
  { solid, crownLow, crownHigh, crowns, cells }: Horizons,
  stands: readonly { azimuthDeg: number; tangent: number }[],
): Uint32Array {
  const byBin = new Map<number, number[]>()
  for (const { azimuthDeg, tangent } of stands) {
    const bin = binOf(azimuthDeg)
    const there = byBin.get(bin)
    if (there) there.push(tangent)
    else byBin.set(bin, [tangent])
  }
  const counts = new Uint32Array(cells)
  for (const [bin, tangents] of byBin) {
    const rising = Float64Array.from(tangents).sort()
    const start = bin * cells
    for (let i = 0; i < cells; i++) {
      const over = countBelow(rising, solid[start + i]!, true)
      let reached = rising.length - over
      if (crowns[bin]) {
        const hidden =
          countBelow(rising, crownHigh[start + i]!, false) -
          Math.max(over, countBelow(rising, crownLow[start + i]!, true))
        if (hidden > 0) reached -= hidden
      }
      counts[i]! += reached
    }
  }
  return counts
}
