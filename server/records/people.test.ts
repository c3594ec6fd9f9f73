import { toDay } from '#core/measure/calendar'
import { allPractices } from '#core/job/decision/usualPractices'
import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { owner } from '../test/database'
import { useTwoFirms } from '../test/firms'
import { database, inFirm } from './db'
import { atWork, foundFirm, saveFirm, type Author } from './firms'
import { changePassword, changePerson, peopleOf, personAtTheDoor, resetByAddress } from './people'
import { endSession, endSessions, openSession, sessionsOf } from './sessions'
import { addStation, stationsOf } from './stations'

const HERE = { device: 'Firefox on Linux', addressHash: 'here' }
let ours: Author
let theirs: Author
useTwoFirms((a, b) => {
  ;[ours, theirs] = [a, b]
})

describe('the second lock', () => {
  test('stands on every table that holds rows of a firm', async () => {
    const open = await owner<{ name: string }>(
      `select c.relname as name from pg_class c join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
       where c.relkind = 'r' and (c.relname = 'firms'
         or exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'firm_id'
         and not a.attisdropped))
         and not (c.relrowsecurity and exists (select from pg_policy p
           where p.polrelid = c.oid and pg_get_expr(p.polqual, p.polrelid) like '%firm_at_work()%'
           and pg_get_expr(p.polwithcheck, p.polrelid) like '%firm_at_work()%'))`,
    )
    expect(open).toEqual([])
  })

  test('stands on the tables of no firm too: every table has its policies', async () => {
    const bare = await owner<{ name: string }>(
      `select c.relname as name from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'
        and not (c.relrowsecurity and exists (select from pg_policy where polrelid = c.oid))`,
    )
    expect(bare).toEqual([])
    await expect(database().query('update migrations set version = 1')).rejects.toMatchObject({ code: '42501' })
  })

  test('shows nothing while no firm is at work, and only its own while one is', async () => {
    const names = async () => (await database().query<{ name: string }>('select name from firms')).rows
    expect(await names()).toEqual([])
    await inFirm(ours.firmId, async (client) => {
      expect((await client.query('select name from firms')).rows).toEqual([{ name: 'Ours' }])
      expect((await client.query('select firm_id from people')).rows).toEqual([{ firm_id: ours.firmId }])
    })
    // The firm ends with its transaction; the next who is handed the connection sees nothing.
    expect(await names()).toEqual([])
  })

  test('lets nothing be written into another firm, moved there, or taken away from it', async () => {
    await inFirm(ours.firmId, async (client) => {
      expect(
        (await client.query(`update people set name = 'Taken' where firm_id = $1`, [theirs.firmId])).rowCount,
      ).toBe(0)
      expect((await client.query(`delete from people where firm_id = $1`, [theirs.firmId])).rowCount).toBe(0)
    })
    const into = inFirm(ours.firmId, (client) =>
      client.query(`insert into stations (firm_id, name, kind, lat_deg, lon_deg) values ($1, 'x', 'imported', 0, 0)`, [
        theirs.firmId,
      ]),
    )
    await expect(into).rejects.toMatchObject({ code: '42501' })
    await addStation(ours.firmId, { name: 'Ridge', latDeg: 37, lonDeg: -79, heightM: null, coastal: false })
    await expect(
      inFirm(ours.firmId, (client) => client.query('update stations set firm_id = $1', [theirs.firmId])),
    ).rejects.toMatchObject({ code: '42501' })
  })

  test('holds because the server owns nothing: it can neither lift a policy nor read past one', async () => {
    const { rows } = await database().query<{ role: string }>('select current_user as role')
    expect(rows).toEqual([{ role: 'upper_sill_work' }])
    await expect(database().query('alter table firms disable row level security')).rejects.toMatchObject({
      code: '42501',
    })
    await expect(database().query('create table mine (x integer)')).rejects.toMatchObject({ code: '42501' })
  })

  test('takes no id that is none into its own words', async () => {
    await expect(inFirm(`${ours.firmId}'; reset role; --`, async () => 1)).rejects.toThrow(RangeError)
  })
})

describe('a firm', () => {
  const firm = {
    id: randomUUID(),
    name: 'New',
    units: 'metric' as const,
    currency: 'NZD',
    timeZone: 'Pacific/Auckland',
    language: 'en-GB' as const,
  }
  const settings = {
    version: 1,
    name: 'Ours Too',
    units: 'metric' as const,
    currency: 'EUR',
    timeZone: 'Europe/Lisbon',
    language: 'en-GB' as const,
    grows: 'cool' as const,
    practices: allPractices({ rate: 'heavy' }),
    planning: { overseedFrom: 0.6 },
    workingDays: [1, 2, 3],
    holidays: [toDay('2026-12-25')],
    feedRules: { phosphorus: 'banned' as const, blackouts: [{ from: '11-15', to: '03-01' }] },
    hoursADay: 24,
    licences: [{ what: 'Pesticides', number: 'A 12' }],
    homeStationId: null,
  }

  test('begins with its owner at work, and an address founds only one', async () => {
    const founder = { name: 'Rua', email: 'rua@example.org', passwordHash: 'x' }
    const author = (await foundFirm({ ...firm, id: randomUUID() }, founder))!
    expect(await atWork(await openSession(author, HERE))).toMatchObject({
      firm: { name: 'New', currency: 'NZD', demo: false },
      person: { role: 'owner', units: null },
    })
    const again = { ...firm, id: randomUUID() }
    expect(await foundFirm(again, { ...founder, email: 'RUA@example.org' })).toBeUndefined()
    expect(await owner('select from firms where id = $1', [again.id])).toEqual([])
  })

  test('keeps its settings once for each version, and moves its home', async () => {
    await addStation(ours.firmId, { name: 'Ridge', latDeg: 37, lonDeg: -79, heightM: null, coastal: false })
    const airfield = (await addStation(ours.firmId, {
      name: 'Airfield',
      latDeg: 37,
      lonDeg: -79,
      heightM: null,
      coastal: false,
    }))!
    expect(await saveFirm(ours.firmId, { ...settings, homeStationId: airfield.id })).toBe(true)
    expect((await stationsOf(ours.firmId)).filter(({ home }) => home).map(({ name }) => name)).toEqual(['Airfield'])
    const { name, currency, practices, planning, workingDays, holidays, feedRules, hoursADay, licences } = settings
    expect((await atWork(await openSession(ours, HERE)))!.firm).toMatchObject({
      name,
      currency,
      practices,
      planning,
      workingDays,
      holidays,
      feedRules,
      hoursADay,
      licences,
      version: 2,
    })
    expect(await saveFirm(ours.firmId, settings)).toBe(false)
    expect(await saveFirm(theirs.firmId, { ...settings, homeStationId: airfield.id })).toBe(true)
    expect((await stationsOf(ours.firmId)).find(({ home }) => home)?.name).toBe('Airfield')
  })
})

describe('a person', () => {
  test('is over in every session once signed out everywhere, let go, or given a new password', async () => {
    await owner(`insert into people (firm_id, name, email, role) values ($1, 'Ned', 'ned@example.org', 'technician')`, [
      ours.firmId,
    ])
    const { personId } = (await personAtTheDoor('NED@example.org'))!
    const ned = { firmId: ours.firmId, personId }
    const open = () => openSession(ned, HERE)
    const [first, second] = [await open(), await open()]
    expect([await atWork(first), await atWork(second)]).toEqual([expect.anything(), expect.anything()])
    await endSessions(ned)
    expect([await atWork(first), await atWork(second)]).toEqual([undefined, undefined])
    const [here, there] = [await open(), await open()]
    await changePassword(ned, 'hash', here.sessionId)
    expect([await atWork(here), await atWork(there)]).toEqual([expect.anything(), undefined])
    expect(await changePerson(ours.firmId, personId, { role: 'technician', active: false })).toBe('changed')
    expect(await atWork(here)).toBeUndefined()
    // Not even a session that was opened in the same moment.
    expect(await atWork(await open())).toBeUndefined()
    expect(await personAtTheDoor('ned@example.org')).toBeUndefined()
  })

  test('sees where they are signed in and signs out there; nobody else’s session ends by it, and an old one ends by itself', async () => {
    const [here, phone] = [
      await openSession(ours, HERE),
      await openSession(ours, { device: 'Chrome on Android', addressHash: 'x' }),
    ]
    const foreign = await openSession(theirs, HERE)
    expect((await sessionsOf(ours, here.sessionId)).map(({ device, here: own }) => [device, own])).toEqual([
      ['Firefox on Linux', true],
      ['Chrome on Android', false],
    ])
    await endSession(ours, foreign.sessionId)
    await endSession(ours, phone.sessionId)
    expect([await atWork(here), await atWork(phone), await atWork(foreign)]).toEqual([
      expect.anything(),
      undefined,
      expect.anything(),
    ])
    await owner(`update sessions set opened_at = now() - interval '31 days' where id = $1`, [here.sessionId])
    expect([await atWork(here), await sessionsOf(ours, here.sessionId)]).toEqual([undefined, []])
  })

  test('is found by every spelling of one address, and no second person founds a firm under another', async () => {
    // Full-width letters and the dotted capital I, as NFKC and the Unicode default case folding of ICU have them.
    await owner(`update people set email = 'mari@example.org' where id = $1`, [ours.personId])
    for (const spelling of ['MARI@example.org', '\uff4dari@example.org', ' mari@EXAMPLE.org '])
      expect([spelling, await personAtTheDoor(spelling)]).toEqual([
        spelling,
        expect.objectContaining({ personId: ours.personId }),
      ])
    await expect(
      owner(`insert into people (firm_id, name, email, role) values ($1, 'Twin', $2, 'owner')`, [
        theirs.firmId,
        '\uff2dARI@example.org',
      ]),
    ).rejects.toMatchObject({ code: '23505' })
  })

  test('who lost the password of the only owner is let in again by whoever runs the server', async () => {
    const { email } = (await peopleOf(ours.firmId))[0]!
    expect(await resetByAddress(email.toUpperCase(), 'hash of a new one')).toBe(true)
    expect(await personAtTheDoor(email)).toMatchObject({ passwordHash: 'hash of a new one' })
    expect(await resetByAddress('nobody@example.org', 'x')).toBe(false)
  })

  test('of another firm, under our firm’s name, is nobody', async () => {
    const { sessionId } = await openSession(theirs, HERE)
    expect(await atWork({ firmId: ours.firmId, personId: theirs.personId, sessionId })).toBeUndefined()
    expect(await changePerson(ours.firmId, theirs.personId, { role: 'owner', active: true })).toBe('missing')
  })

  test('who is the last owner stays one, even when two owners let each other go at once', async () => {
    expect(await changePerson(ours.firmId, ours.personId, { role: 'technician', active: true })).toBe('last owner')
    const [second] = await owner<{ id: string }>(
      `insert into people (firm_id, name, email, role) values ($1, 'Ida', 'ida@example.org', 'owner') returning id`,
      [ours.firmId],
    )
    const outcomes = await Promise.all(
      [ours.personId, second!.id].map((id) => changePerson(ours.firmId, id, { role: 'owner', active: false })),
    )
    expect(outcomes.sort()).toEqual(['changed', 'last owner'])
    expect((await peopleOf(ours.firmId)).filter(({ active }) => active)).toHaveLength(1)
  })
})
