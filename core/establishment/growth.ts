import { growthBaseC, type Grass } from '../grass/grasses'
import type { SeasonYear } from './season'

/** @returns °C·d of air from median emergence to a leaf height, mm; straight lines through 0, 25, 50 and 80 mm */
export function thermalTimeToHeight(grass: Grass, heightMm: number): number {
  const [to25, to50, to80] = grass.growthCd
  const points: [number, number][] = [
    [0, 0],
    [25, to25],
    [50, to50],
  ]
  if (to80 !== null) points.push([80, to80])
  for (let i = 1; i < points.length; i++) {
    const [h0, t0] = points[i - 1]!
    const [h1, t1] = points[i]!
    if (heightMm <= h1 || i === points.length - 1) return t0 + ((heightMm - h0) / (h1 - h0)) * (t1 - t0)
  }
  throw new RangeError('A growth table needs two heights at least.')
}

/** Height at which the first mowing is due, mm. @source trade */
export const firstMowHeightMm = (keptHeightMm: number): number => Math.min(90, 1.5 * keptHeightMm)

/** First cut: to the kept height or two thirds of what stands, whichever is higher, mm. */
export const firstCutMm = (standingMm: number, keptHeightMm: number): number =>
  Math.max(keptHeightMm, (2 / 3) * standingMm)

/**
 * Day on which seedlings reach a height in one weather year.
 * @param emergedIndex day of median emergence
 * @returns index, or Infinity when growth stops first
 */
export function dayOfHeight(year: SeasonYear, grass: Grass, emergedIndex: number, heightMm: number): number {
  if (!Number.isFinite(emergedIndex)) return Number.POSITIVE_INFINITY
  const target = thermalTimeToHeight(grass, heightMm)
  const baseC = growthBaseC(grass)
  const { tmaxC, tminC } = year.weather
  let sum = 0
  for (let i = emergedIndex; i < tmaxC.length; i++) {
    sum += Math.max(0, (tmaxC[i]! + tminC[i]!) / 2 - baseC)
    if (sum >= target) return i
  }
  return Number.POSITIVE_INFINITY
}
