/**
 * Areas of taped shapes, all in metres. Impossible shapes throw: a wrong area spoils every quantity after it.
 */
function positive(...lengths: number[]): void {
  if (lengths.some((m) => !Number.isFinite(m) || m <= 0)) throw new RangeError('Every side has to be longer than nothing.')
}

/** @returns m² */
export function rectangleM2(lengthM: number, widthM: number): number {
  positive(lengthM, widthM)
  return lengthM * widthM
}

/**
 * Triangle from its three sides, by Heron's formula in Kahan's order, steady for needle shapes.
 * @returns m²
 * @throws RangeError when the sides do not close
 */
export function triangleM2(aM: number, bM: number, cM: number): number {
  positive(aM, bM, cM)
  const [x, y, z] = [aM, bM, cM].sort((p, q) => q - p) as [number, number, number]
  const product = (x + (y + z)) * (z - (x - y)) * (z + (x - y)) * (x + (y - z))
  if (z - (x - y) <= 0) throw new RangeError('These three sides do not close to a triangle.')
  return Math.sqrt(product) / 4
}
