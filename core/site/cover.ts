/** What is met at a point of the quadrat, in the order it is counted. */
export const COVER_KINDS = ['desirable', 'weeds', 'coarse', 'bare'] as const

export interface CountedCover {
  shares: number[]
  points: number
  /** Half the width of the 90 % interval of the wanted share. */
  error: number
}

/** z of a two-sided 90 % interval. */
const Z_90 = 1.645

/**
 * Cover by counted points: each share with how far it may be out.
 * @param counts one for each of COVER_KINDS @throws RangeError for no points or counts that are none
 * @source half width of the Wilson interval for a binomial share, as statistics handbooks have it
 */
export function countedCover(counts: readonly number[]): CountedCover {
  if (counts.length !== COVER_KINDS.length || counts.some((n) => !Number.isInteger(n) || n < 0))
    throw new RangeError('Four whole counts, none below 0.')
  const points = counts.reduce((sum, n) => sum + n, 0)
  if (!points) throw new RangeError('No point is counted yet.')
  const shares = counts.map((n) => n / points)
  const p = shares[0]!
  const z2 = Z_90 ** 2
  return {
    shares,
    points,
    error: (Z_90 / (1 + z2 / points)) * Math.sqrt((p * (1 - p)) / points + z2 / (4 * points ** 2)),
  }
}
