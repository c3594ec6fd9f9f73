/** Sources that are added in one sweep over the results: as many as a processor holds at hand. */
const SWEEP = 8

/** Results that are sums of the same sources, each with weights of its own. */
export interface Sums {
  /** To be set; then zeros up to whole sweeps. */
  sources: Float64Array
  /** For each source in turn its weights on all results. */
  weights: Float64Array
  /** Of the last sources. */
  results: Float64Array
}

/** @param weights of each source on all results */
export function sumsOf(weights: readonly ArrayLike<number>[]): Sums {
  const width = weights[0]!.length
  const sources = new Float64Array(Math.ceil(weights.length / SWEEP) * SWEEP)
  const flat = new Float64Array(sources.length * width)
  weights.forEach((of, source) => {
    flat.set(of, source * width)
  })
  return { sources, weights: flat, results: new Float64Array(width) }
}

/**
 * Adds the sources up. This is the hot loop of a season: a sweep of sources at a time, so that results are read and written
 * once for them.
 * @returns the results; valid until the next
 */
export function addUp({ sources, weights, results }: Sums): Float64Array {
  const width = results.length
  results.fill(0)
  for (let s = 0, at = 0; s < sources.length; s += SWEEP, at += (SWEEP - 1) * width) {
    const [a, b, c, d] = [sources[s]!, sources[s + 1]!, sources[s + 2]!, sources[s + 3]!]
    const [e, f, g, h] = [sources[s + 4]!, sources[s + 5]!, sources[s + 6]!, sources[s + 7]!]
    for (let i = 0; i < width; i++, at++) {
      results[i] =
        results[i]! +
        a * weights[at]! +
        b * weights[at + width]! +
        c * weights[at + 2 * width]! +
        d * weights[at + 3 * width]! +
        e * weights[at + 4 * width]! +
        f * weights[at + 5 * width]! +
        g * weights[at + 6 * width]! +
        h * weights[at + 7 * width]!
    }
  }
  return results
}
