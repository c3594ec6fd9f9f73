import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import type { LinkListed, PersonListed } from '#contract/firm'
import { Browser } from './house'
import { context, joined, linkFrom, MARA, PASSWORD, signIn, useMarram } from './marram'

let mara: Browser
useMarram((browser) => {
  mara = browser
})

describe('a password', () => {
  test('is changed by who knows it, and ends the other sessions', async () => {
    const phone = new Browser()
    await signIn(phone, MARA.email, PASSWORD)
    expect(
      Object.keys(
        (await mara.call('PUT', '/api/me/password', { current: 'guess', password: 'a new long one' })).body.error
          .fields!,
      ),
    ).toEqual(['current'])
    expect((await mara.call('PUT', '/api/me/password', { current: PASSWORD, password: 'a new long one' })).status).toBe(
      200,
    )
    expect([(await context(phone)).status, (await context(mara)).status]).toEqual([401, 200])
    expect((await signIn(phone, MARA.email, PASSWORD)).status).toBe(401)
    expect((await signIn(phone, MARA.email, 'a new long one')).status).toBe(200)
  })

  test('that is lost is set anew through a link of the owner, once', async () => {
    const tam = await joined(mara, 'technician', 'tam@example.org')
    const people = (await mara.call<PersonListed[]>('GET', '/api/people')).body
    const { secret } = await linkFrom(mara, { kind: 'reset', personId: people.find(({ name }) => name === 'Tam')!.id })
    const browser = new Browser()
    expect((await browser.call('POST', '/api/door/link', { secret })).body).toEqual({
      kind: 'reset',
      firmName: 'Marram Turf',
      role: null,
      email: 'tam@example.org',
      madeBy: 'Mara',
      secondFactor: false,
    })
    expect((await browser.call('POST', '/api/door/join', { secret, password: 'the second long one' })).status).toBe(200)
    expect([(await context(browser)).body.person.name, (await context(tam)).status]).toEqual(['Tam', 401])
    const again = await new Browser().call('POST', '/api/door/join', { secret, password: 'the third long one' })
    expect([again.status, again.body.error.code]).toEqual([410, 'spent'])
  })
})

describe('an invitation', () => {
  test('brings in a technician, who plans and records but manages neither people nor settings', async () => {
    const tam = await joined(mara, 'technician', 'tam@example.org')
    const { body } = await context(tam)
    expect(body).toMatchObject({ firm: { name: 'Marram Turf' }, person: { role: 'technician' } })
    const refused = [
      await tam.call('GET', '/api/people'),
      await tam.call('POST', '/api/people/links', { kind: 'invitation', role: 'owner' }),
      await tam.call('PUT', `/api/people/${body.person.id}`, { role: 'owner', active: true }),
      await tam.call('PUT', '/api/firm', body.firm),
    ]
    expect(refused.map(({ status, body: { error } }) => [status, error.code])).toEqual(
      refused.map(() => [403, 'owner_only']),
    )
    expect(
      (
        await tam.call('POST', '/api/lawns', {
          id: randomUUID(),
          client: 'Odell',
          address: '',
          areaM2: 612,
          areaTyped: '',
          growsNow: '',
        })
      ).status,
    ).toBe(200)
  })

  test('wants a name and an address, and nothing that is no secret opens', async () => {
    const { secret } = await linkFrom(mara, { kind: 'invitation', role: 'technician' })
    const lacking = await new Browser().call('POST', '/api/door/join', { secret, password: PASSWORD })
    expect(Object.keys(lacking.body.error.fields!).sort()).toEqual(['email', 'name'])
    expect((await new Browser().call('POST', '/api/door/link', { secret: 'x'.repeat(43) })).status).toBe(410)
    expect((await new Browser().call('POST', '/api/door/link', { secret: '../etc' })).status).toBe(422)
  })

  test('is listed with who made it, taken back, and dies with its maker', async () => {
    const ida = await joined(mara, 'owner', 'ida@example.org')
    const { secret } = await linkFrom(ida, { kind: 'invitation', role: 'owner' })
    const takeover = await linkFrom(ida, { kind: 'reset', personId: (await context(mara)).body.person.id })
    const list = (await mara.call<LinkListed[]>('GET', '/api/people/links')).body
    expect(list.map(({ kind, madeBy, forWhom }) => [kind, madeBy, forWhom])).toEqual([
      ['reset', 'Tam', 'Mara'],
      ['invitation', 'Tam', null],
    ])
    expect((await mara.call<LinkListed[]>('DELETE', `/api/people/links/${list[1]!.id}`)).body).toHaveLength(1)
    expect((await new Browser().call('POST', '/api/door/link', { secret })).status).toBe(410)
    expect(
      (await mara.call('PUT', `/api/people/${(await context(ida)).body.person.id}`, { role: 'owner', active: false }))
        .status,
    ).toBe(200)
    expect(
      (await new Browser().call('POST', '/api/door/join', { secret: takeover.secret, password: 'a thief has it now' }))
        .status,
    ).toBe(410)
    expect([
      (await mara.call('GET', '/api/people/links')).body,
      (await signIn(new Browser(), MARA.email, PASSWORD)).status,
    ]).toEqual([[], 200])
  })

  test('of somebody let go no longer lets in', async () => {
    const tam = await joined(mara, 'technician', 'tam@example.org')
    const id = (await context(tam)).body.person.id
    expect((await mara.call('PUT', `/api/people/${id}`, { role: 'technician', active: false })).status).toBe(200)
    expect([(await context(tam)).status, (await signIn(tam, 'tam@example.org', PASSWORD)).status]).toEqual([401, 401])
    const self = (await context(mara)).body.person.id
    expect((await mara.call('PUT', `/api/people/${self}`, { role: 'technician', active: true })).body.error.code).toBe(
      'last_owner',
    )
  })
})
