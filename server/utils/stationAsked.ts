import type { H3Event } from 'h3'
import { idSchema } from '#contract/fields'
import type { AtWork } from '../records/firms'
import { stationById, type StationRecord } from '../records/stations'
import { paramOf } from './ask'
import { notFound } from './refusal'

/** The station of the path, of the firm at work. @throws Refusal where there is none */
export async function stationAsked(event: H3Event, { firm }: AtWork): Promise<StationRecord> {
  const station = await stationById(firm.id, paramOf(event, 'id', idSchema, 'station'))
  if (!station) throw notFound('station')
  return station
}
