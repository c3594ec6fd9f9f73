import { describe, expect, test } from 'vitest'
import type { OpenSession, SecondFactorProposed } from '#contract/firm'
import { resetByAddress } from '../records/people'
import { hashPassword } from '../utils/passwords'
import { owner } from './database'
import { Browser } from './house'
import { codesOf } from './totp'
import { context, joined, linkFrom, MARA, PASSWORD, signIn, useMarram } from './marram'

let mara: Browser
useMarram((browser) => {
  mara = browser
})

describe('one’s sessions', () => {
  test('are listed by what they are, and signed out from another', async () => {
    const phone = new Browser()
    await phone.request('POST', '/api/door/sign-in', {
      body: JSON.stringify({ email: MARA.email, password: PASSWORD }),
      headers: {
        'content-type': 'application/json',
        'user-agent':
          'Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1.15 Version/18.0 Mobile/15E148 Safari/604.1',
      },
    })
    const { body: sessions } = await mara.call<OpenSession[]>('GET', '/api/me/sessions')
    expect(sessions.map(({ device, here }) => [device, here])).toEqual([
      ['Unknown browser', true],
      ['Safari on iPhone', false],
    ])
    expect((await mara.call<OpenSession[]>('DELETE', `/api/me/sessions/${sessions[1]!.id}`)).body).toHaveLength(1)
    expect([(await context(phone)).status, (await context(mara)).status]).toEqual([401, 200])
    const tam = await joined(mara, 'technician', 'tam@example.org')
    await tam.call('DELETE', `/api/me/sessions/${sessions[0]!.id}`)
    expect((await context(mara)).status).toBe(200)
  })
})

describe('a second factor', () => {
  const withCode = (code: string) =>
    new Browser().call('POST', '/api/door/sign-in', { email: MARA.email, password: PASSWORD, code })
  async function setUp(): Promise<{ secret: string; codes: string[] }> {
    const { body: proposed } = await mara.call<SecondFactorProposed>('POST', '/api/me/second-factor', {
      current: PASSWORD,
    })
    expect(proposed.qrSvg).toContain('<svg')
    expect(proposed.address).toContain(proposed.secret)
    const { body } = await mara.call<{ codes: string[] }>('PUT', '/api/me/second-factor', {
      code: codesOf(proposed.secret)(0),
    })
    return { secret: proposed.secret, codes: body.codes }
  }

  test('is set up with the password and a code, asked for at sign-in, and opens once for each code', async () => {
    expect((await mara.call('POST', '/api/me/second-factor', { current: 'guess' })).status).toBe(422)
    const { body: proposed } = await mara.call<SecondFactorProposed>('POST', '/api/me/second-factor', {
      current: PASSWORD,
    })
    const codes = codesOf(proposed.secret)
    expect((await mara.call('PUT', '/api/me/second-factor', { code: '000000' })).status).toBe(422)
    // Not in force until it was confirmed.
    expect((await signIn(new Browser(), MARA.email, PASSWORD)).status).toBe(200)
    expect(
      (await mara.call<{ codes: string[] }>('PUT', '/api/me/second-factor', { code: codes(0) })).body.codes,
    ).toHaveLength(10)
    expect((await context(mara)).body.person.secondFactor).toBe(true)
    const asked = await signIn(new Browser(), MARA.email, PASSWORD)
    expect([asked.status, asked.body.error.code]).toEqual([401, 'second_factor'])
    expect((await signIn(new Browser(), MARA.email, 'guess')).body.error.code).toBe('wrong')
    // The code that confirmed it was used by that.
    expect((await withCode(codes(0))).body.error.code).toBe('wrong_code')
    const next = codes(1)
    expect([(await withCode(next)).status, (await withCode(next)).body.error.code]).toEqual([200, 'wrong_code'])
    // Kept sealed: neither the secret nor a code stands in the database.
    const [row] = await owner<{ all: string }>(
      `select (select string_agg(p::text, '') from people p) || (select string_agg(r::text, '')
        from recovery_codes r) as all`,
    )
    expect(row!.all).not.toContain(proposed.secret)
  })

  test('is passed once by each recovery code, and by no new password', async () => {
    const { codes } = await setUp()
    expect((await withCode(codes[0]!.toLowerCase())).status).toBe(200)
    expect((await withCode(codes[0]!)).body.error.code).toBe('wrong_code')
    const [second] = await owner<{ id: string }>(
      `insert into people (firm_id, name, email, role) select firm_id, 'Ida', 'ida@example.org', 'owner'
        from people limit 1 returning id`,
    )
    const [firm] = await owner<{ id: string }>('select id from firms')
    const ida = await new Browser().enter({ firmId: firm!.id, personId: second!.id })
    const { secret } = await linkFrom(ida, { kind: 'reset', personId: (await context(mara)).body.person.id })
    const taking = (code?: string) =>
      new Browser().call('POST', '/api/door/join', {
        secret,
        password: 'the password of a thief',
        ...(code ? { code } : {}),
      })
    expect([
      (await taking()).body.error.code,
      (await taking('123456')).body.error.code,
      (await taking(codes[1])).status,
    ]).toEqual(['second_factor', 'wrong_code', 200])
  })

  test('is offered to owners, turned off with the password, and off after whoever runs the server opened the way', async () => {
    const tam = await joined(mara, 'technician', 'tam@example.org')
    expect((await tam.call('POST', '/api/me/second-factor', { current: PASSWORD })).status).toBe(403)
    await setUp()
    expect((await mara.call('POST', '/api/me/second-factor', { current: PASSWORD })).body.error.code).toBe('on')
    expect((await mara.call('POST', '/api/me/second-factor/off', { current: 'guess' })).status).toBe(422)
    expect((await mara.call('POST', '/api/me/second-factor/off', { current: PASSWORD })).status).toBe(200)
    expect((await signIn(new Browser(), MARA.email, PASSWORD)).status).toBe(200)
    await setUp()
    await resetByAddress(MARA.email, await hashPassword('a new long one'))
    expect((await signIn(new Browser(), MARA.email, 'a new long one')).status).toBe(200)
  })
})
