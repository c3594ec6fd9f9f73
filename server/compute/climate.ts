import { say, type Message } from '#core/explain/message'
import { climateFromNormals, type Climate } from '#core/weather/climate'
import { type Normals } from '#core/weather/normals'
import {
  climateOfPlace,
  LEAST_STATION_YEARS,
  MOST_STATION_YEARS,
  stationYears,
  type PlainRun,
} from '#core/weather/stationYears'
import type { ProbeReading } from '#core/soil/probe'
import type { DailyWeather } from '#core/weather/weather'
import { DAYS_AHEAD, DAYS_READ, MOST_YEARS, type SeasonInput } from '#core/establishment/season'
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

const yearsWords = (years: number): Message =>
  years < 1.05
    ? say('server.months', { n: Math.round(years * 12) })
    : say('server.years', { n: Math.round(years * 10) / 10 })

/** How good they are is said wherever normals are told of. */
const normalsWords = ({ name, few }: { name: string; few: boolean }): Message =>
  few ? say('server.fewFiguresOf', { name }) : say('server.normalsOf', { name })

/** Climate behind the weather years, with its origin in words. */
function climateOf(
  { lender, today, ...station }: StationTold,
  record: readonly DailyWeather[],
): { climate: Climate; own?: PlainRun[]; from: Message } | { lacks: Message } {
  const place = climateOfPlace(record, station.normals)
  const own = place && stationYears(record, today, DAYS_AHEAD, place.climate)
  if (place && own)
    return {
      climate: place.climate,
      own,
      from: say('server.recordOf', { name: station.name, years: own.length }),
    }
  if (place?.from === 'both')
    return {
      climate: place.climate,
      from: say('server.bothOf', { normals: normalsWords(station), years: yearsWords(place.years) }),
    }
  if (place?.from === 'normals') return { climate: place.climate, from: normalsWords(station) }
  if (place)
    return {
      climate: place.climate,
      from: say('server.yearsOf', {
        years: yearsWords(place.years),
        name: station.name,
        least: LEAST_STATION_YEARS,
      }),
    }
  if (lender)
    return {
      climate: climateFromNormals(lender.normals),
      from: say('server.lentTo', { normals: normalsWords(lender), name: station.name }),
    }
  return {
    lacks: say('server.hasDaysAndNo', { name: station.name, record: record.length }),
  }
}

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
    years: own ? MOST_STATION_YEARS : MOST_YEARS,
    own,
    probe: { ...known.probe, readings: JSON.parse(readings) as ProbeReading[] },
  }
  return { input: JSON.stringify(input), from }
}
