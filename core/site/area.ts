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

/** Two parallel sides and the distance between them. @returns m² */
export function trapezoidM2(firstM: number, secondM: number, apartM: number): number {
  positive(firstM, secondM, apartM)
  return ((firstM + secondM) / 2) * apartM
}

/** @returns m² */
export function circleM2(diameterM: number): number {
  positive(diameterM)
  return (Math.PI / 4) * diameterM ** 2
}

/**
 * Offset method for an irregular lawn: widths at right angles to a base line, at equal spacing.
 * @returns m² by the trapezoidal rule and, when the number of intervals is even, by Simpson's
 */
export function offsetsM2(offsetsM: readonly number[], spacingM: number): { trapezoidal: number; simpson?: number } {
  positive(spacingM)
  if (offsetsM.length < 2) throw new RangeError('The offset method needs two offsets at least.')
  if (offsetsM.some((m) => !Number.isFinite(m) || m < 0)) throw new RangeError('An offset cannot be negative.')
  const last = offsetsM.length - 1
  const weighted = (weight: (i: number) => number) => offsetsM.reduce((sum, m, i) => sum + m * weight(i), 0)
  const end = (i: number) => i === 0 || i === last
  const trapezoidal = spacingM * weighted((i) => (end(i) ? 0.5 : 1))
  if (last % 2) return { trapezoidal }
  return { trapezoidal, simpson: (spacingM / 3) * weighted((i) => (end(i) ? 1 : i % 2 ? 4 : 2)) }
}
