import { wilsonInterval } from '../measure/proportion'

/** What is met at a point of the quadrat, in the order it is counted. */
export const COVER_KINDS = ['desirable', 'weeds', 'coarse', 'bare'] as const

export interface CountedCover {
  shares: number[]
  points: number
  /** Half the width of the 90 % interval of the wanted share. */
  error: number
}

/**
 * Cover by counted points: each share with how far it may be out.
 * @param counts one for each of COVER_KINDS @throws RangeError for no points or counts that are none
 * @source Wilson 1927, half its width
 */
export function countedCover(counts: readonly number[]): CountedCover {
  if (counts.length !== COVER_KINDS.length || counts.some((n) => !Number.isInteger(n) || n < 0))
    throw new RangeError('Four whole counts, none below 0.')
  const points = counts.reduce((sum, n) => sum + n, 0)
  if (!points) throw new RangeError('No point is counted yet.')
  const shares = counts.map((n) => n / points)
  const [low, high] = wilsonInterval(shares[0]!, points)
  return { shares, points, error: (high - low) / 2 }
}
