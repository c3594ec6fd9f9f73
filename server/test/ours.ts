import { randomUUID } from 'node:crypto'
import { beforeEach, expect, vi } from 'vitest'
import type { Zone } from '#core/site/zone'
import { toDay } from '#core/measure/calendar'
import { dailyCsv, forecastCsv, probeCsv } from '#contract/feed'
import { defaultSettings } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassByCode } from '#core/grass/grasses'
import type { Lawn } from '#contract/lawn'
import { PELLMOOR } from '../../demo/pellmoor'
import { ANSWERED, withZone } from '../../contract/test/looks'
import type { Author } from '../records/firms'
import { standinDays, standinForecast, standinReadings } from '../weather/standin'
import { newFirm, owner, useTestDatabase } from './database'
import { Browser, type Answer } from './house'

export const TODAY = toDay('2026-09-08')
export const NEW_LAWN = { client: 'Odell', address: '', areaM2: 612, areaTyped: '', growsNow: '' }
export const NEW_STATION = { name: 'Yard', latDeg: 37, lonDeg: -79, heightM: null, coastal: false }

/** An overseeding of a lawn on a day, with the settings it begins with. */
export const planOn = (lawn: Lawn, sowOn: string) => ({
  ...lawn.plan,
  programme: 'overseed',
  sowOn,
  settings: defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.56, programme: PROGRAMMES.overseed }),
})

/** The stand-in devices, asked as the server asks them. */
async function standIn(path: string): Promise<string> {
  const query = new URL(path, 'http://stand.in').searchParams
  const day = (name: string) => toDay(query.get(name) ?? '')
  if (path.includes('forecast')) return forecastCsv(standinForecast(day('on')))
  return path.includes('daily')
    ? dailyCsv(standinDays(day('from'), day('to')))
    : probeCsv(standinReadings(day('from'), day('to')))
}

/** A firm whose clock stands at TODAY, with its owner signed in. */
export class Ours {
  us!: Author
  browser!: Browser

  call = <T = unknown>(method: string, path: string, body?: unknown): Promise<Answer<T>> =>
    this.browser.call<T>(method, path, body)

  /** The simulated station, as its home. */
  ridge = () =>
    owner(
      `insert into stations (firm_id, name, kind, lat_deg, lon_deg, home, feed_path, normals)
       values ($1, 'Ridge', 'simulated', $2, $3, true, $4, $5)`,
      [this.us.firmId, PELLMOOR.latDeg, PELLMOOR.lonDeg, PELLMOOR.feedPath, JSON.stringify(PELLMOOR.normals)],
    )

  /** A lawn that lacks nothing a plan wants. */
  surveyed = async (change: Partial<Lawn> = {}, zone: Partial<Zone> = {}): Promise<Lawn> => {
    const { body } = await this.call<Lawn>('POST', '/api/lawns', { id: randomUUID(), ...NEW_LAWN })
    const look = { ...withZone(body, { ...ANSWERED, ...zone }), ...change }
    const saved = await this.call<Lawn>('PUT', `/api/lawns/${body.id}`, look)
    expect(saved.status).toBe(200)
    return saved.body
  }
}

/** An empty database with one firm in it before each test. */
export function useOurs(): Ours {
  const ours = new Ours()
  useTestDatabase()
  vi.stubGlobal('$fetch', standIn)
  beforeEach(async () => {
    await owner('delete from firms')
    ours.us = await newFirm('Ours')
    await owner(
      `update firms set demo = true, time_zone = $2, clock_stands_at = '2026-09-08T12:00:00Z' where id = $1`,
      [ours.us.firmId, PELLMOOR.timeZone],
    )
    ours.browser = await new Browser().enter(ours.us)
  })
  return ours
}
