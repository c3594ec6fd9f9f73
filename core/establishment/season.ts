import { quantileSorted } from 'd3-array'
import { addDays, daysBetween, type Day } from '../measure/calendar'
import { correctByProbe, followProfile, type JudgedReading, type ProbeReading } from '../soil/probe'
import { dayTable, generateWeather, yearSeed } from '../weather/generator'
import type { Climate } from '../weather/climate'
import { dailyNormals } from '../weather/normals'
import { radiationOf } from '../weather/radiation'
import {
  branchOf,
  emptyCourse,
  followSoil,
  partOfCourse,
  spunUpSoil,
  surfaceHourlyC,
  surfaceWaves,
  type Ground,
  type SoilCourse,
} from '../soil/soilCourse'
import { gaplessRun } from '../weather/gaps'
import { runOf, type PlainRun } from '../weather/stationYears'
import {
  emptyRun,
  joinRuns,
  refuseNonFinite,
  runLength,
  sliceRun,
  warmedRun,
  type DailyWeather,
  type WeatherRun,
} from '../weather/weather'

/** Days before today that every year carries, so that what is already sown can be followed. */
export const DAYS_BEHIND = 120
/** Days ahead on which sowing is judged: eighteen months, so that spring is judged in autumn and autumn in spring. */
export const SOWN_AHEAD = 548
/** Time in which seedlings of the last of them come up and live through a summer, days. */
const GROWN_IN_DAYS = 372
/** Days after today. */
export const DAYS_AHEAD = SOWN_AHEAD + GROWN_IN_DAYS
/** Recent and forecast weather fade into the generated years over this many days. */
const FADE_DAYS = 10
/** A forecast's rain is believed for this long. @source own */
const RAIN_FORECAST_DAYS = 5
const SPIN_UP_DAYS = 365
/** Weather years of one season at the most. */
export const MOST_YEARS = 200
/** Days of a record that are read at all. */
export const DAYS_READ = SPIN_UP_DAYS + DAYS_BEHIND

export interface SeasonInput {
  today: Day
  /** Observed days, any order, gaps allowed; what lies on or after today is not read. */
  observed: readonly DailyWeather[]
  forecast: readonly DailyWeather[]
  climate: Climate
  ground: Ground
  years: number
  seed: number
  /**
   * The station's own years from today on, where enough of them are on record; they take the place of generated ones.
   */
  own?: readonly PlainRun[] | undefined
  /** K by which the air over this ground is warmer than at the station, for its height; 0 where left out. */
  warmerK?: number | undefined
  /** What was read at the station, whose own ground says how far its weather and the model are off. */
  probe?: { readings: readonly ProbeReading[]; ground: Ground; clockAheadH: number } | undefined
}

/** One way the season may go: the days behind as they were, the days ahead as they may be. */
export interface SeasonYear {
  weather: WeatherRun
  soil: SoilCourse
}

export interface Season {
  ground: Ground
  first: Day
  today: Day
  /** Index of today in every series. */
  todayIndex: number
  /** 1 where a day behind today has no observation and the normals stand in. */
  filled: Uint8Array
  years: SeasonYear[]
  /** Whether the years are the station's own instead of generated. */
  ownYears: boolean
  /** What the probe moved: K that are in the soil of each day already, and the readings as they were judged. */
  correctionK: Float64Array
  readings: JudgedReading[]
}

/** Departure of the last days from normal, K, which the next days still feel. */
function recentAnomalyK(behind: WeatherRun, filled: Uint8Array, climate: Climate): number {
  let sum = 0
  let count = 0
  for (let i = Math.max(0, runLength(behind) - 5); i < runLength(behind); i++) {
    if (filled[i]) continue
    const normal = dailyNormals(climate.normals, addDays(behind.first, i))
    sum += (behind.tmaxC[i]! + behind.tminC[i]! - normal.tmaxC - normal.tminC) / 2
    count++
  }
  return count ? sum / count : 0
}

/** Draws a generated year towards the forecast, or towards the recent departure where there is none. */
function fadeIn(year: WeatherRun, input: SeasonInput, anomalyK: number): WeatherRun {
  const faded = emptyRun(year.first, runLength(year))
  faded.tmaxC.set(year.tmaxC)
  faded.tminC.set(year.tminC)
  faded.rainMm.set(year.rainMm)
  const forecast = new Map(input.forecast.map((f) => [daysBetween(input.today, f.day), f]))
  for (let d = 0; d < FADE_DAYS; d++) {
    const weight = 1 - d / FADE_DAYS
    const told = forecast.get(d)
    const normal = dailyNormals(input.climate.normals, addDays(year.first, d))
    const towardsMax = told ? told.tmaxC : normal.tmaxC + anomalyK
    const towardsMin = told ? told.tminC : normal.tminC + anomalyK
    faded.tmaxC[d] = weight * towardsMax + (1 - weight) * year.tmaxC[d]!
    faded.tminC[d] = weight * towardsMin + (1 - weight) * year.tminC[d]!
    if (told && d < RAIN_FORECAST_DAYS) faded.rainMm[d] = told.rainMm
  }
  return faded
}

/** Days of forecast weather that the modelled profile goes on for, so that today's readings can be judged. */
const PROFILE_AHEAD = 2

/**
 * How far the probe moves the soil of each day of the season. The profile is the station's own, spun up on its own
 * year.
 */
function probeCorrection(
  { probe }: SeasonInput,
  history: WeatherRun,
  ahead: WeatherRun,
  days: number,
): { correctionK: Float64Array; readings: JudgedReading[] } {
  if (!probe?.readings.length) return { correctionK: new Float64Array(days), readings: [] }
  const soil = spunUpSoil(history, probe.ground)
  const run = joinRuns(sliceRun(history, SPIN_UP_DAYS, runLength(history)), sliceRun(ahead, 0, PROFILE_AHEAD))
  followSoil(soil, surfaceWaves(sliceRun(history, 0, SPIN_UP_DAYS), probe.ground))
  const { readings, offsetK } = correctByProbe(
    followProfile(soil.column, surfaceHourlyC(run, probe.ground), run.first),
    probe.readings,
    days,
    probe.clockAheadH,
  )
  return { correctionK: offsetK, readings }
}

/** Moves soil by as many K a day as the probe says, in place. */
function moveBy({ seedbedHourlyC, probeDailyC }: SoilCourse, byK: Float64Array): void {
  for (let d = 0; d < probeDailyC.length; d++) {
    probeDailyC[d]! += byK[d]!
    for (let hour = d * 24; hour < d * 24 + 24; hour++) seedbedHourlyC[hour]! += byK[d]!
  }
}

/**
 * The season of one piece of ground: soil temperature as it was, and as it may go in each of many weather years.
 * @param input.years number of weather years, 1-200; of the station's own there may be fewer
 * @returns one series a year, all beginning DAYS_BEHIND before today
 * @throws RangeError for another number of years, and for a day whose weather is no number
 * @source own, over Richardson 1981 and conduction; the years are the place's, so the spread ahead is the climate's, not a forecast model's
 */
export function buildSeason(input: SeasonInput): Season {
  if (!Number.isInteger(input.years) || input.years < 1 || input.years > MOST_YEARS)
    throw new RangeError(`Between 1 and ${MOST_YEARS} weather years.`)
  refuseNonFinite(input.observed)
  refuseNonFinite(input.forecast)
  const { run: history, filled } = gaplessRun(
    input.observed,
    addDays(input.today, -DAYS_READ),
    DAYS_READ,
    input.climate,
  )

  const here = (run: WeatherRun) => (input.warmerK ? warmedRun(run, input.warmerK) : run)
  const soilNow = spunUpSoil(here(history), input.ground)
  const historySoil = followSoil(soilNow, surfaceWaves(here(history), input.ground))
  const behind = here(sliceRun(history, SPIN_UP_DAYS, DAYS_READ))
  const soilBehind = partOfCourse(historySoil, SPIN_UP_DAYS)
  const anomalyK = recentAnomalyK(history, filled, input.climate)

  // The calendar, the place and its sun are the same in every year.
  const table = dayTable(input.climate, input.today, DAYS_AHEAD)
  const raMJ = radiationOf(input.ground.latDeg, input.today, DAYS_AHEAD)
  const drawn =
    input.own?.slice(0, input.years).map((own) => runOf(own, input.today)) ??
    Array.from({ length: input.years }, (_, y) =>
      generateWeather(input.climate, input.today, DAYS_AHEAD, yearSeed(input.seed, y), table),
    )
  const aheads = drawn.map((year) => fadeIn(year, input, anomalyK))
  const { correctionK, readings } = probeCorrection(input, history, aheads[0]!, DAYS_BEHIND + DAYS_AHEAD)
  const years = aheads.map(here).map((ahead): SeasonYear => {
    const soil = emptyCourse(DAYS_BEHIND + DAYS_AHEAD)
    soil.seedbedHourlyC.set(soilBehind.seedbedHourlyC)
    soil.probeDailyC.set(soilBehind.probeDailyC)
    followSoil(branchOf(soilNow), surfaceWaves(ahead, input.ground, raMJ), partOfCourse(soil, DAYS_BEHIND))
    if (readings.length) moveBy(soil, correctionK)
    return { weather: joinRuns(behind, ahead), soil }
  })
  return {
    ground: input.ground,
    first: behind.first,
    today: input.today,
    todayIndex: DAYS_BEHIND,
    filled: filled.slice(SPIN_UP_DAYS),
    years,
    ownYears: Boolean(input.own),
    correctionK,
    readings,
  }
}

/** A season by the first so many of its years: the same as one that was built of them alone. */
export const firstYears = (season: Season, years: number): Season =>
  years < season.years.length ? { ...season, years: season.years.slice(0, years) } : season

/** Mean of the five days that end with day i; shorter at the start of the series. */
export function fiveDayMean(series: ArrayLike<number>, i: number): number {
  const from = Math.max(0, i - 4)
  let sum = 0
  for (let k = from; k <= i; k++) sum += series[k]!
  return sum / (i - from + 1)
}

/** The same for every day of a series. */
export function fiveDayMeans(series: Float64Array): Float64Array {
  const out = new Float64Array(series.length)
  for (let i = 0; i < Math.min(4, out.length); i++) out[i] = fiveDayMean(series, i)
  for (let i = 4; i < out.length; i++)
    out[i] = (series[i - 4]! + series[i - 3]! + series[i - 2]! + series[i - 1]! + series[i]!) / 5
  return out
}

/** Middles of soil that were worked out: what grows, what can be sown and what sprouts all ask for the same ones. */
const middles = new WeakMap<readonly SeasonYear[], Float64Array>()

/** The five-day soil at probe depth that ends with each of the first days, in the middle of the years, °C. */
export function middleSoilCs({ years }: Season, days: number): Float64Array {
  const known = middles.get(years)
  if (known && known.length >= days) return known.subarray(0, days)
  const means = years.map(({ soil }) => fiveDayMeans(soil.probeDailyC))
  const middle = Float64Array.from({ length: days }, (_, i) =>
    quantile(
      means.map((year) => year[i]!),
      0.5,
    ),
  )
  middles.set(years, middle)
  return middle
}

/**
 * The value below which a share of the values lies, between neighbours linearly.
 * @param share 0-1
 * @throws RangeError where there are no values
 * @source Hyndman & Fan 1996, type 7
 */
export function quantile(values: readonly number[], share: number): number {
  return quantiles(values, [share])[0]!
}

/** Several of them of the same values, which are put in order once. */
export function quantiles(values: readonly number[], shares: readonly number[]): number[] {
  const sorted = new Float64Array(values).sort()
  if (!sorted.length) throw new RangeError('No values to take a quantile of.')
  // Its types ask for a plain array; it reads by index alone.
  return shares.map((share) => quantileSorted(sorted as unknown as number[], share)!)
}
