import { copyColumn, PROBE_DEPTH_M, SEED_DEPTH_M, stepColumn, type SoilColumn } from './soil'

/** Sources that are added in one sweep over the results: as many as a processor holds at hand. */
const SWEEP = 9
/** Hours of a day by which the surface follows the air's range and the sun. */
const HOURS = 24

/**
 * A day of conduction in one stroke. The scheme is linear, and a day's surface is the sum of three waves: so the column
 * at its end, the seedbed of its hours and the probe's mean are sums of the column at its beginning and of the waves,
 * with weights that are the same every day. The weights are read off `stepColumn` itself, by letting it follow a degree
 * in each place alone; the result is that of 24 steps, but for rounding.
 */
export interface SoilDay {
  /** Nodes of a column. */
  nodes: number
  /** What a day begins with: nodes, then waves, then zeros up to whole sweeps. */
  sources: Float64Array
  /** For each source in turn its weights on the results: nodes at the day's end, seedbed by hour, probe's mean. */
  weights: Float64Array
  /** Results of the last day. */
  results: Float64Array
}

/** @param waves courses of 24 values whose sum is a day's surface */
export function soilDay(
  column: SoilColumn,
  waves: readonly [ArrayLike<number>, ArrayLike<number>, ArrayLike<number>],
): SoilDay {
  const nodes = column.tempC.length
  const width = nodes + HOURS + 1
  const sources = new Float64Array(Math.ceil((nodes + waves.length) / SWEEP) * SWEEP)
  const [seedNode, probeNode] = [column.depthsM.indexOf(SEED_DEPTH_M), column.depthsM.indexOf(PROBE_DEPTH_M)]
  const weights = new Float64Array(sources.length * width)
  for (let source = 0; source < nodes + waves.length; source++) {
    const trial = copyColumn(column)
    trial.tempC.fill(0)
    if (source < nodes) trial.tempC[source] = 1
    const wave = waves[source - nodes]
    const at = source * width
    for (let h = 0; h < HOURS; h++) {
      stepColumn(trial, wave ? wave[h]! : 0)
      weights[at + nodes + h] = trial.tempC[seedNode]!
      weights[at + nodes + HOURS]! += trial.tempC[probeNode]! / HOURS
    }
    weights.set(trial.tempC, at)
  }
  return { nodes, sources, weights, results: new Float64Array(width) }
}

/**
 * Moves a column on by a day. A sweep of sources at a time: results are read and written once for them.
 * @param strengths of the waves on this day, K or °C
 * @returns the day's results: nodes at its end, then the seedbed of its hours, °C, and the probe's mean; valid until the next
 */
export function strikeDay(
  { nodes, sources, weights, results }: SoilDay,
  tempC: Float64Array,
  strengths: readonly [number, number, number],
): Float64Array {
  const width = results.length
  for (let i = 0; i < nodes; i++) sources[i] = tempC[i]!
  for (let i = 0; i < 3; i++) sources[nodes + i] = strengths[i]!
  results.fill(0)
  for (let s = 0, at = 0; s < sources.length; s += SWEEP, at += (SWEEP - 1) * width) {
    const [a, b, c] = [sources[s]!, sources[s + 1]!, sources[s + 2]!]
    const [d, e, f] = [sources[s + 3]!, sources[s + 4]!, sources[s + 5]!]
    const [g, h, j] = [sources[s + 6]!, sources[s + 7]!, sources[s + 8]!]
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
        h * weights[at + 7 * width]! +
        j * weights[at + 8 * width]!
    }
  }
  for (let i = 0; i < nodes; i++) tempC[i] = results[i]!
  return results
}
