import { fromDate, toCalendarDate } from '@internationalized/date'
import type { Context } from '#contract/context'
import { owner } from '#server/test/database'
import type { Running } from '#server/test/running/process'
import type { Report } from './report'
import { aFirm } from './world'

/** Zones whose day or clock does what people forget. */
const ZONES = [
  'UTC',
  'America/New_York',
  'Europe/Lisbon',
  'Australia/Lord_Howe',
  'Pacific/Chatham',
  'Pacific/Kiritimati',
  'Pacific/Pago_Pago',
  'Asia/Kathmandu',
  'America/St_Johns',
  'Africa/Casablanca',
  'America/Sao_Paulo',
]
/** Nights on which clocks change, leap days, turns of the year, and the minute before and after. */
const MOMENTS = [
  '2028-02-28T23:59:00Z',
  '2028-02-29T00:01:00Z',
  '2028-02-29T12:00:00Z',
  '2028-03-01T00:00:00Z',
  '2027-02-28T23:30:00Z',
  '2026-03-08T06:59:00Z',
  '2026-03-08T07:01:00Z',
  '2026-11-01T05:30:00Z',
  '2026-11-01T06:30:00Z',
  '2026-10-25T00:59:00Z',
  '2026-10-25T01:01:00Z',
  '2026-12-31T23:59:00Z',
  '2027-01-01T00:00:00Z',
  '2026-04-04T15:30:00Z',
]

/** Days by the firm's clock, held against a library of its own. */
export async function clock(server: Running, report: Report): Promise<string> {
  const firm = await aFirm(server, 'Clock')
  const [row] = await owner<{ id: string }>('select firm_id as id from people where email = $1', [firm.email])
  const day = async () => {
    const { status, body } = await firm.owner.ask<Context>(server, 'GET', '/api/context')
    report.heard('context by the clock', status)
    return body.today
  }
  const wanted = (moment: string, zone: string) => toCalendarDate(fromDate(new Date(moment), zone)).toString()
  for (const zone of ZONES) {
    for (const moment of MOMENTS) {
      await owner('update firms set demo = true, time_zone = $2, clock_stands_at = $3 where id = $1', [
        row!.id,
        zone,
        moment,
      ])
      const is = await day()
      report.expect(`${moment} in ${zone} is ${is}, ${wanted(moment, zone)} wanted`, is === wanted(moment, zone))
      const stepped = await firm.owner.ask<{ today: string }>(server, 'POST', '/api/firm/clock', { days: 1 })
      report.heard('a step of the clock', stepped.status)
      const after = toCalendarDate(fromDate(new Date(moment), zone))
        .add({ days: 1 })
        .toString()
      const now = await day()
      report.expect(`a day after ${moment} in ${zone} is ${now}, ${after} wanted`, now === after)
      const marked = await firm.owner.ask(server, 'POST', `/api/stations/${firm.station.id}/readings`, {
        at: `${now}T00:30`,
        depthMm: 50,
        tempC: 12,
      })
      report.heard('a reading by the clock', marked.status)
    }
  }
  await owner('update firms set demo = false, clock_stands_at = null where id = $1', [row!.id])
  return `${ZONES.length} zones at ${MOMENTS.length} moments: changes of summer time, leap days, turns of the year, each with a step of a day.`
}
