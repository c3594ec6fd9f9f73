import type { Season as GrassSeason } from '../grass/grasses'
import { addDays } from '../measure/calendar'
import { fiveDayMeans, middleSoilCs, SOWN_AHEAD, type Season } from './season'
import { sunSeason } from './sunSeason'
import { chanceOf, type DatedWindow } from './window'

/**
 * 5-day mean at 50 mm from which turf grows through a dressing, in which it goes dormant, and over which it is under stress
 * and is not dressed. @source turf handbooks for growth; dormancy and stress own
 */
export const DRESSED = {
  warm: { growsC: 18, dormantC: 15, stressC: Infinity },
  cool: { growsC: 10, dormantC: 8, stressC: 24 },
} as const
/** Growth that it wants after the last lift, days. @source own */
const AFTER_LAST_LIFT_DAYS = 21

/** In how many years turf dressed on a day grows through: growing then, and for three weeks after. */
export function growingYears(season: Season, days: number, turf: GrassSeason): number[] {
  const { growsC, dormantC, stressC } = DRESSED[turf]
  const counts = new Array<number>(days).fill(0)
  for (const { soil } of season.years) {
    const means = fiveDayMeans(soil.probeDailyC)
    // From the last day back: the next dormant one is at hand.
    let dormant = Infinity
    for (let d = means.length - 1; d >= 0; d--) {
      const soilC = means[d]!
      if (soilC < dormantC) dormant = d
      if (d < days && soilC >= growsC && soilC <= stressC && dormant > d + AFTER_LAST_LIFT_DAYS) counts[d]!++
    }
  }
  return counts
}

/**
 * Runs of days ahead on which turf can be dressed: growing in the middle year and under no stress of heat, and three weeks or
 * more before it goes dormant.
 */
export function growingRuns(season: Season, turf: GrassSeason): DatedWindow[] {
  const { growsC, dormantC, stressC } = DRESSED[turf]
  const end = Math.min(season.todayIndex + SOWN_AHEAD, season.years[0]!.soil.probeDailyC.length)
  const middle = middleSoilCs(season, end)
  const runs: DatedWindow[] = []
  for (let i = season.todayIndex; i < end; i++) {
    if (middle[i]! < growsC || middle[i]! > stressC) continue
    const from = i
    while (i < end && middle[i]! >= dormantC && middle[i]! <= stressC) i++
    // Before heat it grows on; before dormancy it wants its time.
    const to = i < end && middle[i]! > stressC ? i - 1 : i - AFTER_LAST_LIFT_DAYS
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
