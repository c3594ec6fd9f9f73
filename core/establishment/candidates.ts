import type { Season as GrassSeason } from '../grass/grasses'
import { middleSoilCs, type Season } from './season'

/** Soil at 50 mm from which seed is thought of, 5-day mean. @source trade (cool-season), mem (warm-season) */
export const LEAST_SOIL_C: Readonly<Record<GrassSeason, number>> = { cool: 10, warm: 18 }
/** Winter colour waits until the soil has fallen to here. @source turf handbooks */
const WINTER_COLOUR_SOIL_C = 22
/** A warm week does not close it: soil is smoothed over so many days. @source own */
const SMOOTHED_DAYS = 10

/**
 * Days that can lie in a sowing window or be recommended: in at least half of the years the soil is warm enough to sow;
 * for winter colour, it has fallen far enough as well.
 * @param days from the first of the season
 */
export function candidateDays(season: Season, grass: GrassSeason, winterColour: boolean, days: number): boolean[] {
  const median = Array.from(middleSoilCs(season, days))
  if (!winterColour) return median.map((soilC) => soilC >= LEAST_SOIL_C[grass])
  const smooth = median.map((_, i) => {
    const last = median.slice(Math.max(0, i - SMOOTHED_DAYS + 1), i + 1)
    return last.reduce((sum, soilC) => sum + soilC, 0) / last.length
  })
  return smooth.map(
    (soilC, i) =>
      soilC < WINTER_COLOUR_SOIL_C && soilC < smooth[Math.max(0, i - SMOOTHED_DAYS)]! && soilC >= LEAST_SOIL_C.cool,
  )
}
