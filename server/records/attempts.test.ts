import { randomUUID } from 'node:crypto'
import { describe, expect, test } from 'vitest'
import { owner, useTestDatabase } from '../test/database'
import { hashPassword, passwordFits } from '../utils/passwords'
import { countTry, countWrongTry, forgetTries } from './attempts'

useTestDatabase()

describe('tries', () => {
  const at = (account: string, address: string, known = false) => ({ account, address, known })

  test('from one address are counted in the database, and shut after the last', async () => {
    const from = randomUUID()
    const tries = await Promise.all(Array.from({ length: 44 }, () => countTry('sign in, address', from)))
    expect(tries.filter((wait) => wait === 0)).toHaveLength(40)
    expect(Math.max(...tries)).toBeGreaterThan(14 * 60)
    expect(await countTry('sign in, address', randomUUID())).toBe(0)
    expect(await owner(`select key from attempts where key like '%' || $1 || '%'`, [from])).toEqual([])
  })

  test('at one account cost nothing five times; after that each is followed by a longer wait, at once and one by one', async () => {
    const who = `${randomUUID()}@example.org`
    const together = await Promise.all(Array.from({ length: 30 }, () => countWrongTry(at(who, 'a'))))
    // Five free ones, and the one that begins the first wait.
    expect(together.filter((wait) => wait === 0).length).toBeLessThanOrEqual(6)
    expect(await countWrongTry(at(who, 'a'))).toBeGreaterThan(0)
    const waits: number[] = []
    for (let i = 0; i < 4; i++) {
      // As if the wait were over.
      await owner(`update attempts set expire = 0 where key like 'gate:%'`)
      await countWrongTry(at(who, 'a'))
      waits.push(await countWrongTry(at(who, 'a')))
    }
    expect(waits).toEqual([...waits].sort((x, y) => x - y))
    expect(waits.at(-1)!).toBeGreaterThan(waits[0]! * 3)
    await owner(`delete from attempts`)
    for (let i = 0; i < 40; i++) {
      await owner(`update attempts set expire = 0 where key like 'gate:%'`)
      await countWrongTry(at(who, 'a', true))
    }
    expect(await countWrongTry(at(who, 'a', true))).toBeLessThanOrEqual(15 * 60)
    await forgetTries(at(who, 'a', true))
    expect(await countWrongTry(at(who, 'a', true))).toBe(0)
  })

  test('count alike for every spelling of an account, and never against its owner elsewhere', async () => {
    const who = 'mar\u0130@example.org'
    for (let i = 0; i < 8; i++) await countWrongTry(at(who, 'thief'))
    for (const spelling of [who, who.toLowerCase(), 'MAR\u0130@EXAMPLE.ORG', ` ${who}`])
      expect([spelling, (await countWrongTry(at(spelling, 'thief'))) > 0]).toEqual([spelling, true])
    expect(await countWrongTry(at(who, 'home', true))).toBe(0)
    // Signing in rightly from ever new places, as a phone on the road does, is nobody's guess.
    for (let i = 0; i < 40; i++) {
      expect(await countWrongTry(at(`road ${who}`, `mast ${i}`))).toBe(0)
      await forgetTries(at(`road ${who}`, `mast ${i}`))
    }
    // Many thieves, each with a few tries: strange places wait, where the owner is known they do not.
    for (let i = 0; i < 40; i++) await countWrongTry(at(who, `thief ${i}`))
    expect(await countWrongTry(at(who, 'one more thief'))).toBeGreaterThan(0)
    expect(await countWrongTry(at(who, 'home', true))).toBe(0)
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
