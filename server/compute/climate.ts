import { climateFromNormals, type Climate, type Normals } from '#core/weather/normals'
import {
  climateOfPlace,
  LEAST_STATION_YEARS,
  MOST_STATION_YEARS,
  stationYears,
  type PlainRun,
} from '#core/weather/stationYears'
import type { ProbeReading } from '#core/soil/probe'
import type { DailyWeather } from '#core/weather/weather'
import { DAYS_AHEAD, DAYS_READ, type SeasonInput } from '#core/establishment/season'
import { addDays, type Day } from '#core/measure/calendar'

/** Whose normals stand in where a station has none of its own. */
export interface Lender {
  name: string
  normals: Normals
  /** Made of a few figures, and said so. */
  few: boolean
}

interface StationTold {
  name: string
  normals: Normals | null
  few: boolean
  lender: Lender | undefined
  today: Day
}

const yearsWords = (years: number) => (years < 1.05 ? `${Math.round(years * 12)} months` : `${years.toFixed(1)} years`)

/** How good they are is said wherever normals are told of. */
const normalsWords = ({ name, few }: { name: string; few: boolean }) =>
  few ? `a few figures of ${name}` : `the normals of ${name}`

/** Climate behind the weather years, with its origin in words. */
function climateOf(
  { lender, today, ...station }: StationTold,
  record: readonly DailyWeather[],
): { climate: Climate; own?: PlainRun[]; from: string } | { lacks: string } {
  const place = climateOfPlace(record, station.normals)
  const own = place && stationYears(record, today, DAYS_AHEAD, place.climate)
  if (place && own)
    return {
      climate: place.climate,
      own,
      from: `the record of ${station.name}: ${own.length} of its years as they were`,
    }
  if (place?.from === 'both')
    return {
      climate: place.climate,
      from: `${normalsWords(station)} and ${yearsWords(place.years)} of its record`,
    }
  if (place?.from === 'normals') return { climate: place.climate, from: normalsWords(station) }
  if (place)
    return {
      climate: place.climate,
      from: `${yearsWords(place.years)} of ${station.name}; below ${LEAST_STATION_YEARS} years, without normals, the spread is a rough guess`,
    }
  if (lender)
    return {
      climate: climateFromNormals(lender.normals),
      from: `${normalsWords(lender)}, since ${station.name} has not 20 days of every month`,
    }
  return {
    lacks: `${station.name} has ${record.length} days and no normals. Import a year at least, every month of the year with 20 days, or type its normals.`,
  }
}

/** Generated weather years behind every count on the screen. */
const WEATHER_YEARS = 30

/** What a season is computed from, as far as it is known before the station's days are read. */
type Known = Pick<SeasonInput, 'forecast' | 'ground' | 'seed' | 'warmerK'> & {
  probe: Omit<NonNullable<SeasonInput['probe']>, 'readings'>
}

/**
 * All that a season is computed from, the climate of its station and the days it begins with among it.
 * @param record its days as JSON, in their order: a century of them is read here and not by who asks
 * @param readings of its probe as JSON
 * @returns a `SeasonInput` as JSON with the origin of its weather in words, or what the station lacks
 */
export function groundsOfStation({
  record,
  readings,
  known,
  ...told
}: StationTold & { record: string; readings: string; known: Known }) {
  const days = JSON.parse(record) as DailyWeather[]
  const climate = climateOf(told, days)
  if ('lacks' in climate) return climate
  const { from, own, climate: ofPlace } = climate
  const input: SeasonInput = {
    ...known,
    today: told.today,
    observed: days.filter(({ day }) => day < told.today && day >= addDays(told.today, -DAYS_READ)),
    climate: ofPlace,
    years: own ? MOST_STATION_YEARS : WEATHER_YEARS,
    own,
    probe: { ...known.probe, readings: JSON.parse(readings) as ProbeReading[] },
  }
  return { input: JSON.stringify(input), from }
}
