import type { Sun } from '../climate/soilCourse'
import type { Texture } from '../climate/soil'
import type { GrassCode } from '../grass/grasses'
import type { Day } from '../quantity/calendar'

/** What was seen and measured on the lawn, as far as the plan reads it. Shares are 0-1 of the area. */
export interface Survey {
  areaM2: number
  grass: GrassCode
  desirableShare: number
  weedShare: number
  bareShare: number
  thatchMm: number
  mowingHeightMm: number
  sun: Sun
  texture: Texture
  slopeShare: number
}

/** Something put down that keeps seed from growing, with the wait read off its label. */
export interface Application {
  ingredient: string
  appliedOn: Day
  waitDays: number
}

export const SUN_WORDS: Record<Sun, string> = {
  full: 'full sun, over 6 h', part: 'part shade, 3 to 6 h', dense: 'dense shade, under 3 h',
}

/** Cover shares belong together. @returns a sentence when they do not add to 100 %, within one point */
export function coverProblem(desirableShare: number, weedShare: number, bareShare: number): string | undefined {
  const percent = Math.round((desirableShare + weedShare + bareShare) * 100)
  return Math.abs(percent - 100) <= 1 ? undefined : `Grass, weeds and bare soil add to ${percent}%, not 100%.`
}
