import { climateFromNormals } from '#core/weather/climate'
import { generateWeather } from '#core/weather/generator'
import { seededRandom } from '#core/weather/random'
import { followProfile, profileC, type ProbeReading, type SoilProfile } from '#core/soil/probe'
import { spunUpSoil, surfaceHourlyC, type Ground } from '#core/soil/soilCourse'
import type { DailyWeather, ForecastDay, WeatherRun } from '#core/weather/weather'
import { PROBE_DEPTH_M } from '#core/soil/soil'
import { addDays, dayNumber, daysBetween, toDay, type Day } from '#core/measure/calendar'
import { PELLMOOR } from '../../demo/pellmoor'
import { clockAheadH } from '#core/measure/clock'

/**
 * A weather station and a soil probe that exist only here. They deliver the same days to everyone who asks, in the open
 * CSV form that real devices can speak too.
 */
const FIRST = toDay('2024-06-01')
const LAST = toDay('2029-12-31')
const FORECAST_DAYS = 10
/** Beyond it the devices would have no forecast left to tell. */
export const LAST_STANDIN_DAY = addDays(LAST, -FORECAST_DAYS)
/** Local offset and noise of the probe, K: what the model cannot know. */
const PROBE_OFFSET_K = 0.5
const PROBE_NOISE_K = 0.25
const GROUND: Ground = { latDeg: PELLMOOR.latDeg, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' }

/** Its probe is read by its own clock, which is ahead of the sun by so much, h. */
const READ_AT = { clock: '06:40', hour: 6 + 40 / 60 }

let truth: { weather: WeatherRun; soil: SoilProfile } | undefined

function simulated() {
  if (!truth) {
    const weather = generateWeather(
      climateFromNormals(PELLMOOR.normals),
      FIRST,
      daysBetween(FIRST, LAST),
      PELLMOOR.seed,
    )
    truth = { weather, soil: followProfile(spunUpSoil(weather, GROUND).column, surfaceHourlyC(weather, GROUND), FIRST) }
  }
  return truth
}

const toTenth = (value: number) => Math.round(value * 10) / 10

function dayAt(run: WeatherRun, day: Day): DailyWeather | undefined {
  const i = daysBetween(run.first, day)
  if (i < 0 || i >= run.tmaxC.length) return undefined
  return { day, tmaxC: toTenth(run.tmaxC[i]!), tminC: toTenth(run.tminC[i]!), rainMm: toTenth(run.rainMm[i]!) }
}

function* daysFrom(from: Day, to: Day): Generator<Day> {
  for (let day = from; day <= to; day = addDays(day, 1)) yield day
}

export function standinDays(from: Day, to: Day): DailyWeather[] {
  return [...daysFrom(from, to)].flatMap((day) => dayAt(simulated().weather, day) ?? [])
}

/** Wind of a day, km/h: the same whenever it is forecast, mostly light. */
const windOf = (day: Day) => Math.round(Math.min(40, 5 + 4 * seededRandom(dayNumber(day) * 17).gamma(1.4)))

/** Ten days as a forecaster would see them: the truth, blurred the more the farther ahead. */
export function standinForecast(issuedOn: Day): ForecastDay[] {
  const random = seededRandom(dayNumber(issuedOn))
  return Array.from({ length: FORECAST_DAYS }, (_, lead): ForecastDay | undefined => {
    const day = dayAt(simulated().weather, addDays(issuedOn, lead))
    const [shift, wetter] = [random.normal() * 0.35 * lead, Math.exp(random.normal() * 0.12 * lead)]
    return (
      day && {
        day: day.day,
        tmaxC: toTenth(day.tmaxC + shift),
        tminC: toTenth(day.tminC + shift),
        rainMm: toTenth(day.rainMm * wetter),
        windKmh: windOf(day.day),
      }
    )
  }).filter((day) => day !== undefined)
}

/** One reading a morning at 50 mm. */
export function standinReadings(from: Day, to: Day): ProbeReading[] {
  const { soil } = simulated()
  return [...daysFrom(from, to)].flatMap((day) => {
    const truthC = profileC(
      soil,
      PROBE_DEPTH_M,
      daysBetween(FIRST, day) * 24 + READ_AT.hour - clockAheadH(PELLMOOR.timeZone, PELLMOOR.lonDeg, day),
    )
    if (truthC === undefined) return []
    const noise = seededRandom(dayNumber(day) * 31).normal() * PROBE_NOISE_K
    return [
      { at: `${day}T${READ_AT.clock}`, depthMm: PROBE_DEPTH_M * 1000, tempC: toTenth(truthC + PROBE_OFFSET_K + noise) },
    ]
  })
}
