import { gammaln, mean, sampleVariance } from 'simple-statistics'

/** Chance of being wrong at each end of a 90 % interval. */
const TAIL = 0.05

/** Seedlings counted in several frames of one size. */
export interface CountInterval {
  frames: number
  mean: number
  /** 90 % interval of the mean. */
  low: number
  high: number
  /** They differ from each other by more than chance alone: some ground stands thinner. */
  patchy: boolean
}

/**
 * Sums a distribution from `x` down, or what lies beyond it from `x` up: from its middle outwards nothing is lost.
 * @param ratio of the chance of k - 1 to that of k
 */
function cdfAt(log: (x: number) => number, x: number, mean: number, ratio: (k: number) => number): number {
  let sum = 0
  if (x <= mean) {
    let term = Math.exp(log(x))
    for (let k = x; k >= 0 && term > sum * 1e-17; k--) {
      sum += term
      term *= ratio(k)
    }
    return Math.min(1, sum)
  }
  let term = Math.exp(log(x + 1))
  for (let k = x + 1; term > sum * 1e-17; k++) {
    sum += term
    term /= ratio(k + 1)
  }
  return Math.max(0, 1 - sum)
}

/**
 * The smallest count of which a Poisson distribution has at least so much at and below it.
 * @param part 0-1, below 1
 * @source statistics textbooks: by its terms, one after the other
 */
export function poissonQuantile(part: number, mean: number): number {
  let [count, term] = [0, Math.exp(-mean)]
  // Past ten means nothing is left but rounding.
  for (let sum = term; sum < part && count < 10 * mean + 50; sum += term) term *= mean / ++count
  return count
}

/** @param mean above 0 @returns chance of `x` or fewer of a Poisson count @source statistics textbooks */
export const poissonCdf = (x: number, mean: number): number =>
  x < 0
    ? 0
    : cdfAt(
        (k) => k * Math.log(mean) - mean - gammaln(k + 1),
        x,
        mean,
        (k) => k / mean,
      )

/**
 * @param mean above 0
 * @param size the smaller, the patchier: variance is mean + mean² / size
 * @returns chance of `x` or fewer of a negative binomial count
 * @source statistics textbooks
 */
export function negativeBinomialCdf(x: number, mean: number, size: number): number {
  if (x < 0) return 0
  const miss = mean / (size + mean)
  const log = (k: number) =>
    gammaln(k + size) - gammaln(size) - gammaln(k + 1) + size * Math.log(1 - miss) + k * Math.log(miss)
  return cdfAt(log, x, mean, (k) => k / ((k - 1 + size) * miss))
}

/** The mean at which a falling chance takes a value. @param high a mean at which it is below */
function meanAt(chance: (mean: number) => number, wanted: number, high: number): number {
  let [low, up] = [1e-9, high]
  for (let step = 0; step < 60; step++) {
    const middle = (low + up) / 2
    if (chance(middle) > wanted) low = middle
    else up = middle
  }
  return (low + up) / 2
}

/** Frames from which their own spread is gone by. */
const LEAST_FRAMES = 3
/** The patchiest that is believed of a handful of frames. */
const LEAST_SIZE = 0.5

/** How patchy counts in equal frames are: size of their negative binomial; Infinity where chance alone explains them. */
export function sizeOf(counts: readonly number[]): number {
  if (counts.length < LEAST_FRAMES) return Infinity
  const [middle, variance] = [mean([...counts]), sampleVariance([...counts])]
  return variance > middle ? Math.max(LEAST_SIZE, middle ** 2 / (variance - middle)) : Infinity
}

/**
 * Mean of counts in equal frames with its 90 % interval: of a Poisson count, or of a negative binomial one where frames differ
 * by more than chance.
 * @param counts seedlings in each frame, whole numbers from 0
 * @throws RangeError without a frame
 * @source statistics textbooks: both tails of the sum inverted (Garwood 1936); size by moments
 */
export function countInterval(counts: readonly number[]): CountInterval {
  if (!counts.length) throw new RangeError('No frame was counted.')
  const frames = counts.length
  const sum = counts.reduce((all, count) => all + count, 0)
  const middle = mean([...counts])
  const size = sizeOf(counts)
  // A sum of negative binomial counts is one of as many times the size.
  const cdf = (x: number, of: number) =>
    size === Infinity ? poissonCdf(x, of) : negativeBinomialCdf(x, of, size * frames)
  const far = 20 * (sum + 10)
  return {
    frames,
    mean: middle,
    low: sum === 0 ? 0 : meanAt((of) => cdf(sum - 1, of), 1 - TAIL, far) / frames,
    high: meanAt((of) => cdf(sum, of), TAIL, far) / frames,
    patchy: size !== Infinity,
  }
}
