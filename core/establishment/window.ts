import { addDays, type Day } from '../measure/calendar'
import { wilsonInterval } from '../measure/proportion'
import { CAUSES, type Cause } from './losses'
import { causeOf, type SeedYear } from './sowing'
import { sunSeason, type SunSeason } from './sunSeason'

/** Years of 100 that make a good stand, with the 90 % interval of their counting. */
export interface Chance {
  of100: number
  low: number
  high: number
}

/** A window as dates, with the chance of its best day. */
export interface DatedWindow {
  from: Day
  to: Day
  best: Day
  chance: Chance
  season: SunSeason
  /** It goes on beyond the last day that is worked out. */
  cut: boolean
}

/** Of all weather years, how many made a good stand when sown on a day, and what spoilt the others first. */
export interface DayOdds {
  good: number
  causes: Record<Cause, number>
  /** Mean share of a stand over all years, %. */
  share: number
  /** Of the days around, so that the best day is not flattered. */
  chance: Chance
}

/** A run of sowing days, as indices into the season. */
export interface SowingWindow {
  from: number
  to: number
  best: number
  chance: Chance
  cut: boolean
}

/** Days on either side whose years are counted with those of a day. */
export const DAYS_AROUND = 3

/** Mean of the days around each day; fewer at the ends. */
export function meanAround(values: readonly number[]): number[] {
  return values.map((_, i) => {
    const around = values.slice(Math.max(0, i - DAYS_AROUND), i + DAYS_AROUND + 1)
    return around.reduce((sum, value) => sum + value, 0) / around.length
  })
}

/** @param share of good years, 0-1 @param years over which it was counted */
export function chanceOf(share: number, years: number): Chance {
  const [low, high] = wilsonInterval(Math.min(1, share), years)
  return { of100: Math.round(share * 100), low: Math.round(low * 100), high: Math.round(high * 100) }
}

/** Chance of a good stand by sowing day. @param good years of all, by day */
export const chancesOf = (good: readonly number[], years: number): Chance[] =>
  meanAround(good).map((count) => chanceOf(count / years, years))

export function oddsByDay(years: readonly SeedYear[], days: number): DayOdds[] {
  const counted = Array.from({ length: days }, (_, i) => {
    const causes = Object.fromEntries(CAUSES.map((cause) => [cause, 0])) as Record<Cause, number>
    let [good, sum] = [0, 0]
    for (const year of years) {
      const spoilt = causeOf(year, i)
      if (spoilt) causes[spoilt]++
      else good++
      sum += year.share[i]!
    }
    return { good, causes, share: Math.round((100 * sum) / Math.max(1, years.length)) }
  })
  const chances = chancesOf(
    counted.map(({ good }) => good),
    years.length,
  )
  return counted.map((of, i) => ({ ...of, chance: chances[i]! }))
}

/** A best below this is none, and a window holds the days within so many points of its best, of 100. */
const [LEAST_OF_100, WITHIN_OF_100] = [50, 10]

/**
 * Days that rise by ten points and more above the dips on either side of them; the ends of what is looked at count as
 * dips. Of a level top its middle.
 */
function localBests(values: readonly number[], from: number, to: number): number[] {
  const bests: number[] = []
  let [high, low] = [from, from]
  let rising = true
  for (let i = from; i <= to; i++) {
    const value = values[i]!
    if (rising) {
      if (value > values[high]!) high = i
      if (value < values[high]! - WITHIN_OF_100) {
        bests.push(high)
        ;[low, rising] = [i, false]
      }
    } else {
      if (value < values[low]!) low = i
      if (value > values[low]! + WITHIN_OF_100) [high, rising] = [i, true]
    }
  }
  if (rising && to >= from) bests.push(high)
  return bests.map((first) => {
    let last = first
    while (last < to && values[last + 1] === values[first]) last++
    return (first + last) >> 1
  })
}

/**
 * Every sowing window between two days, in order: about each day that is best among its neighbours, and a good one in half
 * of the years, the run of days within ten points of it.
 * @param candidate days on which the soil lets seed be thought of; others lie in no window
 * @param from index of the first day looked at; what is past cannot be sown
 * @source own
 */
export function sowingWindows(
  odds: readonly Pick<DayOdds, 'chance'>[],
  candidate: readonly boolean[],
  from: number,
  to: number,
): SowingWindow[] {
  const values = odds.map(({ chance }, i) => (candidate[i] ? chance.of100 : 0))
  return localBests(values, from, to)
    .filter((best) => values[best]! >= LEAST_OF_100)
    .map((best) => {
      const within = (i: number) => candidate[i] && values[i]! >= values[best]! - WITHIN_OF_100
      let [first, last] = [best, best]
      while (first > from && within(first - 1)) first--
      while (last < to && within(last + 1)) last++
      return { from: first, to: last, best, chance: odds[best]!.chance, cut: last === to }
    })
}

/** A window in dates of the season it lies in. */
export const datedWindow = (
  { from, to, best, ...told }: SowingWindow,
  { first, ground }: { first: Day; ground: { latDeg: number } },
): DatedWindow => ({
  ...told,
  from: addDays(first, from),
  to: addDays(first, to),
  best: addDays(first, best),
  season: sunSeason(addDays(first, best), ground.latDeg),
})
