import { addDays, type Day } from '../quantity/calendar'

/** One observed or forecast day. Rain is all precipitation as water. */
export interface DailyWeather {
  day: Day
  tmaxC: number
  tminC: number
  rainMm: number
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

export function joinRuns(a: WeatherRun, b: WeatherRun): WeatherRun {
  const days = runLength(a) + runLength(b)
  const joined = emptyRun(a.first, days)
  for (const key of ['tmaxC', 'tminC', 'rainMm'] as const) {
    joined[key].set(a[key])
    joined[key].set(b[key], runLength(a))
  }
  return joined
}
