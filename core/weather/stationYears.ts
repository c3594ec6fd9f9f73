import { addDays, dayNumber, isDay, type Day } from '../measure/calendar'
import { climateFromNormals, climateFromRecord, type Climate } from './climate'
import { dailyNormals, type Normals } from './normals'
import { refuseNonFinite, type DailyWeather, type WeatherRun } from './weather'

/** A run as plain numbers, so that it can be sent and kept. */
export interface PlainRun {
  tmaxC: number[]
  tminC: number[]
  rainMm: number[]
}

/** From so many full years on, a station's own years stand behind the counts. @source own*/
export const LEAST_STATION_YEARS = 10
/** Older years than these say less of the climate there is now. @source own */
export const MOST_STATION_YEARS = 40
/** A year that lacks more days than this is not full. @source own: 97 % of its days */
const MOST_MISSING_DAYS = 11
const DAYS_A_YEAR = 365.2425
const MOST_LOOKED_AT = 80

/** The same date some years before; 28 February where there is no 29th. */
function yearsBefore(day: Day, years: number): Day {
  const wanted = `${String(Number(day.slice(0, 4)) - years).padStart(4, '0')}${day.slice(4)}`
  return isDay(wanted) ? wanted : (`${wanted.slice(0, 8)}28` as Day)
}

/**
 * The full years of a station, each from the date of today on. The record is closed to a ring of whole years, so that
 * what is left at its two ends makes a year as well.
 * @param days length of each
 * @returns at least ten of them, the latest first; undefined where the record holds fewer
 * @source own
 */
export function stationYears(
  record: readonly DailyWeather[],
  today: Day,
  days: number,
  { normals }: Climate,
): PlainRun[] | undefined {
  if (!record.length) return undefined
  const byDay = new Map(record.map((weather) => [dayNumber(weather.day), weather]))
  const [first, last] = record.reduce(
    ([low, high], { day }) => [Math.min(low, dayNumber(day)), Math.max(high, dayNumber(day))],
    [Infinity, -Infinity],
  )
  const whole = Math.min(MOST_LOOKED_AT, Math.floor((last - first + 1) / DAYS_A_YEAR))
  if (whole < LEAST_STATION_YEARS) return undefined
  const ring = dayNumber(today) - dayNumber(yearsBefore(today, whole))
  const on = (n: number) => byDay.get(n > last ? n - ring : n < first ? n + ring : n)
  const runs: PlainRun[] = []
  for (let back = 1; back <= whole && runs.length < MOST_STATION_YEARS; back++) {
    const start = dayNumber(yearsBefore(today, back))
    // A record may end long before today.
    const base = start > last ? start - Math.ceil((start - last) / ring) * ring : start
    const run: PlainRun = { tmaxC: [], tminC: [], rainMm: [] }
    let missing = 0
    for (let d = 0; d < days; d++) {
      const weather = on(base + d)
      if (!weather && d < 365) missing++
      const { tmaxC, tminC } = weather ?? dailyNormals(normals, addDays(today, d))
      run.tmaxC.push(tmaxC)
      run.tminC.push(tminC)
      run.rainMm.push(weather?.rainMm ?? 0)
    }
    if (missing <= MOST_MISSING_DAYS) runs.push(run)
  }
  return runs.length >= LEAST_STATION_YEARS ? runs : undefined
}

/** A plain run as the physics reads it. */
export const runOf = ({ tmaxC, tminC, rainMm }: PlainRun, first: Day): WeatherRun => ({
  first,
  tmaxC: Float64Array.from(tmaxC),
  tminC: Float64Array.from(tminC),
  rainMm: Float64Array.from(rainMm),
})

/**
 * Years of record that weigh as much as the place's normals. A month's mean differs by about 1.8 K from year to year,
 * and normals come from a place near by, about 0.6 K off: 1.8² ÷ 0.6² = 9.
 * @source own
 */
const NORMALS_WEIGH_YEARS = 9

const mixed = (a: readonly number[], b: readonly number[], weightOfA: number): number[] =>
  a.map((value, m) => weightOfA * value + (1 - weightOfA) * b[m]!)

/** What the weather of a place is known from. */
export interface PlaceClimate {
  climate: Climate
  from: 'record' | 'normals' | 'both'
  /** Of the record, counting what it covers. */
  years: number
}

/**
 * Climate of a place from its record, its normals, or both: a short record is drawn towards the normals.
 * @returns undefined where there are no normals and some month has fewer than 20 days on record
 * @throws RangeError for a day whose weather is no number
 * @source own: shrinking linear in the monthly means, hence in their harmonics
 */
export function climateOfPlace(record: readonly DailyWeather[], normals: Normals | null): PlaceClimate | undefined {
  refuseNonFinite(record)
  const years = record.length / DAYS_A_YEAR
  const own = climateFromRecord(record)
  if (!normals) return own && { climate: own, from: 'record', years }
  const given = climateFromNormals(normals)
  if (!own) return { climate: given, from: 'normals', years }
  const weight = years / (years + NORMALS_WEIGH_YEARS)
  const drawn = (key: keyof Normals) => mixed(own.normals[key], normals[key], weight)
  return {
    from: 'both',
    years,
    climate: {
      normals: { tmaxC: drawn('tmaxC'), tminC: drawn('tminC'), rainMm: drawn('rainMm'), wetDays: drawn('wetDays') },
      tmaxSdK: mixed(own.tmaxSdK, given.tmaxSdK, weight),
      tminSdK: mixed(own.tminSdK, given.tminSdK, weight),
      // How days follow each other is the record's from its first year on: normals say nothing of it.
      days: own.days,
    },
  }
}
