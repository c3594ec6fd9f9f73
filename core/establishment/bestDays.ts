import { addDays, type Day } from '../measure/calendar'
import { SOWN_AHEAD, type Season } from './season'
import type { SowingDay } from './sowingDay'
import { sunSeason, type SunSeason } from './sunSeason'
import { chanceOf, type Chance, type DatedWindow, type DayOdds } from './window'

/** The best day of a season in the year ahead, whether or not a window lies about it. */
export interface SeasonBest {
  season: SunSeason
  day: Day
  chance: Chance
}

/** Spring begins and ends within so many days of a dormant sowing. @source own */
const SPRING_WITHIN = 240

/** The most years of one day that follows within the spring. */
export function bestWithinSpring(good: readonly number[], i: number): number {
  let best = 0
  for (let k = i; k < Math.min(good.length, i + SPRING_WITHIN); k++) best = Math.max(best, good[k]!)
  return best
}

const YEAR_DAYS = 365

/** The best day of each season of the year ahead among those on which seed is thought of at all. */
export function bestDays(season: Season, odds: readonly DayOdds[], candidate: readonly boolean[]): SeasonBest[] {
  const best = new Map<SunSeason, SeasonBest>()
  const end = Math.min(odds.length, season.todayIndex + YEAR_DAYS)
  for (let i = season.todayIndex; i < end; i++) {
    const { chance } = odds[i]!
    const day = addDays(season.first, i)
    const of = sunSeason(day, season.ground.latDeg)
    if (candidate[i] && chance.of100 > (best.get(of)?.chance.of100 ?? 0)) best.set(of, { season: of, day, chance })
  }
  return [...best.values()]
}

/** The run of days of the next winter about the one on which seed does best that is to lie until spring. */
export function dormantRun(season: Season, days: readonly SowingDay[]): DatedWindow | null {
  const good = (i: number) => (i < season.todayIndex ? 0 : (days[i]?.dormantGood ?? 0))
  const yearAhead = days.slice(0, season.todayIndex + YEAR_DAYS)
  const best = yearAhead.reduce((top, _, i) => (good(i) > good(top) ? i : top), season.todayIndex)
  if (!good(best)) return null
  let [from, to] = [best, best]
  while (good(from - 1)) from--
  while (good(to + 1)) to++
  const dated = (i: number) => addDays(season.first, i)
  return {
    from: dated(from),
    to: dated(to),
    best: dated(best),
    chance: chanceOf(good(best) / season.years.length, season.years.length),
    season: sunSeason(dated(best), season.ground.latDeg),
    cut: to === season.todayIndex + SOWN_AHEAD - 1,
  }
}
