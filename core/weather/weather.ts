import { addDays, type Day } from '../measure/calendar'

/** One observed or forecast day. Rain is all precipitation as water. */
export interface DailyWeather {
  day: Day
  tmaxC: number
  tminC: number
  rainMm: number
}

/** A day as it is forecast; wind where it is told. */
export interface ForecastDay extends DailyWeather {
  /** Mean of the working day at 10 m, km/h. */
  windKmh?: number | null
}

/** Consecutive days as columns, the form in which the physics reads weather. */
export interface WeatherRun {
  first: Day
  tmaxC: Float64Array
  tminC: Float64Array
  rainMm: Float64Array
}

export const emptyRun = (first: Day, days: number): WeatherRun => ({
  first,
  tmaxC: new Float64Array(days),
  tminC: new Float64Array(days),
  rainMm: new Float64Array(days),
})

/**
 * Weather is read only where it is weather: one value that is no number would make every share after it none.
 * @throws RangeError that names the day
 */
export function refuseNonFinite(days: readonly DailyWeather[]): void {
  for (const { day, tmaxC, tminC, rainMm } of days)
    if (!Number.isFinite(tmaxC + tminC + rainMm) || rainMm < 0) throw new RangeError(`No weather on ${day}.`)
}

export const runLength = (run: WeatherRun): number => run.tmaxC.length

/** Limits outside of which a reading cannot be weather. @source common practice, no source; wider than world records */
export const WEATHER_LIMITS = { lowestC: -70, highestC: 60, mostRainMm: 600 } as const

/** The run from `from` on for `days`; both inside it. */
export function sliceRun(run: WeatherRun, from: number, to: number): WeatherRun {
  return {
    first: addDays(run.first, from),
    tmaxC: run.tmaxC.slice(from, to),
    tminC: run.tminC.slice(from, to),
    rainMm: run.rainMm.slice(from, to),
  }
}

/** The same weather so many K warmer. */
export const warmedRun = (run: WeatherRun, byK: number): WeatherRun => ({
  ...run,
  tmaxC: run.tmaxC.map((c) => c + byK),
  tminC: run.tminC.map((c) => c + byK),
})

/** Air cools by so much with height, K per m. @source International Standard Atmosphere, ISO 2533; from memory */
export const LAPSE_K_PER_M = 0.0065

/** A day whose highest stays under this brings snow. @source own */
const SNOW_BELOW_C = 1.5
export const fellAsSnow = (run: WeatherRun, day: number): boolean => run.tmaxC[day]! < SNOW_BELOW_C

export function joinRuns(a: WeatherRun, b: WeatherRun): WeatherRun {
  const days = runLength(a) + runLength(b)
  const joined = emptyRun(a.first, days)
  for (const key of ['tmaxC', 'tminC', 'rainMm'] as const) {
    joined[key].set(a[key])
    joined[key].set(b[key], runLength(a))
  }
  return joined
}
