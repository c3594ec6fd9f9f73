import { dayFromNumber, monthIndex, type Day } from '../measure/calendar'
import type { DailyWeather } from './weather'

/** Monthly means of a place, January first: °C, mm a month, days a month with 0.25 mm or more. */
export interface Normals {
  tmaxC: readonly number[]
  tminC: readonly number[]
  rainMm: readonly number[]
  wetDays: readonly number[]
}

/** Normals and what the days do around them. */
export interface Climate {
  normals: Normals
  /** Standard deviation of a day's maximum and minimum about the course of the year, by month, K. */
  tmaxSdK: readonly number[]
  tminSdK: readonly number[]
}

export const WET_DAY_MM = 0.25
export const MONTH_DAYS = [31, 28.25, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const
const HARMONICS = 3

/** Place in the year as an angle; months are equally wide, so monthly means stand at even spacing. */
function yearAngle(day: Day): number {
  const fraction = (Number(day.slice(8)) - 0.5) / Math.ceil(MONTH_DAYS[monthIndex(day)]!)
  return ((monthIndex(day) + Math.min(1, fraction)) / 12) * 2 * Math.PI
}

/**
 * Annual course through twelve monthly means by three harmonics, each raised by what averaging over a month takes from
 * it, so that the course's own monthly means return the ones given.
 */
function annualCourse(monthly: readonly number[]): (angle: number) => number {
  const mean = monthly.reduce((sum, value) => sum + value, 0) / 12
  const terms = Array.from({ length: HARMONICS }, (_, i) => {
    const k = i + 1
    const flattened = Math.sin((k * Math.PI) / 12) / ((k * Math.PI) / 12)
    let a = 0
    let b = 0
    monthly.forEach((value, m) => {
      const angle = ((m + 0.5) / 12) * 2 * Math.PI * k
      a += value * Math.cos(angle)
      b += value * Math.sin(angle)
    })
    return { k, a: a / 6 / flattened, b: b / 6 / flattened }
  })
  return (angle) => terms.reduce((sum, { k, a, b }) => sum + a * Math.cos(k * angle) + b * Math.sin(k * angle), mean)
}

const courses = new WeakMap<readonly number[], (angle: number) => number>()

function courseOf(monthly: readonly number[]): (angle: number) => number {
  let course = courses.get(monthly)
  if (!course) courses.set(monthly, (course = annualCourse(monthly)))
  return course
}

/** Normal maximum and minimum of a date, °C, and of a day's rain, mm. */
export function dailyNormals(normals: Normals, day: Day): { tmaxC: number; tminC: number; rainMm: number } {
  const angle = yearAngle(day)
  const month = monthIndex(day)
  return {
    tmaxC: courseOf(normals.tmaxC)(angle),
    tminC: courseOf(normals.tminC)(angle),
    rainMm: normals.rainMm[month]! / MONTH_DAYS[month]!,
  }
}

/** Share of wet days and mean depth of one, by month. */
export function wetDays(normals: Normals, month: number): { share: number; depthMm: number } {
  const share = Math.min(0.95, normals.wetDays[month]! / MONTH_DAYS[month]!)
  return { share, depthMm: normals.wetDays[month]! > 0 ? normals.rainMm[month]! / normals.wetDays[month]! : 0 }
}

/**
 * Where only monthly means are known, days spread more around cold months than warm ones.
 * @source own: a line through the spreads of mid-latitude stations, remembered; 6 K at a mean of 0 °C, 2.4 K at 30 °C
 */
export function climateFromNormals(normals: Normals): Climate {
  const spread = (meanC: number) => Math.min(6.5, Math.max(2, 6 - 0.12 * meanC))
  return {
    normals,
    tmaxSdK: normals.tmaxC.map(spread),
    tminSdK: normals.tminC.map((meanC) => 0.9 * Math.min(6, Math.max(2, 5 - 0.12 * meanC))),
  }
}

const LEAST_DAYS_A_MONTH = 20

export const meanOf = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length

function spreadOf(values: readonly number[]): number {
  const mean = meanOf(values)
  return Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / Math.max(1, values.length - 1))
}

/**
 * Climate of a station's own record.
 * @returns undefined when a month of the year has fewer than 20 days in the record
 */
export function climateFromRecord(record: readonly DailyWeather[]): Climate | undefined {
  const months: DailyWeather[][] = Array.from({ length: 12 }, () => [])
  for (const weather of record) months[monthIndex(weather.day)]!.push(weather)
  if (months.some((days) => days.length < LEAST_DAYS_A_MONTH)) return undefined
  const perMonth = (measure: (days: DailyWeather[], month: number) => number) => months.map(measure)
  return {
    normals: {
      tmaxC: perMonth((days) => meanOf(days.map((d) => d.tmaxC))),
      tminC: perMonth((days) => meanOf(days.map((d) => d.tminC))),
      rainMm: perMonth((days, m) => meanOf(days.map((d) => d.rainMm)) * MONTH_DAYS[m]!),
      wetDays: perMonth((days, m) => meanOf(days.map((d) => (d.rainMm >= WET_DAY_MM ? 1 : 0))) * MONTH_DAYS[m]!),
    },
    tmaxSdK: perMonth((days) => spreadOf(days.map((d) => d.tmaxC))),
    tminSdK: perMonth((days) => spreadOf(days.map((d) => d.tminC))),
  }
}

/** The same place on the other side of the equator: months shifted by six. */
export function mirrored(normals: Normals): Normals {
  const shift = (monthly: readonly number[]) => monthly.map((_, m) => monthly[(m + 6) % 12]!)
  return {
    tmaxC: shift(normals.tmaxC),
    tminC: shift(normals.tminC),
    rainMm: shift(normals.rainMm),
    wetDays: shift(normals.wetDays),
  }
}

/** Usual rain, mm, of the seven days from a date on. */
export function usualWeekRainMm(normals: Normals, from: number): number {
  let sum = 0
  for (let i = 0; i < 7; i++) sum += dailyNormals(normals, dayFromNumber(from + i)).rainMm
  return sum
}
