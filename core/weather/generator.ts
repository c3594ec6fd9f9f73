import { dayFromNumber, dayNumber, monthIndex, type Day } from '../measure/calendar'
import { dailyNormals, wetDays, type Climate } from './normals'
import { seededRandom } from './random'
import { emptyRun, type WeatherRun } from './weather'

/** Wet days are duller: a lower maximum, a milder night. @source own */
const WET_TMAX_SHIFT_K = -2.2
const WET_TMIN_SHIFT_K = 0.6
/** Day to day persistence of the residuals, and how far maximum and minimum go together. @source own */
const PERSISTENCE = 0.65
const TOGETHER = 0.6
/** Lag-one correlation of wet days. @source own */
const WET_PERSISTENCE = 0.25
/** Shape of a wet day's gamma-distributed depth. @source own; 0.6-0.9 is usual in the literature */
const RAIN_SHAPE = 0.75

/** Mean shift of a dry day such that wet and dry days together keep the month's mean. */
const dryShift = (wetShift: number, wetShare: number) => (-wetShare * wetShift) / (1 - wetShare)

/** What the calendar and the place say of each day of a run, the same in every year drawn for it. */
export interface DayTable {
  first: Day
  month: Uint8Array
  tmaxC: Float64Array
  tminC: Float64Array
}

export function dayTable({ normals }: Climate, first: Day, days: number): DayTable {
  const table: DayTable = {
    first,
    month: new Uint8Array(days),
    tmaxC: new Float64Array(days),
    tminC: new Float64Array(days),
  }
  const start = dayNumber(first)
  for (let i = 0; i < days; i++) {
    const day = dayFromNumber(start + i)
    const { tmaxC, tminC } = dailyNormals(normals, day)
    table.month[i] = monthIndex(day)
    table.tmaxC[i] = tmaxC
    table.tminC[i] = tminC
  }
  return table
}

/**
 * Weather years that look like the place: a wet/dry Markov chain, gamma depths, and maximum and minimum as persistent
 * residuals about the annual course, conditional on wet or dry.
 * @param table of the run's days; shared by all years that are drawn for them
 * @param seed the same seed gives the same days
 * @source Richardson 1981 (Water Resources Research 17), form only
 */
export function generateWeather(
  climate: Climate,
  first: Day,
  days: number,
  seed: number,
  table = dayTable(climate, first, days),
): WeatherRun {
  const random = seededRandom(seed)
  const run = emptyRun(first, days)
  const wetByMonth = Array.from({ length: 12 }, (_, month) => wetDays(climate.normals, month))
  const fresh = Math.sqrt(1 - PERSISTENCE ** 2)
  let wet = random.uniform() < wetByMonth[table.month[0]!]!.share
  let highResidual = random.normal()
  let lowResidual = TOGETHER * highResidual + Math.sqrt(1 - TOGETHER ** 2) * random.normal()

  for (let i = 0; i < days; i++) {
    const month = table.month[i]!
    const { share, depthMm } = wetByMonth[month]!
    const wetChance = wet ? share + WET_PERSISTENCE * (1 - share) : share * (1 - WET_PERSISTENCE)
    wet = random.uniform() < wetChance

    const shock = random.normal()
    const lowShock = TOGETHER * shock + Math.sqrt(1 - TOGETHER ** 2) * random.normal()
    highResidual = PERSISTENCE * highResidual + fresh * shock
    lowResidual = PERSISTENCE * lowResidual + fresh * lowShock

    const tmax =
      table.tmaxC[i]! +
      (wet ? WET_TMAX_SHIFT_K : dryShift(WET_TMAX_SHIFT_K, share)) +
      climate.tmaxSdK[month]! * highResidual
    const tmin =
      table.tminC[i]! +
      (wet ? WET_TMIN_SHIFT_K : dryShift(WET_TMIN_SHIFT_K, share)) +
      climate.tminSdK[month]! * lowResidual
    const middle = (tmax + tmin) / 2
    const half = Math.max(0.75, (tmax - tmin) / 2)
    run.tmaxC[i] = middle + half
    run.tminC[i] = middle - half
    run.rainMm[i] = wet ? Math.max(0.25, (depthMm / RAIN_SHAPE) * random.gamma(RAIN_SHAPE)) : 0
  }
  return run
}
