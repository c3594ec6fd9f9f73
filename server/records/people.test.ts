import { toDay } from '#core/quantity/calendar'
import { randomUUID } from 'node:crypto'
import { beforeEach, describe, expect, test } from 'vitest'
import { newFirm, owner, useTestDatabase } from '../test/database'
import { hashPassword, newSecret, passwordFits, secretHash } from '../utils/passwords'
import { countTry, forgetTries } from './attempts'
import { database, inFirm } from './db'
import { atWork, foundFirm, saveFirm, type Author } from './firms'
import { addLink, changePassword, changePerson, endSessions, linkAtTheDoor, peopleOf, personAtTheDoor, resetByAddress, useLink } from './people'
import { addStation, stationsOf } from './stations'
import { schoolsOf } from '#contract/schools'

let ours: Author
let theirs: Author
useTestDatabase()
beforeEach(async () => {
  await owner('delete from firms')
  ours = await newFirm('Ours')
  theirs = await newFirm('Theirs')
})

describe('the second lock', () => {
  test('stands on every table that holds rows of a firm', async () => {
    const open = await owner<{ name: string }>(
      `select c.relname as name from pg_class c join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
       where c.relkind = 'r' and (c.relname = 'firms' or exists (select from pg_attribute a where a.attrelid = c.oid and a.attname = 'firm_id' and not a.attisdropped))
         and not (c.relrowsecurity and exists (select from pg_policy p where p.polrelid = c.oid and pg_get_expr(p.polqual, p.polrelid) like '%firm_at_work()%'
           and pg_get_expr(p.polwithcheck, p.polrelid) like '%firm_at_work()%'))`,
    )
    expect(open).toEqual([])
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
      expect((await client.query(`update people set name = 'Taken' where firm_id = $1`, [theirs.firmId])).rowCount).toBe(0)
      expect((await client.query(`delete from people where firm_id = $1`, [theirs.firmId])).rowCount).toBe(0)
    })
    const into = inFirm(ours.firmId, (client) => client.query(`insert into stations (firm_id, name, kind, lat_deg, lon_deg) values ($1, 'x', 'imported', 0, 0)`, [theirs.firmId]))
    await expect(into).rejects.toMatchObject({ code: '42501' })
    await addStation(ours.firmId, { name: 'Ridge', latDeg: 37, lonDeg: -79, heightM: null, coastal: false })
    await expect(inFirm(ours.firmId, (client) => client.query('update stations set firm_id = $1', [theirs.firmId]))).rejects.toMatchObject({ code: '42501' })
  })

  test('holds because the server owns nothing: it can neither lift a policy nor read past one', async () => {
    const { rows } = await database().query<{ role: string }>('select current_user as role')
    expect(rows).toEqual([{ role: 'upper_sill_work' }])
    await expect(database().query('alter table firms disable row level security')).rejects.toMatchObject({ code: '42501' })
    await expect(database().query('create table mine (x integer)')).rejects.toMatchObject({ code: '42501' })
  })

  test('takes no id that is none into its own words', async () => {
    await expect(inFirm(`${ours.firmId}'; reset role; --`, async () => 1)).rejects.toThrow(RangeError)
  })
})

describe('a firm', () => {
  const firm = { id: randomUUID(), name: 'New', units: 'metric' as const, currency: 'NZD', timeZone: 'Pacific/Auckland' }
  const settings = { version: 1, name: 'Ours Too', units: 'metric' as const, currency: 'EUR', timeZone: 'Europe/Lisbon', schools: schoolsOf({ rate: 'heavy' }), planning: { overseedFrom: 0.6 }, workingDays: [1, 2, 3], holidays: [toDay('2026-12-25')], hoursADay: 24, licences: [{ what: 'Pesticides', number: 'A 12' }], homeStationId: null }

  test('begins with its owner at work, and an address founds only one', async () => {
    const founder = { name: 'Rua', email: 'rua@example.org', passwordHash: 'x' }
    const claim = (await foundFirm({ ...firm, id: randomUUID() }, founder))!
    expect(await atWork(claim)).toMatchObject({ firm: { name: 'New', currency: 'NZD', demo: false }, person: { role: 'owner', units: null } })
    const again = { ...firm, id: randomUUID() }
    expect(await foundFirm(again, { ...founder, email: 'RUA@example.org' })).toBeUndefined()
    expect(await owner('select from firms where id = $1', [again.id])).toEqual([])
  })

  test('keeps its settings once for each version, and moves its home', async () => {
    await addStation(ours.firmId, { name: 'Ridge', latDeg: 37, lonDeg: -79, heightM: null, coastal: false })
    const airfield = (await addStation(ours.firmId, { name: 'Airfield', latDeg: 37, lonDeg: -79, heightM: null, coastal: false }))!
    expect(await saveFirm(ours.firmId, { ...settings, homeStationId: airfield.id })).toBe(true)
    expect((await stationsOf(ours.firmId)).filter(({ home }) => home).map(({ name }) => name)).toEqual(['Airfield'])
    const { name, currency, schools, planning, workingDays, holidays, hoursADay, licences } = settings
    expect((await atWork({ ...ours, sessionNumber: 1 }))!.firm).toMatchObject({ name, currency, schools, planning, workingDays, holidays, hoursADay, licences, version: 2 })
    expect(await saveFirm(ours.firmId, settings)).toBe(false)
    expect(await saveFirm(theirs.firmId, { ...settings, homeStationId: airfield.id })).toBe(true)
    expect((await stationsOf(ours.firmId)).find(({ home }) => home)?.name).toBe('Airfield')
  })
})

describe('a person', () => {
  test('is over in every session once signed out everywhere, let go, or given a new password', async () => {
    await owner(`insert into people (firm_id, name, email, role) values ($1, 'Ned', 'ned@example.org', 'technician')`, [ours.firmId])
    const { personId } = (await personAtTheDoor('NED@example.org'))!
    const ned = { firmId: ours.firmId, personId }
    expect(await atWork({ ...ned, sessionNumber: 1 })).toBeDefined()
    expect(await endSessions(ned)).toEqual({ ...ned, sessionNumber: 2 })
    expect(await atWork({ ...ned, sessionNumber: 1 })).toBeUndefined()
    expect(await changePassword(ned, 'hash')).toEqual({ ...ned, sessionNumber: 3 })
    expect(await atWork({ ...ned, sessionNumber: 2 })).toBeUndefined()
    expect(await changePerson(ours.firmId, personId, { role: 'technician', active: false })).toBe('changed')
    expect(await atWork({ ...ned, sessionNumber: 4 })).toBeUndefined()
    expect(await personAtTheDoor('ned@example.org')).toBeUndefined()
  })

  test('who lost the password of the only owner is let in again by whoever runs the server', async () => {
    const { email } = (await peopleOf(ours.firmId))[0]!
    expect(await resetByAddress(email.toUpperCase(), 'hash of a new one')).toBe(true)
    expect(await personAtTheDoor(email)).toMatchObject({ passwordHash: 'hash of a new one', sessionNumber: 2 })
    expect(await resetByAddress('nobody@example.org', 'x')).toBe(false)
  })

  test('of another firm, under our firm’s name, is nobody', async () => {
    expect(await atWork({ firmId: ours.firmId, personId: theirs.personId, sessionNumber: 1 })).toBeUndefined()
    expect(await changePerson(ours.firmId, theirs.personId, { role: 'owner', active: true })).toBe('missing')
  })

  test('who is the last owner stays one, even when two owners let each other go at once', async () => {
    expect(await changePerson(ours.firmId, ours.personId, { role: 'technician', active: true })).toBe('last owner')
    const [second] = await owner<{ id: string }>(`insert into people (firm_id, name, email, role) values ($1, 'Ida', 'ida@example.org', 'owner') returning id`, [ours.firmId])
    const outcomes = await Promise.all([ours.personId, second!.id].map((id) => changePerson(ours.firmId, id, { role: 'owner', active: false })))
    expect(outcomes.sort()).toEqual(['changed', 'last owner'])
    expect((await peopleOf(ours.firmId)).filter(({ active }) => active)).toHaveLength(1)
  })
})

describe('a link', () => {
  const joining = { name: 'Tam', email: 'tam@example.org' }

  test('lets in once: of two who open it together one joins', async () => {
    const hash = secretHash(newSecret())
    await addLink(ours, hash, { kind: 'invitation', role: 'technician' })
    const link = (await linkAtTheDoor(hash))!
    expect(link).toMatchObject({ kind: 'invitation', role: 'technician', firmName: 'Ours' })
    const used = await Promise.all([joining, { ...joining, email: 'other@example.org' }].map((who) => useLink(link, 'hash', who)))
    expect(used.filter((outcome) => outcome === 'used')).toHaveLength(1)
    expect(await linkAtTheDoor(hash)).toBeUndefined()
    expect(await peopleOf(ours.firmId)).toHaveLength(2)
  })

  test('still opens after an address that was taken', async () => {
    const hash = secretHash(newSecret())
    await addLink(ours, hash, { kind: 'invitation', role: 'owner' })
    const [taken] = await peopleOf(theirs.firmId)
    expect(await useLink((await linkAtTheDoor(hash))!, 'hash', { name: 'Tam', email: taken!.email })).toBe('address taken')
    expect(await useLink((await linkAtTheDoor(hash))!, 'hash', joining)).toMatchObject({ firmId: ours.firmId, sessionNumber: 1 })
  })

  test('that resets replaces the one before, ends sessions, and cannot be made for another firm', async () => {
    const [first, second] = [secretHash(newSecret()), secretHash(newSecret())]
    await addLink(ours, first, { kind: 'reset', personId: ours.personId })
    await addLink(ours, second, { kind: 'reset', personId: ours.personId })
    expect(await linkAtTheDoor(first)).toBeUndefined()
    expect(await useLink((await linkAtTheDoor(second))!, 'new hash')).toEqual({ ...ours, sessionNumber: 2 })
    expect(await atWork({ ...ours, sessionNumber: 1 })).toBeUndefined()
    expect(await addLink(ours, secretHash(newSecret()), { kind: 'reset', personId: theirs.personId })).toBeUndefined()
  })

  test('is shut after its week', async () => {
    const hash = secretHash(newSecret())
    await addLink(ours, hash, { kind: 'invitation', role: 'technician' })
    const link = (await linkAtTheDoor(hash))!
    await owner(`update entry_links set expires_at = now() - interval '1 second'`)
    expect(await linkAtTheDoor(hash)).toBeUndefined()
    expect(await useLink(link, 'hash', joining)).toBe('used')
  })
})

describe('tries', () => {
  test('are counted in the database, each for itself, and shut after the last', async () => {
    const who = `${randomUUID()}@example.org`
    const tries = await Promise.all(Array.from({ length: 12 }, () => countTry('sign in, account', who)))
    expect(tries.filter((wait) => wait === 0)).toHaveLength(8)
    expect(Math.max(...tries)).toBeGreaterThan(14 * 60)
    expect(await countTry('sign in, account', `x${who}`)).toBe(0)
    expect(await countTry('sign in, account', who.toUpperCase())).toBeGreaterThan(0)
    await forgetTries('sign in, account', who)
    expect(await countTry('sign in, account', who)).toBe(0)
    expect(await owner(`select key from attempts where key like '%' || $1 || '%'`, [who])).toEqual([])
  })
})

test('a password fits its own hash and no other, and nobody’s never', async () => {
  const hash = await hashPassword('three wet autumns')
  expect(hash).toMatch(/^\$scrypt\$n=32768,r=8,p=1\$/)
  expect(hash).not.toContain('autumns')
  expect(await passwordFits(hash, 'three wet autumns')).toBe(true)
  expect(await passwordFits(hash, 'three wet autumn')).toBe(false)
  expect(await passwordFits(null, 'three wet autumns')).toBe(false)
  expect(await passwordFits(undefined, '')).toBe(false)
})
