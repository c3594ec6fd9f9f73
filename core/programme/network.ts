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
  why: string
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

export interface Spans {
  spans: Map<string, Span>
  /** Limits broken by what is already fixed; they no longer bind. */
  conflicts: Conflict[]
  /** False when the lags cannot all be kept. */
  possible: boolean
}

const ORIGIN = '\u0000'

/**
 * Earliest and latest day of every operation.
 * @param fixed day numbers that cannot move any more
 * @param notBefore day number before which nothing unfixed may be placed, by operation
 */
export function spansOf(
  names: readonly string[], lags: readonly Lag[], fixed: ReadonlyMap<string, number>, notBefore: ReadonlyMap<string, number> = new Map(),
): Spans {
  const nodes = [ORIGIN, ...names]
  const index = new Map(nodes.map((name, i) => [name, i]))
  const n = nodes.length
  const distance = Array.from({ length: n }, (_, i) => new Float64Array(n).fill(Number.POSITIVE_INFINITY).fill(0, i, i + 1))
  const bound = (from: string, to: string, days: number) => {
    const row = distance[index.get(from)!]!
    const column = index.get(to)!
    row[column] = Math.min(row[column]!, days)
  }
  const conflicts: Conflict[] = []
  for (const lag of lags) {
    const [a, b] = [fixed.get(lag.from), fixed.get(lag.to)]
    if (a !== undefined && b !== undefined) {
      const days = b - a
      if (days < lag.leastDays || days > (lag.mostDays ?? Number.POSITIVE_INFINITY)) conflicts.push({ lag, days })
      continue
    }
    if (lag.mostDays !== undefined) bound(lag.from, lag.to, lag.mostDays)
    bound(lag.to, lag.from, -lag.leastDays)
  }
  for (const [name, day] of fixed) {
    bound(ORIGIN, name, day)
    bound(name, ORIGIN, -day)
  }
  for (const [name, day] of notBefore) if (!fixed.has(name)) bound(name, ORIGIN, -day)

  for (let k = 0; k < n; k++) {
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) {
        const via = distance[i]![k]! + distance[k]![j]!
        if (via < distance[i]![j]!) distance[i]![j] = via
      }
    }
  }
  const possible = distance.every((row, i) => row[i]! >= 0)
  const spans = new Map(names.map((name) => {
    const i = index.get(name)!
    return [name, { earliest: 0 - distance[i]![0]!, latest: distance[0]![i]! }]
  }))
  return { spans, conflicts, possible }
}
