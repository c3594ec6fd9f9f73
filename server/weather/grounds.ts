import type { Ground } from '#core/climate/soilCourse'
import { MOST_STATION_YEARS } from '#core/climate/stationYears'
import { LAPSE_K_PER_M } from '#core/climate/weather'
import { DAYS_BEHIND, type SeasonInput } from '#core/establishment/season'
import { addDays } from '#core/quantity/calendar'
import { farKm } from '#core/site/geodesy'
import type { Lender } from '../compute/climate'
import { compute } from '../compute/pool'
import type { AtWork } from '../records/firms'
import { stationsOf, weatherNow, weatherText, type StationRecord, type WeatherNow } from '../records/stations'
import { Refusal } from '../utils/refusal'
import { clockAheadH } from './clock'
import { groundOf } from './subject'

/** Generated weather years behind every count on the screen. */
export const WEATHER_YEARS = 30
const SEED = 20260908

/** Whose normals stand in where a station has none of its own: those of the nearest that has. */
async function lenderOf(firmId: string, station: StationRecord): Promise<Lender | undefined> {
  const all = station.normals ? [station] : await stationsOf(firmId)
  const [lender] = all.filter(({ normals }) => normals).sort((a, b) => farKm(a, station) - farKm(b, station))
  return lender && { name: lender.name, normals: lender.normals! }
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
export async function groundsOf(
  { firm, today }: AtWork,
  station: StationRecord,
  { ground, heightM }: { ground: Ground; heightM: number | null },
): Promise<{ key: string; now: WeatherNow; read: () => Promise<Grounds> }> {
  const now = await weatherNow(firm.id, station.id, today, addDays(today, -DAYS_BEHIND))
  const lender = await lenderOf(firm.id, station)
  const ahead = clockAheadH(firm.timeZone, station.lonDeg, today)
  const warmer = warmerK(station, heightM)
  return {
    now,
    key: JSON.stringify([
      station.id,
      station.name,
      now.stamp,
      today,
      now.forecast,
      lender,
      now.probe,
      ahead,
      groundOf(station),
      ground,
      warmer,
    ]),
    async read() {
      const { name, normals } = station
      const told = await compute('climateOfStation', {
        record: await weatherText(firm.id, station.id),
        name,
        normals,
        lender,
        today,
      })
      if ('lacks' in told) throw new Refusal(409, 'weather', told.lacks)
      const { climate, own, from, observed } = told
      return {
        yearsFrom: warmer
          ? `${from}, moved by ${Math.round(Math.abs(warmer) * 18) / 10} °F (${Math.abs(warmer).toFixed(1)} K) for the lawn's height`
          : from,
        input: {
          today,
          observed,
          forecast: now.forecast,
          climate,
          ground,
          years: own ? MOST_STATION_YEARS : WEATHER_YEARS,
          seed: SEED,
          own,
          warmerK: warmer,
          probe: { readings: now.probe, ground: groundOf(station), clockAheadH: ahead },
        },
      }
    },
  }
}
