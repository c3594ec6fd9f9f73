import type { Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import type { StationRecord } from '../records/stations'
import { freshStations } from '../weather/collect'
import { stationOf } from '../weather/sill'
import { localFetch } from './localFetch'
import { Refusal } from './refusal'

/** The station a lawn reads, with its days of today. @throws Refusal where the firm has none */
export async function stationFor(lawn: Lawn, work: AtWork): Promise<StationRecord> {
  const station = stationOf(lawn, await freshStations(work, localFetch))
  if (!station) throw new Refusal(409, 'weather', 'No weather station yet. Add one under Weather and import its days.')
  return station
}
