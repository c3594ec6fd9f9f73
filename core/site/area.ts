import { SaidError, say } from '../explain/message'

/**
 * Areas of taped shapes, all in metres. Impossible shapes throw: a wrong area spoils every quantity after it.
 */
function positive(...lengths: number[]): void {
  if (lengths.some((m) => !Number.isFinite(m) || m <= 0)) throw new SaidError(say('site.sidesLongerThanNothing'))
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
  if (z - (x - y) <= 0) throw new SaidError(say('site.noTriangle'))
  return Math.sqrt(product) / 4
}

/** Two parallel sides and the distance between them. @returns m² */
export function trapezoidM2(aM: number, bM: number, apartM: number): number {
  positive(aM, bM, apartM)
  return ((aM + bM) / 2) * apartM
}

/** Taped straight across. @returns m² */
export const circleM2 = (acrossM: number): number => ellipseM2(acrossM, acrossM)

/** Taped across its length and its width. @returns m² */
export function ellipseM2(lengthM: number, widthM: number): number {
  positive(lengthM, widthM)
  return (Math.PI / 4) * lengthM * widthM
}

/** Part of a ring, as round a bed or a drive. @param angleDeg up to 360 @returns m² */
export function ringSectorM2(outerRadiusM: number, innerRadiusM: number, angleDeg: number): number {
  positive(outerRadiusM, angleDeg)
  if (!(innerRadiusM >= 0) || innerRadiusM >= outerRadiusM) throw new SaidError(say('site.innerRadiusShorter'))
  if (angleDeg > 360) throw new SaidError(say('site.ringAtMost360'))
  return (angleDeg / 360) * Math.PI * (outerRadiusM ** 2 - innerRadiusM ** 2)
}

/** An irregular lawn by offsets from a base line at equal spacing. */
export interface OffsetArea {
  trapezoidalM2: number
  /** Only where the number of intervals is even. */
  simpsonM2: number | null
  /** The better of the two: Simpson's follows a curved edge. */
  bestM2: number
}

/**
 * The offset method: trapezoidal rule, and Simpson's where the number of intervals is even.
 * @param offsetsM at equal spacing, ends included @source surveying textbooks
 * @throws RangeError for fewer than three offsets, or a negative one
 */
export function offsetM2(offsetsM: readonly number[], spacingM: number): OffsetArea {
  positive(spacingM)
  if (offsetsM.length < 3) throw new SaidError(say('site.threeOffsets'))
  if (offsetsM.some((m) => !Number.isFinite(m) || m < 0)) throw new SaidError(say('site.offsetNotBelowZero'))
  const last = offsetsM.length - 1
  const inner = offsetsM.slice(1, last)
  const ends = offsetsM[0]! + offsetsM[last]!
  const trapezoidalM2 = spacingM * (ends / 2 + inner.reduce((sum, m) => sum + m, 0))
  const simpsonM2 =
    last % 2 === 0 ? (spacingM / 3) * (ends + inner.reduce((sum, m, i) => sum + m * (i % 2 === 0 ? 4 : 2), 0)) : null
  const bestM2 = simpsonM2 ?? trapezoidalM2
  if (!(bestM2 > 0)) throw new SaidError(say('site.offsetsEncloseNothing'))
  return { trapezoidalM2, simpsonM2, bestM2 }
}
