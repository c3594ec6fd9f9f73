import type { Day } from '../measure/calendar'
import type { Cause, SeedYear } from './sowing'

/** A window as dates, with how many of the years were good on its best day. */
export interface DatedWindow {
  from: Day
  to: Day
  best: Day
  bestGood: number
}

/** Of all weather years, how many made a good stand when sown on a day, and what spoilt the others first. */
export interface DayOdds {
  good: number
  causes: Record<Cause, number>
}

/** A run of sowing days, as indices into the season. */
export interface SowingWindow {
  from: number
  to: number
  best: number
  bestGood: number
}

export function oddsByDay(years: readonly SeedYear[], days: number): DayOdds[] {
  return Array.from({ length: days }, (_, i) => {
    const causes: Record<Cause, number> = { cold: 0, heat: 0, frost: 0, washout: 0, dry: 0 }
    let good = 0
    for (const { cause } of years) {
      const spoilt = cause[i]
      if (spoilt) causes[spoilt]++
      else good++
    }
    return { good, causes }
  })
}

/** Below this share of good years there is no window. */
const LEAST_SHARE = 0.5
/** The window is the run of days within ten points of its best. */
const WITHIN_SHARE = 0.1
/** Worse days between two good ones do not part a season. @source own */
const BRIDGED_DAYS = 10

const smoothed = (odds: readonly DayOdds[], i: number): number => {
  let sum = 0
  let count = 0
  for (let k = Math.max(0, i - 2); k <= Math.min(odds.length - 1, i + 2); k++) {
    sum += odds[k]!.good
    count++
  }
  return sum / count
}

function narrow(odds: readonly DayOdds[], from: number, to: number, years: number): SowingWindow {
  let best = from
  for (let i = from; i <= to; i++) if (smoothed(odds, i) > smoothed(odds, best) + 1e-9) best = i
  const least = smoothed(odds, best) - WITHIN_SHARE * years
  let first = best
  let last = best
  while (first > from && smoothed(odds, first - 1) >= least) first--
  while (last < to && smoothed(odds, last + 1) >= least) last++
  return { from: first, to: last, best, bestGood: odds[best]!.good }
}

/**
 * Every sowing window between two days, in order. A window is the run of days within ten points of the best of its
 * season; a season whose best is below half of the years has none.
 * @param from index of the first day looked at; what is past cannot be sown
 */
export function sowingWindows(odds: readonly DayOdds[], years: number, from: number, to: number): SowingWindow[] {
  const windows: SowingWindow[] = []
  let start = -1
  let last = -1
  for (let i = from; i <= to + BRIDGED_DAYS; i++) {
    const good = i <= to && smoothed(odds, i) >= LEAST_SHARE * years
    if (good) {
      if (start < 0) start = i
      last = i
    } else if (start >= 0 && i - last > BRIDGED_DAYS) {
      windows.push(narrow(odds, start, last, years))
      start = -1
    }
  }
  if (start >= 0) windows.push(narrow(odds, start, last, years))
  return windows
}
