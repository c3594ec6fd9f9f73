import { say } from '#core/explain/message'
import type { Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import type { StationRecord } from '../records/stations'
import { freshStations } from '../weather/collect'
import { stationOf } from '../weather/stationOf'
import { localFetch } from './localFetch'
import { Refusal } from './refusal'

/** Nothing is known of the place a firm works at. */
export const noStation = () => new Refusal(409, 'weather', say('server.theClimateOfYour'))

/** The station a lawn reads, with its days of today. @throws Refusal where the firm has none */
export async function stationFor(lawn: Lawn, work: AtWork): Promise<StationRecord> {
  const station = stationOf(lawn, await freshStations(work, localFetch))
  if (!station) throw noStation()
  return station
}
