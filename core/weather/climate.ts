import { monthIndex } from '../measure/calendar'
import { characterOf, USUAL_DAYS, type DayCharacter } from './dayCharacter'
import { meanOf, MONTH_DAYS, WET_DAY_MM, type Normals } from './normals'
import type { DailyWeather } from './weather'

/** Normals and what the days do around them. */
export interface Climate {
  normals: Normals
  /** Standard deviation of a day's maximum and minimum about the course of the year, by month, K. */
  tmaxSdK: readonly number[]
  tminSdK: readonly number[]
  days: DayCharacter
}

/** Nights spread a little less than days. @source own */
const NIGHTS = 0.9

/**
 * Spread of a day's maximum where only monthly means are known, K: days spread more about cold months, and more so the
 * farther summer and winter lie apart.
 * @source own
 */
function spreadFrom(tmaxC: readonly number[]): number[] {
  const [warmest, coldest] = [Math.max(...tmaxC), Math.min(...tmaxC)]
  const beyond = warmest - coldest - 18
  const [inCold, inWarm] = [3.3 + 0.18 * beyond, 4.2 - 0.06 * beyond]
  const from = tmaxC.indexOf(coldest)
  return tmaxC.map((_, m) => {
    const cold = (1 + Math.cos((2 * Math.PI * (m - from)) / 12)) / 2
    return Math.min(7, Math.max(2.5, cold * inCold + (1 - cold) * inWarm))
  })
}

/** Climate of a place of which monthly means are known. */
export function climateFromNormals(normals: Normals): Climate {
  const tmaxSdK = spreadFrom(normals.tmaxC)
  return { normals, tmaxSdK, tminSdK: tmaxSdK.map((spread) => NIGHTS * spread), days: USUAL_DAYS }
}

const LEAST_DAYS_A_MONTH = 20

/**
 * Climate of a station's own record.
 * @returns undefined when a month of the year has fewer than 20 days in the record
 */
export function climateFromRecord(record: readonly DailyWeather[]): Climate | undefined {
  const months: DailyWeather[][] = Array.from({ length: 12 }, () => [])
  for (const weather of record) months[monthIndex(weather.day)]!.push(weather)
  if (months.some((days) => days.length < LEAST_DAYS_A_MONTH)) return undefined
  const perMonth = (measure: (days: DailyWeather[], month: number) => number) => months.map(measure)
  const normals: Normals = {
    tmaxC: perMonth((days) => meanOf(days.map((d) => d.tmaxC))),
    tminC: perMonth((days) => meanOf(days.map((d) => d.tminC))),
    rainMm: perMonth((days, m) => meanOf(days.map((d) => d.rainMm)) * MONTH_DAYS[m]!),
    wetDays: perMonth((days, m) => meanOf(days.map((d) => (d.rainMm >= WET_DAY_MM ? 1 : 0))) * MONTH_DAYS[m]!),
  }
  return { normals, ...characterOf(record, normals) }
}
