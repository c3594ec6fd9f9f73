import { english } from '../utils/english'
import { say } from '#core/explain/message'
import type { DailyWeather, ForecastDay } from '#core/weather/weather'
import type { ProbeReading } from '#core/soil/probe'
import { addDays, type Day } from '#core/measure/calendar'
import { MOST_FORECAST_DAYS } from '#contract/station'
import type { DeliveryResult } from '#contract/delivery'
import { keepForecast, keepReadings, keepWeather } from '../records/stations'
import type { Delivered } from '../records/stationKeys'

/** What is delivered to a station, in whatever form it came. */
export interface Delivering {
  days: readonly DailyWeather[]
  forecast?: readonly ForecastDay[] | undefined
  readings?: readonly ProbeReading[] | undefined
}

/**
 * The one door of a station: what a key, the operator's folder or the simulated station brings is kept here, the same twice
 * as once. Days that have not happened yet are left out and said.
 */
export async function deliver(
  { firmId, stationId, today }: Delivered,
  { days, forecast, readings = [] }: Delivering,
): Promise<DeliveryResult> {
  const ahead = (day: Day) => day > today
  const wanted = days.filter(({ day }) => !ahead(day))
  const late = days.flatMap(({ day }, i) =>
    ahead(day) ? [{ line: i + 1, reason: english(say('weatherFile.hasNotHappenedYet', { day })) }] : [],
  )
  const coming = forecast?.filter(({ day }) => day >= today && day <= addDays(today, MOST_FORECAST_DAYS))
  if (coming?.length) await keepForecast(firmId, stationId, today, coming)
  const read = readings.filter(({ at }) => at.slice(0, 10) <= today)
  if (read.length) await keepReadings(firmId, stationId, read)
  const { added, changed } = wanted.length ? await keepWeather(firmId, stationId, wanted) : { added: 0, changed: 0 }
  return {
    added,
    changed,
    unchanged: wanted.length - added - changed,
    rejected: late.slice(0, 200),
    rejectedCount: late.length,
  }
}
