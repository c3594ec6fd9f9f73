import { climateFromNormals, type Climate, type Normals } from '#core/climate/normals'
import type { Ground } from '#core/climate/soilCourse'
import { climateOfPlace, LEAST_STATION_YEARS, MOST_STATION_YEARS, stationYears, type PlainRun } from '#core/climate/stationYears'
import { LAPSE_K_PER_M, type DailyWeather } from '#core/climate/weather'
import { DAYS_AHEAD, DAYS_BEHIND, DAYS_READ, type SeasonInput } from '#core/establishment/season'
import { addDays, type Day } from '#core/quantity/calendar'
import { farKm } from '#core/site/geodesy'
import type { AtWork } from '../records/firms'
import { stationsOf, weatherNow, weatherOf, type StationRecord, type WeatherNow } from '../records/stations'
import { Refusal } from '../utils/refusal'
import { clockAheadH } from './clock'
import { groundOf } from './subject'

/** Generated weather years behind every count on the screen. */
export const WEATHER_YEARS = 30
const SEED = 20260908

interface Lender {
  name: string
  normals: Normals
}

/** Whose normals stand in where a station has none of its own: those of the nearest that has. */
async function lenderOf(firmId: string, station: StationRecord): Promise<Lender | undefined> {
  const all = station.normals ? [station] : await stationsOf(firmId)
  const [lender] = all.filter(({ normals }) => normals).sort((a, b) => farKm(a, station) - farKm(b, station))
  return lender && { name: lender.name, normals: lender.normals! }
}

const yearsWords = (years: number) => (years < 1.05 ? `${Math.round(years * 12)} months` : `${years.toFixed(1)} years`)

/** Climate behind the weather years, with its origin in words. */
function climateOf(station: StationRecord, record: readonly DailyWeather[], lender: Lender | undefined, today: Day): { climate: Climate; own?: PlainRun[]; from: string } {
  const place = climateOfPlace(record, station.normals)
  const own = place && stationYears(record, today, DAYS_AHEAD, place.climate)
  if (place && own) return { climate: place.climate, own, from: `the record of ${station.name}: ${own.length} of its years as they were` }
  if (place?.from === 'both') return { climate: place.climate, from: `the normals of ${station.name} and ${yearsWords(place.years)} of its record` }
  if (place?.from === 'normals') return { climate: place.climate, from: `the normals of ${station.name}` }
  if (place) return { climate: place.climate, from: `${yearsWords(place.years)} of ${station.name}; below ${LEAST_STATION_YEARS} years, without normals, the spread is a rough guess` }
  if (lender) return { climate: climateFromNormals(lender.normals), from: `the normals of ${lender.name}, since ${station.name} has not 20 days of every month` }
  throw new Refusal(409, 'weather', `${station.name} has ${record.length} days and no normals. Import a year at least, every month of the year with 20 days, or type its normals.`)
}

/** All that a season is computed from, so that it can be computed anywhere. */
export interface Grounds {
  input: SeasonInput
  /** How the weather years were made, in words. */
  yearsFrom: string
}

/** Air over a lawn that lies higher is colder than at its station. */
const warmerK = (station: StationRecord, heightM: number | null): number =>
  station.heightM === null || heightM === null ? 0 : Math.round((station.heightM - heightM) * LAPSE_K_PER_M * 100) / 100

/** What a season is computed from, with a key that changes when any of it does; the long record is read only where it is wanted. */
export async function groundsOf({ firm, today }: AtWork, station: StationRecord, { ground, heightM }: { ground: Ground; heightM: number | null }): Promise<{ key: string; now: WeatherNow; read: () => Promise<Grounds> }> {
  const now = await weatherNow(firm.id, station.id, today, addDays(today, -DAYS_BEHIND))
  const lender = await lenderOf(firm.id, station)
  const ahead = clockAheadH(firm.timeZone, station.lonDeg, today)
  const warmer = warmerK(station, heightM)
  return {
    now, key: JSON.stringify([station.id, station.name, now.stamp, today, now.forecast, lender, now.probe, ahead, groundOf(station), ground, warmer]),
    async read() {
      const record = await weatherOf(firm.id, station.id)
      const { climate, own, from } = climateOf(station, record, lender, today)
      const observed = record.filter(({ day }) => day < today && day >= addDays(today, -DAYS_READ))
      return {
        yearsFrom: warmer ? `${from}, moved by ${Math.round(Math.abs(warmer) * 18) / 10} °F (${Math.abs(warmer).toFixed(1)} K) for the lawn's height` : from,
        input: {
          today, observed, forecast: now.forecast, climate, ground, years: own ? MOST_STATION_YEARS : WEATHER_YEARS, seed: SEED, own, warmerK: warmer,
          probe: { readings: now.probe, ground: groundOf(station), clockAheadH: ahead },
        },
      }
    },
  }
}
