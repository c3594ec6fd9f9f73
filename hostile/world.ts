import { randomUUID } from 'node:crypto'
import type { LinkMade, PersonListed } from '#contract/firm'
import { MOST_LISTED } from '#contract/list'
import { type Lawn } from '#contract/lawn'
import type { StationKeyMade } from '#contract/delivery'
import type { Station } from '#contract/station'
import type { StockItem } from '#contract/stock'
import { Visitor, type Running } from '#server/test/running/process'
import { greenJpeg } from '#server/test/pictures'
import { NEW_ZONE } from '#core/site/zone'

/** A firm with an owner and a technician, and one of everything that can be named. */
export interface Firm {
  name: string
  email: string
  owner: Visitor
  technician: Visitor
  technicianId: string
  lawn: Lawn
  station: Station
  stationKey: string
  stock: StockItem
  photoId: string
  markId: string
  seenId: string
  linkId: string
  sessionId: string
}

export const PASSWORD = 'three wet autumns'
export const TODAY = new Date().toISOString().slice(0, 10)
const photo64 = () => greenJpeg().toString('base64')
export const aCount = (zoneId: string | undefined) => ({
  id: randomUUID(),
  kind: 'count',
  seenOn: TODAY,
  zoneId,
  frameMm: 76.2,
  seedlings: [12, 9],
  moist: true,
  washed: false,
  birds: false,
  note: '',
})
export const aPhoto = () => ({
  id: randomUUID(),
  note: 'a plug',
  takenOn: '2026-01-05',
  zoneId: null,
  place: null,
  jpeg: photo64(),
  small: photo64(),
})
export const thing = { name: '', holes: [], zoneId: null, heightM: null, radiusM: null, depthMm: null, located: false }

/** @throws where the server does not take what an honest firm sends */
async function sure<T>(asked: Promise<{ status: number; body: T }>): Promise<T> {
  const { status, body } = await asked
  if (status !== 200)
    throw new Error(`An honest request was refused with ${status}: ${JSON.stringify(body).slice(0, 300)}`)
  return body
}

/** Signs a firm up and fills it through the server's own door. @param words that stand in every text of it */
export async function aFirm(server: Running, name: string, words = name): Promise<Firm> {
  const owner = new Visitor()
  const technician = new Visitor()
  const email = `owner-${randomUUID()}@example.org`
  await sure(
    owner.ask(server, 'POST', '/api/door/sign-up', {
      firmName: words,
      units: 'metric',
      currency: 'EUR',
      timeZone: 'Europe/Lisbon',
      name: words,
      email,
      password: PASSWORD,
    }),
  )
  const invitation = await sure(
    owner.ask<LinkMade>(server, 'POST', '/api/people/links', { kind: 'invitation', role: 'technician' }),
  )
  await sure(
    technician.ask(server, 'POST', '/api/door/join', {
      secret: invitation.secret,
      name: words,
      email: `tech-${randomUUID()}@example.org`,
      password: PASSWORD,
    }),
  )
  const link = await sure(
    owner.ask<LinkMade>(server, 'POST', '/api/people/links', { kind: 'invitation', role: 'owner' }),
  )
  const people = await sure(owner.ask<PersonListed[]>(server, 'GET', '/api/people'))
  const station = await sure(
    owner.ask<Station>(server, 'POST', '/api/stations', {
      name: words,
      latDeg: 38,
      lonDeg: -9,
      heightM: null,
      coastal: false,
    }),
  )
  const { secret: stationKey } = await sure(
    owner.ask<StationKeyMade>(server, 'POST', `/api/stations/${station.id}/keys`, { name: 'Logger' }),
  )
  const added = await sure(
    owner.ask<Lawn>(server, 'POST', '/api/lawns', {
      id: randomUUID(),
      client: words,
      address: words,
      areaM2: 612,
      areaTyped: '',
      growsNow: words,
    }),
  )
  const [zoneId] = Object.keys(added.zones) as [string]
  const zone = {
    ...NEW_ZONE,
    name: words.slice(0, 40),
    order: 0,
    areaFrom: 'drawn' as const,
    tapedM2: 612,
    desirableShare: 0.5,
    weedShare: 0.3,
    coarseShare: 0.05,
    bareShare: 0.15,
    plugsMm: [12],
    mowingHeightMm: 70,
    grass: 'TF',
    hollows: [
      {
        name: words.slice(0, 40),
        spacingM: 1,
        widthM: null,
        rowsMm: [
          [0, 5],
          [5, 9],
        ],
      },
    ],
  }
  const lawn = await sure(
    owner.ask<Lawn>(server, 'PUT', `/api/lawns/${added.id}`, {
      ...added,
      zones: { [zoneId]: zone },
      applications: [
        { ingredient: words, product: words, rate: words.slice(0, 40), appliedOn: '2026-01-05', waitDays: 3 },
      ],
      features: {
        [randomUUID()]: {
          ...thing,
          kind: 'zone',
          zoneId,
          points: [
            [0, 0],
            [30, 0],
            [30, 20],
            [0, 20],
          ],
        },
        [randomUUID()]: { ...thing, kind: 'tree', name: words.slice(0, 40), points: [[5, 5]], heightM: 8, radiusM: 3 },
      },
      soilTest: {
        sampledOn: '2026-01-05',
        method: 'other',
        ph: 6,
        bufferPh: null,
        pPpm: null,
        kPpm: null,
        organicShare: null,
        note: words,
      },
      water: {
        ...added.water,
        source: 'hose',
        circuits: [{ name: words.slice(0, 40), heads: 2, flowLPerMin: null }],
        byWhom: words,
        restrictionNote: words,
      },
      access: { ...added.access, tipping: words, note: words },
      wishes: { ...added.wishes, note: words },
    }),
  )
  const stock = (
    await sure(
      owner.ask<StockItem[]>(server, 'POST', '/api/stock', {
        id: randomUUID(),
        matter: 'feed 18-24-12',
        name: words,
        day: TODAY,
        amount: 40,
      }),
    )
  )[0]!
  const picture = aPhoto()
  await sure(owner.ask(server, 'POST', `/api/lawns/${lawn.id}/photos`, { ...picture, note: words }))
  const markId = randomUUID()
  await sure(
    owner.ask<Lawn>(server, 'POST', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/marks`, {
      id: markId,
      task: 'scalp',
      doneOn: TODAY,
      share: 0.5,
      hours: 2,
      weather: words,
      note: words,
    }),
  )
  const seenId = randomUUID()
  const noted = await sure(
    owner.ask<Lawn>(server, 'POST', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/seen`, {
      ...aCount(lawn.job.zoneIds[0]),
      id: seenId,
      note: words,
    }),
  )
  const sessions = await sure(owner.ask<{ id: string }[]>(server, 'GET', '/api/me/sessions'))
  return {
    name,
    email,
    owner,
    technician,
    technicianId: people.find(({ role }) => role === 'technician')!.id,
    lawn: noted,
    station,
    stationKey,
    stock,
    photoId: picture.id,
    markId,
    seenId,
    linkId: link.id,
    sessionId: sessions[0]!.id,
  }
}

/** All lawns of a firm, a page after the other. */
export async function everyLawn(by: Visitor, server: Running): Promise<Lawn[]> {
  const all: Lawn[] = []
  for (;;) {
    const { body: page } = await by.ask<Lawn[]>(server, 'GET', `/api/lawns?from=${all.length}`)
    all.push(...page)
    if (page.length < MOST_LISTED) return all
  }
}

export const pause = (ms: number) =>
  new Promise((go) => {
    setTimeout(go, ms)
  })
