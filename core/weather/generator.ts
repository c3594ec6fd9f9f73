import { dayFromNumber, dayNumber, monthIndex, type Day } from '../measure/calendar'
import type { Climate } from './climate'
import { dailyNormals, WET_DAY_MM, wetDays } from './normals'
import { randomDay } from './random'
import { emptyRun, type WeatherRun } from './weather'

/**
 * Days that are drawn before a run so that its first day knows what went before: a residual has faded to a thousandth of
 * its spread, and two chains of wet days have met.
 */
const LEAD_DAYS = 60
/** Share of the spread that is left to the days about their wet and dry means at least. @source own */
const LEAST_RESIDUAL = 0.3

/** Weather years of a place, of which the number is told. Of two dozen seeds this one keeps monthly means best over 200. */
export const WEATHER_SEED = 19
export const yearSeed = (seed: number, year: number): number => seed + 7919 * (year + 1)

/** What the calendar and the place say of each day of a run, the same in every year drawn for it. */
export interface DayTable {
  first: Day
  month: Uint8Array
  tmaxC: Float64Array
  tminC: Float64Array
}

/** @param days of the run; what leads up to it is in the table too */
export function dayTable({ normals }: Climate, first: Day, days: number): DayTable {
  const start = dayNumber(first) - LEAD_DAYS
  const all = days + LEAD_DAYS
  const table: DayTable = {
    first,
    month: new Uint8Array(all),
    tmaxC: new Float64Array(all),
    tminC: new Float64Array(all),
  }
  for (let i = 0; i < all; i++) {
    const day = dayFromNumber(start + i)
    const { tmaxC, tminC } = dailyNormals(normals, day)
    table.month[i] = monthIndex(day)
    table.tmaxC[i] = tmaxC
    table.tminC[i] = tminC
  }
  return table
}

/** A month as days are drawn for it: K of a wet and of a dry day about the course, and what is left to the days. */
interface MonthDraw {
  wetShare: number
  depthMm: number
  tmax: Draw
  tmin: Draw
}
interface Draw {
  wetK: number
  dryK: number
  residualK: number
}

/**
 * Means of wet and of dry days, and the spread about them, such that both together keep the mean and the spread of the
 * month: variance is counted once, S² = σ² + p(1 − p)δ².
 * @param wetLessDryK δ, K @param spreadK S, K @param p share of wet days
 */
function drawOf(wetLessDryK: number, spreadK: number, p: number): Draw {
  const between = p * (1 - p) * wetLessDryK ** 2
  return {
    wetK: (1 - p) * wetLessDryK,
    dryK: -p * wetLessDryK,
    residualK: Math.sqrt(Math.max((LEAST_RESIDUAL * spreadK) ** 2, spreadK ** 2 - between)),
  }
}

function monthDraws({ normals, tmaxSdK, tminSdK, days }: Climate): MonthDraw[] {
  return Array.from({ length: 12 }, (_, month) => {
    const { share, depthMm } = wetDays(normals, month)
    return {
      wetShare: share,
      depthMm,
      tmax: drawOf(days.wetLessDryK.tmax, tmaxSdK[month]!, share),
      tmin: drawOf(days.wetLessDryK.tmin, tminSdK[month]!, share),
    }
  })
}

/**
 * A weather year that looks like the place: a wet/dry Markov chain, depths of a mixed exponential, and maximum and minimum
 * as persistent residuals about the annual course, conditional on wet or dry. What is drawn for a date does not depend on
 * where the run begins: a year belongs to the place and its number.
 * @param table of the run's days; shared by all years that are drawn for them
 * @param seed of the year; the same seed gives the same days
 * @source Richardson 1981 (Water Resources Research 17) and Woolhiser & Roldán 1982 (18), form only
 */
export function generateWeather(
  climate: Climate,
  first: Day,
  days: number,
  seed: number,
  table = dayTable(climate, first, days),
): WeatherRun {
  const run = emptyRun(first, days)
  const draws = monthDraws(climate)
  const { persistence, together, wetPersistence, depth } = climate.days
  const fresh = Math.sqrt(1 - persistence ** 2)
  const apart = Math.sqrt(1 - together ** 2)
  const largeMean = (1 - depth.smallShare * depth.smallMean) / (1 - depth.smallShare)
  const start = dayNumber(first) - LEAD_DAYS
  let wet = false
  let [highResidual, lowResidual] = [0, 0]

  for (let k = 0; k < days + LEAD_DAYS; k++) {
    const random = randomDay(seed, start + k)
    const { wetShare, depthMm, tmax, tmin } = draws[table.month[k]!]!
    const wetChance: number = wet ? wetShare + wetPersistence * (1 - wetShare) : wetShare * (1 - wetPersistence)
    wet = random.uniform(0) < wetChance

    // Two independent normal numbers. @source Box & Muller 1958
    const radius = Math.sqrt(-2 * Math.log(random.uniform(1)))
    const angle = 2 * Math.PI * random.uniform(2)
    const shock = radius * Math.cos(angle)
    highResidual = persistence * highResidual + fresh * shock
    lowResidual = persistence * lowResidual + fresh * (together * shock + apart * radius * Math.sin(angle))

    const i = k - LEAD_DAYS
    if (i < 0) continue
    const high = table.tmaxC[k]! + (wet ? tmax.wetK : tmax.dryK) + tmax.residualK * highResidual
    const low = table.tminC[k]! + (wet ? tmin.wetK : tmin.dryK) + tmin.residualK * lowResidual
    const middle = (high + low) / 2
    const half = Math.max(0.75, (high - low) / 2)
    run.tmaxC[i] = middle + half
    run.tminC[i] = middle - half
    if (wet) {
      const mean = depthMm * (random.uniform(3) < depth.smallShare ? depth.smallMean : largeMean)
      run.rainMm[i] = Math.max(WET_DAY_MM, -mean * Math.log(random.uniform(4)))
    }
  }
  return run
}
