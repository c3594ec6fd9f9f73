import { say, type Message } from '../../explain/message'

/** Why a bound binds, beside the lags. */
const FIXED = say('schedule.fixed')
const NOT_BEFORE = say('schedule.notBefore')
export const NOT_AFTER = say('schedule.notAfter')

/**
 * Simple temporal network: days of operations bound by least and most lags between them.
 * @source Dechter, Meiri & Pearl 1991, shortest paths on the distance graph; from memory
 */
export interface Lag {
  from: string
  to: string
  leastDays: number
  /** No upper limit when left out. */
  mostDays?: number
  why: Message
}

export interface Span {
  earliest: number
  latest: number
}

export interface Conflict {
  lag: Lag
  /** Days between the two as they are fixed. */
  days: number
}

/** What binds the days of a network besides its lags, as day numbers. */
export interface Bounds {
  /** Days that cannot move any more. */
  fixed: ReadonlyMap<string, number>
  notBefore?: ReadonlyMap<string, number>
  notAfter?: ReadonlyMap<string, number>
}

export interface Spans {
  spans: Map<string, Span>
  /** Limits broken by what is already fixed; they no longer bind. */
  conflicts: Conflict[]
  /** False when the lags cannot all be kept. */
  possible: boolean
  /** Where they cannot: lags and bounds that together ask for more days than there are, in order round the ring. */
  ring: Lag[]
}

/** Names the beginning of time in the lags of a ring that are bounds. */
export const ORIGIN = '\u0000'

/** The distance graph closed under its shortest paths. Node 0 is the origin. */
export interface Closed {
  /** Most days from one node to another, row by row. */
  distance: Float64Array
  size: number
  possible: boolean
  ring: Lag[]
  conflicts: Conflict[]
}

/** An edge of the distance graph with the lag that made it. */
interface Edge {
  from: number
  to: number
  days: number
  lag: Lag
}

function edgesOf(
  names: readonly string[],
  lags: readonly Lag[],
  { fixed, notBefore, notAfter }: Bounds,
): { edges: Edge[]; conflicts: Conflict[] } {
  const index = new Map([ORIGIN, ...names].map((name, i) => [name, i]))
  const edges: Edge[] = []
  const conflicts: Conflict[] = []
  const bound = (lag: Lag) => {
    const [from, to] = [index.get(lag.from)!, index.get(lag.to)!]
    if (lag.mostDays !== undefined) edges.push({ from, to, days: lag.mostDays, lag })
    if (lag.leastDays > Number.NEGATIVE_INFINITY) edges.push({ from: to, to: from, days: -lag.leastDays, lag })
  }
  for (const lag of lags) {
    const [a, b] = [fixed.get(lag.from), fixed.get(lag.to)]
    if (a === undefined || b === undefined) {
      bound(lag)
      continue
    }
    const days = b - a
    if (days < lag.leastDays || days > (lag.mostDays ?? Number.POSITIVE_INFINITY)) conflicts.push({ lag, days })
  }
  for (const [name, day] of fixed) bound({ from: ORIGIN, to: name, leastDays: day, mostDays: day, why: FIXED })
  for (const [name, day] of notBefore ?? [])
    if (!fixed.has(name)) bound({ from: ORIGIN, to: name, leastDays: day, why: NOT_BEFORE })
  for (const [name, day] of notAfter ?? [])
    if (!fixed.has(name))
      bound({ from: ORIGIN, to: name, leastDays: Number.NEGATIVE_INFINITY, mostDays: day, why: NOT_AFTER })
  return { edges, conflicts }
}

/**
 * A ring of edges whose days sum up to less than nothing, by relaxing each edge as often as there are nodes.
 * @source Dechter, Meiri & Pearl 1991, by Bellman-Ford
 */
function ringOf(edges: readonly Edge[], size: number): Lag[] {
  const reach = new Float64Array(size)
  const by: (Edge | undefined)[] = Array.from({ length: size })
  let last = -1
  for (let round = 0; round < size; round++) {
    last = -1
    for (const edge of edges) {
      if (reach[edge.from]! + edge.days >= reach[edge.to]! - 1e-9) continue
      reach[edge.to] = reach[edge.from]! + edge.days
      by[edge.to] = edge
      last = edge.to
    }
    if (last < 0) return []
  }
  // Far enough back along the edges lies the ring itself.
  let node = last
  for (let i = 0; i < size; i++) node = by[node]!.from
  const ring: Lag[] = []
  for (let at = node; ;) {
    const edge = by[at]!
    ring.push(edge.lag)
    at = edge.from
    if (at === node) return ring.reverse()
  }
}

/** Closes a network under its shortest paths (Floyd-Warshall). */
export function closed(names: readonly string[], lags: readonly Lag[], bounds: Bounds): Closed {
  const { edges, conflicts } = edgesOf(names, lags, bounds)
  const size = names.length + 1
  const distance = new Float64Array(size * size).fill(Number.POSITIVE_INFINITY)
  for (let i = 0; i < size; i++) distance[i * size + i] = 0
  for (const { from, to, days } of edges) distance[from * size + to] = Math.min(distance[from * size + to]!, days)
  for (let k = 0; k < size; k++) {
    for (let i = 0; i < size; i++) {
      const toK = distance[i * size + k]!
      if (toK === Number.POSITIVE_INFINITY) continue
      for (let j = 0; j < size; j++) {
        const via = toK + distance[k * size + j]!
        if (via < distance[i * size + j]!) distance[i * size + j] = via
      }
    }
  }
  let possible = true
  for (let i = 0; i < size; i++) if (distance[i * size + i]! < 0) possible = false
  return { distance, size, possible, conflicts, ring: possible ? [] : ringOf(edges, size) }
}

/** Earliest and latest day of every operation. */
export function spansOf(names: readonly string[], lags: readonly Lag[], bounds: Bounds): Spans {
  const { distance, size, possible, conflicts, ring } = closed(names, lags, bounds)
  const spans = new Map(
    names.map((name, i) => [name, { earliest: 0 - distance[(i + 1) * size]!, latest: distance[i + 1]! }]),
  )
  return { spans, conflicts, possible, ring }
}
