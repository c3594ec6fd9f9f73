import { addDays, dayNumber, type Day } from '../measure/calendar'
import type { Climate } from './climate'
import { dailyNormals } from './normals'
import { emptyRun, type DailyWeather, type WeatherRun } from './weather'

/**
 * Lays observed days on a gapless run. Days without an observation take the place's normals, without rain, and are
 * marked as filled so that no screen shows them as measured.
 */
export function gaplessRun(
  observed: readonly DailyWeather[],
  first: Day,
  days: number,
  climate: Climate,
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
