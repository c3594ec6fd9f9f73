import { middleSoilCs, type Season } from './season'

/** Weeds that come up with the seed, by the soil they wait for. */
export type Weed = 'crabgrass' | 'annual bluegrass'

/**
 * Soil at probe depth, 5-day mean, from which crabgrass sprouts as it warms, and below which annual bluegrass does as
 * it cools. @source turf handbooks, own
 */
const CRABGRASS_FROM_C = 13
const POA_BELOW_C = 21
/** Colder soil holds annual bluegrass back as well. @source own */
const POA_FROM_C = 7
/** Warmer than this, crabgrass is long up, and seed of cool-season grass is late. @source own */
const CRABGRASS_TO_C = 27
/** A seedbed lies open for so long after sowing. @source own */
const OPEN_DAYS = 28
/** Days over which soil has to change to be rising or falling, K. @source own */
const TREND_DAYS = 14

/**
 * Weeds that sprout in an open seedbed of each day, in the middle year.
 * @returns for each of the first days, those whose soil comes within four weeks of sowing
 */
export function weedsByDay(season: Season, days: number): Weed[][] {
  const length = season.years[0]!.soil.probeDailyC.length
  const reach = Math.min(length, days + OPEN_DAYS + TREND_DAYS)
  const middle = middleSoilCs(season, reach)
  const trend = (i: number) => middle[Math.min(reach - 1, i + TREND_DAYS)]! - middle[Math.max(0, i - TREND_DAYS)]!
  const sprouts = Array.from({ length: Math.min(reach, days + OPEN_DAYS) }, (_, i): Weed | undefined => {
    if (trend(i) > 0) return middle[i]! >= CRABGRASS_FROM_C && middle[i]! < CRABGRASS_TO_C ? 'crabgrass' : undefined
    return middle[i]! < POA_BELOW_C && middle[i]! >= POA_FROM_C ? 'annual bluegrass' : undefined
  })
  return Array.from({ length: days }, (_, i) => [
    ...new Set(sprouts.slice(i, i + OPEN_DAYS).flatMap((weed) => weed ?? [])),
  ])
}
