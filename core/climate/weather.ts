import { addDays, dayNumber, type Day } from '../quantity/calendar'
import { dailyNormals, type Climate } from './normals'

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

/**
 * Lays observed days on a gapless run. Days without an observation take the place's normals, without rain, and are
 * marked as filled so that no screen shows them as measured.
 */
export function gaplessRun(
  observed: readonly DailyWeather[], first: Day, days: number, climate: Climate,
): { run: WeatherRun; filled: Uint8Array } {
  const run = emptyRun(first, days)
  const filled = new Uint8Array(days).fill(1)
  const base = dayNumber(first)
  for (const { day, tmaxC, tminC, rainMm } of observed) {
    const i = dayNumber(day) - base
    if (i < 0 || i >= days) continue
    run.tmaxC[i] = tmaxC
    run.tminC[i] = tminC
    run.rainMm[i] = rainMm
    filled[i] = 0
  }
  for (let i = 0; i < days; i++) {
    if (!filled[i]) continue
    const normal = dailyNormals(climate.normals, addDays(first, i))
    run.tmaxC[i] = normal.tmaxC
    run.tminC[i] = normal.tminC
  }
  return { run, filled }
}

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
