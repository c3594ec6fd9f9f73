import { randomUUID } from 'node:crypto'
import { afterEach, describe, expect, test } from 'vitest'
import { defaultSettings } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassByCode } from '#core/grass/grasses'
import type { Lawn } from '#contract/lawn'
import { NO_WORK } from '#core/job/nothingDecided'
import type { Author } from '../records/firms'
import { newFirm, owner } from './database'
import { Browser } from './house'
import { context, joined, MARA, PASSWORD, signIn, useMarram } from './marram'
import { waitsHold } from './waits'

/** What a thief would copy. */
async function cookieOf(browser: Browser): Promise<string> {
  return (browser as unknown as { cookie: string }).cookie
}
const opens = async (cookie: string) =>
  (await new Browser().request('GET', '/api/context', { headers: { cookie } })).status

let mara: Browser
useMarram((browser) => {
  mara = browser
})
afterEach(() => {
  for (const name of ['UPPER_SILL_NO_SIGN_UP', 'UPPER_SILL_DEMO']) Reflect.deleteProperty(process.env, name)
})

describe('a firm that signs up', () => {
  test('is at work at once, its owner signed in', async () => {
    expect((await context(mara)).body).toMatchObject({
      firm: { name: 'Marram Turf', units: 'metric', currency: 'EUR', demo: false },
      person: { name: 'Mara', role: 'owner' },
    })
  })

  test('is told which field is wrong, and which address is taken', async () => {
    const wrong = await new Browser().call('POST', '/api/door/sign-up', {
      ...MARA,
      password: 'short',
      timeZone: 'Atlantis/Reef',
      currency: 'EURO',
      email: 'mara',
    })
    expect([wrong.status, Object.keys(wrong.body.error.fields!).sort()]).toEqual([
      422,
      ['currency', 'email', 'password', 'timeZone'],
    ])
    const taken = await new Browser().call('POST', '/api/door/sign-up', { ...MARA, email: 'Mara@Example.org' })
    expect([taken.status, Object.keys(taken.body.error.fields!)]).toEqual([409, ['email']])
  })

  test('finds the door shut where the server takes no new firms', async () => {
    process.env.UPPER_SILL_NO_SIGN_UP = '1'
    expect((await new Browser().call('POST', '/api/door/sign-up', { ...MARA, email: 'x@example.org' })).status).toBe(
      403,
    )
  })
})

describe('signing in', () => {
  test('takes the right password, answers a wrong one and a stranger alike', async () => {
    const browser = new Browser()
    const [wrong, stranger] = [
      await signIn(browser, MARA.email, 'three dry autumns'),
      await signIn(browser, 'nobody@example.org', PASSWORD),
    ]
    expect([wrong.status, stranger.status]).toEqual([401, 401])
    expect(wrong.body).toEqual(stranger.body)
    expect((await context(browser)).status).toBe(401)
    expect((await signIn(browser, ' MARA@example.org', PASSWORD)).status).toBe(200)
    expect((await context(browser)).body.person.name).toBe('Mara')
  })

  test('keeps in the cookie nothing that can be read or forged, and for this server only', async () => {
    const response = await new Browser().request('POST', '/api/door/sign-in', {
      body: JSON.stringify({ email: MARA.email, password: PASSWORD }),
      headers: { 'content-type': 'application/json' },
    })
    const cookie = response.headers.getSetCookie().at(-1)!
    expect(cookie).toMatch(/HttpOnly/i)
    expect(cookie).toMatch(/SameSite=Lax/i)
    const [{ id }] = (await owner<{ id: string }>('select id from people')) as [{ id: string }]
    expect(decodeURIComponent(cookie)).not.toContain(id)
    const sealed = cookie.split(';')[0]!
    const forged = new Browser()
    const status = async (value: string) =>
      (await forged.request('GET', '/api/context', { headers: { cookie: value } })).status
    expect(await status(sealed)).toBe(200)
    expect(await status(`${sealed.slice(0, -6)}AAAAAA`)).toBe(401)
  })

  test('waits longer after each wrong try at one account from one address, opens for others, and for who knows the password when the wait is over', async () => {
    await joined(mara, 'technician', 'tam@example.org')
    const tries: number[] = []
    for (let i = 0; i < 6; i++) tries.push((await signIn(new Browser(), MARA.email, 'guess')).status)
    await waitsHold()
    for (let i = 0; i < 3; i++) tries.push((await signIn(new Browser(), MARA.email, 'guess')).status)
    expect(tries).toEqual([...Array(6).fill(401), 429, 429, 429])
    const wait = await signIn(new Browser(), MARA.email, PASSWORD)
    expect([wait.status, wait.body.error.message]).toEqual([
      429,
      expect.stringMatching(/^Too many tries\. Wait \d+ seconds?, then try again/),
    ])
    expect((await signIn(new Browser(), 'tam@example.org', PASSWORD)).status).toBe(200)
    expect((await context(mara)).status).toBe(200)
    await owner(`update attempts set expire = 0 where key like 'gate:%'`)
    expect((await signIn(new Browser(), MARA.email, PASSWORD)).status).toBe(200)
    expect((await signIn(new Browser(), MARA.email, 'guess')).status).toBe(401)
  })

  test('is not passed by another spelling of the same address', async () => {
    // Two ideas of lower case once let the dotted capital I round the count.
    await owner(`update people set email = 'miri@example.org' where email = $1`, [MARA.email])
    for (let i = 0; i < 6; i++) await signIn(new Browser(), 'miri@example.org', 'guess')
    await waitsHold()
    for (const spelling of ['MIRI@example.org', ' miri@EXAMPLE.ORG', '\uff4diri@example.org'])
      expect([spelling, (await signIn(new Browser(), spelling, PASSWORD)).status]).toEqual([spelling, 429])
    expect((await signIn(new Browser(), 'm\u0130r\u0130@example.org', PASSWORD)).status).toBe(401)
  })

  test('is shut for a while after forty tries from one address, whatever the accounts', async () => {
    const tries: number[] = []
    for (let i = 0; i < 41; i++) tries.push((await signIn(new Browser(), `guess${i}@example.org`, 'guess')).status)
    expect(tries).toEqual([...Array(40).fill(401), 429])
    expect((await signIn(new Browser(), MARA.email, PASSWORD)).body.error.message).toMatch(
      /^Too many tries\. Wait 1[0-5] minutes/,
    )
    expect((await context(mara)).status).toBe(200)
  })

  test('out leaves other sessions, out everywhere ends them all', async () => {
    const phone = new Browser()
    await signIn(phone, MARA.email, PASSWORD)
    const copy = await cookieOf(phone)
    expect(await opens(copy)).toBe(200)
    await phone.call('POST', '/api/door/sign-out')
    // The server ended it: a copy of its cookie opens nothing any more.
    expect(await opens(copy)).toBe(401)
    expect([(await context(phone)).status, (await context(mara)).status]).toEqual([401, 200])
    await signIn(phone, MARA.email, PASSWORD)
    expect((await mara.call('DELETE', '/api/me/sessions')).status).toBe(200)
    expect([(await context(phone)).status, (await context(mara)).status]).toEqual([401, 401])
  })
})

test('prices are put in by an owner; a technician’s plan keeps them and adds none', async () => {
  const tam = await joined(mara, 'technician', 'tam@example.org')
  const lawn = (
    await mara.call<Lawn>('POST', '/api/lawns', {
      id: randomUUID(),
      client: 'Odell',
      address: '',
      areaM2: 612,
      areaTyped: '',
      growsNow: '',
    })
  ).body
  const settings = defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.56, programme: PROGRAMMES.overseed })
  const priced = { ...settings, bags: [{ massKg: 20, priceMinor: 4500 }] }
  const save = (browser: Browser, version: number, with_: object) =>
    browser.call<Lawn>('PUT', `/api/lawns/${lawn.id}/jobs/${lawn.job.id}/plan`, {
      version,
      programme: null,
      overruleNote: null,
      zonePlans: {},
      practices: {},
      blend: [],
      work: NO_WORK,
      sowOn: null,
      settings: with_,
    })
  expect((await save(tam, 0, priced)).body.error.code).toBe('owner_only')
  expect((await save(mara, 0, priced)).body.plan.settings!.bags).toEqual(priced.bags)
  expect((await save(tam, 1, { ...priced, coverMm: 0 })).status).toBe(200)
  expect((await save(tam, 2, { ...priced, bags: [{ massKg: 20, priceMinor: 4400 }] })).status).toBe(403)
  expect((await save(tam, 2, { ...priced, bags: [...priced.bags, { massKg: 5, priceMinor: null }] })).status).toBe(200)
})

test('settings and own units are kept, and an older version of them is refused', async () => {
  const { firm } = (await context(mara)).body
  const changed = {
    ...firm,
    workingDays: [5, 1, 1],
    licences: [{ what: 'Pesticides', number: 'A 12' }],
    practices: { ...firm.practices, rate: 'heavy' },
  }
  expect((await mara.call('PUT', '/api/firm', changed)).status).toBe(200)
  expect((await context(mara)).body.firm).toMatchObject({
    workingDays: [1, 5],
    licences: changed.licences,
    practices: { rate: 'heavy', cover: 'always' },
    version: firm.version + 1,
  })
  expect((await mara.call('PUT', '/api/firm', changed)).body.error.code).toBe('conflict')
  expect((await mara.call('PUT', '/api/firm', { ...changed, version: firm.version + 1, workingDays: [] })).status).toBe(
    422,
  )
  await mara.call('PUT', '/api/me/units', { units: 'us' })
  expect((await context(mara)).body).toMatchObject({ firm: { units: 'metric' }, person: { units: 'us' } })
})

describe('a write', () => {
  const body = JSON.stringify({ units: 'us' })
  const write = async (headers: Record<string, string>, path = '/api/me/units') =>
    (await mara.request('PUT', path, { body, headers: { 'content-type': 'application/json', ...headers } })).status

  test('comes from a page of this server, or changes nothing', async () => {
    expect(await write({})).toBe(200)
    for (const origin of [
      'http://elsewhere.test',
      'null',
      'http://sill.test.elsewhere.test',
      'http://sill.test:81',
      '',
    ])
      expect(await write({ origin })).toBe(403)
  })

  test('that is no JSON, as a form of another site would send, is not read', async () => {
    expect(await write({ 'content-type': 'text/plain' })).toBe(422)
  })

  test('larger than anything people type is stopped, told or not told beforehand', async () => {
    const large = JSON.stringify({ units: 'us', more: 'x'.repeat(200_000) })
    const told = await mara.request('PUT', '/api/me/units', {
      body: large,
      headers: { 'content-type': 'application/json', 'content-length': String(large.length) },
    })
    expect(told.status).toBe(413)
    let sent = 0
    const endless = new ReadableStream({
      pull(controller) {
        sent += 1
        controller.enqueue(new TextEncoder().encode('x'.repeat(10_000)))
      },
    })
    const untold = await mara.request('PUT', '/api/me/units', {
      body: endless,
      headers: { 'content-type': 'application/json' },
      duplex: 'half',
    } as RequestInit)
    expect([untold.status, ((await untold.json()) as { error: { code: string } }).error.code]).toEqual([
      413,
      'too_large',
    ])
    expect(sent).toBeLessThan(40)
  })
})

test('the clock is stepped in the demo, and in no real firm', async () => {
  expect((await mara.call('POST', '/api/firm/clock', { days: 1 })).body.error.code).toBe('not_demo')
  const us: Author = await newFirm('Demo')
  await owner(`update firms set demo = true, clock_stands_at = '2026-09-08T12:00:00Z' where id = $1`, [us.firmId])
  const demo = await new Browser().enter(us)
  expect((await demo.call('POST', '/api/firm/clock', { days: 7 })).body).toEqual({ today: '2026-09-15' })
  expect((await context(demo)).body.today).toBe('2026-09-15')
  expect((await demo.call('POST', '/api/firm/clock', { days: -1 })).status).toBe(422)
  await owner(`update firms set clock_stands_at = '2029-12-20T12:00:00Z' where id = $1`, [us.firmId])
  expect((await demo.call('POST', '/api/firm/clock', { days: 7 })).status).toBe(422)
})
