import { addDays } from '../measure/calendar'
import { fiveDayMean, middleSoilC, SOWN_AHEAD, type Season } from './season'
import { sunSeason } from './sunSeason'
import { chanceOf, type DatedWindow } from './window'

/**
 * Warm-season turf grows through a dressing from here, 5-day mean at 50 mm. @source turf handbooks: sowing and growth of
 * warm-season grass
 */
const GROWS_C = 18
/** Soil that sends it dormant, and the growth it wants after the last lift. @source own */
const DORMANT_C = 15
const AFTER_LAST_LIFT_DAYS = 21

/** In how many years warm-season turf dressed on a day grows through: warm enough then, and for three weeks after. */
export function growingYears(season: Season, days: number): number[] {
  return Array.from(
    { length: days },
    (_, i) =>
      season.years.filter(({ soil: { probeDailyC } }) => {
        if (fiveDayMean(probeDailyC, i) < GROWS_C) return false
        for (let d = i; d <= i + AFTER_LAST_LIFT_DAYS && d < probeDailyC.length; d++)
          if (fiveDayMean(probeDailyC, d) < DORMANT_C) return false
        return true
      }).length,
  )
}

/**
 * Runs of days ahead on which warm-season turf can be dressed: growing in the middle year, and three weeks or more before
 * the soil falls below 15 °C.
 */
export function growingRuns(season: Season): DatedWindow[] {
  const end = Math.min(season.todayIndex + SOWN_AHEAD, season.years[0]!.soil.probeDailyC.length)
  const middle = Array.from({ length: end }, (_, i) => middleSoilC(season, i))
  const runs: DatedWindow[] = []
  for (let i = season.todayIndex; i < end; i++) {
    if (middle[i]! < GROWS_C) continue
    const from = i
    while (i < end && middle[i]! >= DORMANT_C) i++
    const to = i - AFTER_LAST_LIFT_DAYS
    if (to <= from) continue
    const best = addDays(season.first, from)
    runs.push({
      from: best,
      to: addDays(season.first, to),
      best,
      chance: chanceOf(1, season.years.length),
      season: sunSeason(best, season.ground.latDeg),
      cut: i === end,
    })
  }
  return runs
}
