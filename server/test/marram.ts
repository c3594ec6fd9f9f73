import { beforeEach, expect } from 'vitest'
import type { Context } from '#contract/context'
import type { LinkMade, Role } from '#contract/firm'
import { owner, useTestDatabase } from './database'
import { Browser, type Answer } from './house'

export const PASSWORD = 'three wet autumns'
export const MARA = {
  firmName: 'Marram Turf',
  units: 'metric',
  currency: 'EUR',
  timeZone: 'Europe/Lisbon',
  name: 'Mara',
  email: 'mara@example.org',
  password: PASSWORD,
}

export const signIn = (browser: Browser, email: string, password: string): Promise<Answer<unknown>> =>
  browser.call('POST', '/api/door/sign-in', { email, password })
export const context = (browser: Browser): Promise<Answer<Context>> => browser.call<Context>('GET', '/api/context')

/** A firm that has just signed up, with its owner signed in, before each test. */
export function useMarram(set: (mara: Browser) => void): void {
  useTestDatabase()
  beforeEach(async () => {
    await owner('delete from firms')
    await owner('delete from attempts')
    const mara = new Browser()
    expect((await mara.call('POST', '/api/door/sign-up', MARA)).status).toBe(200)
    set(mara)
  })
}

export async function linkFrom(browser: Browser, wanted: object): Promise<LinkMade> {
  const { status, body } = await browser.call<LinkMade>('POST', '/api/people/links', wanted)
  expect(status).toBe(200)
  return body
}

/** Somebody who joined by an invitation of an owner, signed in. */
export async function joined(by: Browser, role: Role, email: string): Promise<Browser> {
  const { secret } = await linkFrom(by, { kind: 'invitation', role })
  const browser = new Browser()
  const answer = await browser.call('POST', '/api/door/join', { secret, name: 'Tam', email, password: PASSWORD })
  expect(answer.status).toBe(200)
  return browser
}
