import { EigenvalueDecomposition, inverse, Matrix } from 'ml-matrix'
import { addUp, sumsOf } from './sums'

/** Of what is gone to this share in a day, only the day before is remembered. */
const FORGOTTEN = 1e-6
/** Waves whose sum is a day's surface. */
export const WAVES = 3

/** Of each day of a run, the strengths of the waves, K or °C. */
export type WavesByDay = readonly [mean: Float64Array, swing: Float64Array, peak: Float64Array]

/** A column seen as modes, each of which fades by a share of its own a day, whatever the others do. */
export interface SoilModes {
  /**
   * Follows a column from its second day to the one before its last. What is shallow fades within hours: it is known from the
   * waves of the day before, and only the deep modes are carried on.
   * @param tempC at the beginning of the second day; afterwards, at that of the last
   * @param each told of a day what is felt on it, from a place in an array on
   */
  follow: (tempC: Float64Array, waves: WavesByDay, each: (d: number, felt: Float64Array, from: number) => void) => void
}

/**
 * The eigenvectors of a day of conduction. Agrees with its 24 steps to a ten-thousandth of a kelvin.
 * @param weights of each node, then of each wave, on the nodes at a day's end and on what is felt
 * @source linear algebra textbooks: x(d + 1) = A x(d) + B u(d) in the eigenvectors of A
 */
export function soilModes(weights: readonly (readonly number[])[], nodes: number): SoilModes {
  const all = new Matrix(weights as number[][]).transpose()
  const ofNodes = (from: number, to: number) => all.subMatrix(from, to, 0, nodes - 1)
  const ofWaves = (from: number, to: number) => all.subMatrix(from, to, nodes, nodes + WAVES - 1)
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(ofNodes(0, nodes - 1))
  const kept = [...realEigenvalues.keys()].filter((i) => Math.abs(realEigenvalues[i]!) >= FORGOTTEN)
  const faded = [...realEigenvalues.keys()].filter((i) => Math.abs(realEigenvalues[i]!) < FORGOTTEN)
  const intoModes = inverse(eigenvectorMatrix)
  const wavesInto = intoModes.mmul(ofWaves(0, nodes - 1))
  const columnOf = (modes: number[]) => eigenvectorMatrix.subMatrixColumn(modes)
  const feltOf = (modes: number[]) => ofNodes(nodes, all.rows - 1).mmul(columnOf(modes))

  const count = kept.length
  const remain = Float64Array.from(kept, (i) => realEigenvalues[i]!)
  const taken = Float64Array.from(wavesInto.subMatrixRow(kept).to1DArray())
  const [toKept, fromKept] = [intoModes.subMatrixRow(kept), columnOf(kept)]
  const fromBefore = columnOf(faded).mmul(wavesInto.subMatrixRow(faded))
  // Sources in their order: modes, waves of the day before, waves of the day.
  const felt = [feltOf(kept), feltOf(faded).mmul(wavesInto.subMatrixRow(faded)), ofWaves(nodes, all.rows - 1)]
  const sums = sumsOf(felt.flatMap((of) => of.transpose().to2DArray()))

  return {
    follow(tempC, [mean, swing, peak], each) {
      const { sources } = sums
      sources.set(toKept.mmul(Matrix.columnVector(Array.from(tempC))).to1DArray())
      const last = mean.length - 1
      for (let d = 1; d < last; d++) {
        const [a, b, c] = [mean[d]!, swing[d]!, peak[d]!]
        sources[count] = mean[d - 1]!
        sources[count + 1] = swing[d - 1]!
        sources[count + 2] = peak[d - 1]!
        sources[count + 3] = a
        sources[count + 4] = b
        sources[count + 5] = c
        each(d, addUp(sums), 0)
        for (let k = 0; k < count; k++) {
          const at = WAVES * k
          sources[k] = remain[k]! * sources[k]! + taken[at]! * a + taken[at + 1]! * b + taken[at + 2]! * c
        }
      }
      const before = [mean[last - 1]!, swing[last - 1]!, peak[last - 1]!]
      const column = Matrix.add(
        fromKept.mmul(Matrix.columnVector(Array.from(sources.subarray(0, count)))),
        fromBefore.mmul(Matrix.columnVector(before)),
      )
      tempC.set(column.to1DArray())
    },
  }
}
