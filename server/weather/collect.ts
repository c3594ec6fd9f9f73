import { addDays, type Day } from '#core/measure/calendar'
import type { AtWork } from '../records/firms'
import { stationsOf, type StationRecord } from '../records/stations'
import { deliver } from './deliver'
import { stationsNow } from '../utils/firmNow'
import { log } from '../utils/log'
import { readReadings } from '../compute/readingsFile'
import { forecastLimit, OPEN_FORECAST, OPEN_FORM, readDays } from '../compute/weatherFile'

/** How a device is asked: a path in, CSV out. */
export type Fetch = (path: string) => Promise<string>

const bytesOf = (text: string): Uint8Array => new TextEncoder().encode(text)

/** Days a device is asked back for when nothing of it is kept yet: a spin-up year and a season. */
const FIRST_DAYS = 500

/**
 * Brings what a device has delivered since it was last asked: days up to yesterday, today's forecast, readings up to
 * today. Asking twice changes nothing. A silent device leaves what is kept as it is.
 * @returns false when the device did not answer
 */
export async function collect(firmId: string, station: StationRecord, today: Day, fetch: Fetch): Promise<boolean> {
  if (!station.feedPath) return true
  const yesterday = addDays(today, -1)
  if (station.lastDay && station.lastDay >= yesterday) return true
  const from = station.lastDay ? addDays(station.lastDay, 1) : addDays(today, -FIRST_DAYS)
  try {
    const [days, forecast, probe] = await Promise.all([
      fetch(`${station.feedPath}/daily.csv?from=${from}&to=${yesterday}`),
      fetch(`${station.feedPath}/forecast.csv?on=${today}`),
      fetch(`${station.feedPath}/probe.csv?from=${from}&to=${today}`),
    ])
    await deliver(
      { firmId, stationId: station.id, today },
      {
        days: readDays(bytesOf(days), OPEN_FORM, yesterday).days,
        forecast: readDays(bytesOf(forecast), OPEN_FORECAST, forecastLimit(today)).days,
        readings: readReadings(bytesOf(probe), { temperature: 'C', depthMm: null, today }).readings,
      },
    )
    return true
  } catch (error) {
    log.warn({ station: station.id, reason: (error as Error).message }, 'station did not deliver')
    return false
  }
}

/** The firm's stations, the home one first, after what their devices have delivered up to today is kept. */
export async function freshStations(work: AtWork, fetch: Fetch): Promise<readonly StationRecord[]> {
  const { firm, today } = work
  const stations = await stationsNow(work)
  const behind = stations.filter(({ feedPath, lastDay }) => feedPath && (!lastDay || lastDay < addDays(today, -1)))
  if (!behind.length) return stations
  for (const station of behind) await collect(firm.id, station, today, fetch)
  return stationsOf(firm.id)
}
