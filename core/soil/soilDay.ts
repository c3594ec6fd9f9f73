import { copyColumn, PROBE_DEPTH_M, SEED_DEPTH_M, stepColumn, type SoilColumn } from './soil'
import { soilModes, WAVES, type SoilModes, type WavesByDay } from './soilModes'
import { addUp, sumsOf, type Sums } from './sums'

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
  /** Of nodes, then waves: nodes at the day's end, seedbed by hour, probe's mean. */
  sums: Sums
  /** The same seen from day to day, where only what is felt is asked. */
  modes: SoilModes
}

/** @param waves courses of 24 values whose sum is a day's surface */
export function soilDay(
  column: SoilColumn,
  waves: readonly [ArrayLike<number>, ArrayLike<number>, ArrayLike<number>],
): SoilDay {
  const nodes = column.tempC.length
  const [seedNode, probeNode] = [column.depthsM.indexOf(SEED_DEPTH_M), column.depthsM.indexOf(PROBE_DEPTH_M)]
  const weights = Array.from({ length: nodes + WAVES }, (_, source) => {
    const trial = copyColumn(column)
    trial.tempC.fill(0)
    if (source < nodes) trial.tempC[source] = 1
    const wave = waves[source - nodes]
    const felt = new Float64Array(HOURS + 1)
    for (let h = 0; h < HOURS; h++) {
      stepColumn(trial, wave ? wave[h]! : 0)
      felt[h] = trial.tempC[seedNode]!
      felt[HOURS]! += trial.tempC[probeNode]! / HOURS
    }
    return [...trial.tempC, ...felt]
  })
  return { nodes, sums: sumsOf(weights), modes: soilModes(weights, nodes) }
}

/**
 * Moves a column on by a day.
 * @param strengths of the waves on this day, K or °C
 * @returns the day's results: nodes at its end, then the seedbed of its hours, °C, and the probe's mean; valid until the next
 */
export function strikeDay(
  { nodes, sums }: SoilDay,
  tempC: Float64Array,
  strengths: readonly [number, number, number],
): Float64Array {
  sums.sources.set(tempC)
  sums.sources.set(strengths, nodes)
  const results = addUp(sums)
  for (let i = 0; i < nodes; i++) tempC[i] = results[i]!
  return results
}

/**
 * Moves a column on by many days. The first and the last are struck whole, since a column is what begins and ends it; those
 * between are followed in its modes, in half of the work.
 * @param each told of a day what is felt on it, °C, from a place in an array on: the seedbed of its hours, then the probe's mean
 */
export function strikeDays(
  day: SoilDay,
  tempC: Float64Array,
  waves: WavesByDay,
  each: (d: number, felt: Float64Array, from: number) => void,
): void {
  const days = waves[0].length
  const whole = (d: number) => {
    each(d, strikeDay(day, tempC, [waves[0][d]!, waves[1][d]!, waves[2][d]!]), day.nodes)
  }
  if (days > 0) whole(0)
  if (days > 2) day.modes.follow(tempC, waves, each)
  if (days > 1) whole(days - 1)
}
