/** z of a two-sided 90 % interval. */
export const Z_90 = 1.645

/** Lower and upper end of what a counted share may be in truth, 0-1. */
export type Interval = readonly [low: number, high: number]

/**
 * 90 % interval of a binomial share.
 * @param share counted, 0-1
 * @param of number of independent cases it was counted over
 * @throws RangeError for a share outside of 0-1 or no cases
 * @source Wilson 1927
 */
export function wilsonInterval(share: number, of: number, z = Z_90): Interval {
  if (!(share >= 0 && share <= 1) || !(of > 0)) throw new RangeError('A share between 0 and 1, of one case or more.')
  const z2 = z ** 2
  const middle = (share + z2 / (2 * of)) / (1 + z2 / of)
  const half = (z / (1 + z2 / of)) * Math.sqrt((share * (1 - share)) / of + z2 / (4 * of ** 2))
  return [Math.max(0, middle - half), Math.min(1, middle + half)]
}
