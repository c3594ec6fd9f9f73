import { dayFromNumber, dayNumber, monthIndex, type Day } from '../quantity/calendar'
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

/**
 * Weather years that look like the place: a wet/dry Markov chain, gamma depths, and maximum and minimum as persistent
 * residuals about the annual course, conditional on wet or dry.
 * @param seed the same seed gives the same days
 * @source Richardson 1981 (Water Resources Research 17), form only
 */
export function generateWeather(climate: Climate, first: Day, days: number, seed: number): WeatherRun {
  const random = seededRandom(seed)
  const run = emptyRun(first, days)
  const start = dayNumber(first)
  const fresh = Math.sqrt(1 - PERSISTENCE ** 2)
  let wet = random.uniform() < wetDays(climate.normals, monthIndex(first)).share
  let highResidual = random.normal()
  let lowResidual = TOGETHER * highResidual + Math.sqrt(1 - TOGETHER ** 2) * random.normal()

  for (let i = 0; i < days; i++) {
    const day = dayFromNumber(start + i)
    const month = monthIndex(day)
    const { share, depthMm } = wetDays(climate.normals, month)
    const wetChance = wet ? share + WET_PERSISTENCE * (1 - share) : share * (1 - WET_PERSISTENCE)
    wet = random.uniform() < wetChance

    const shock = random.normal()
    const lowShock = TOGETHER * shock + Math.sqrt(1 - TOGETHER ** 2) * random.normal()
    highResidual = PERSISTENCE * highResidual + fresh * shock
    lowResidual = PERSISTENCE * lowResidual + fresh * lowShock

    const normal = dailyNormals(climate.normals, day)
    const tmax = normal.tmaxC + (wet ? WET_TMAX_SHIFT_K : dryShift(WET_TMAX_SHIFT_K, share)) + climate.tmaxSdK[month]! * highResidual
    const tmin = normal.tminC + (wet ? WET_TMIN_SHIFT_K : dryShift(WET_TMIN_SHIFT_K, share)) + climate.tminSdK[month]! * lowResidual
    const middle = (tmax + tmin) / 2
    const half = Math.max(0.75, (tmax - tmin) / 2)
    run.tmaxC[i] = middle + half
    run.tminC[i] = middle - half
    run.rainMm[i] = wet ? Math.max(0.25, (depthMm / RAIN_SHAPE) * random.gamma(RAIN_SHAPE)) : 0
  }
  return run
}
