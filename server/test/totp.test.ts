import { expect, test } from 'vitest'
import { fromBase32, totpOf } from './totp'

test('the codes that tests sign in with are those of RFC 6238, appendix B', () => {
  // SHA-1, eight digits, the secret "12345678901234567890"; values as the appendix prints them, from memory.
  const secret = Buffer.from('12345678901234567890')
  const table: [seconds: number, code: string][] = [
    [59, '94287082'],
    [1111111109, '07081804'],
    [1111111111, '14050471'],
    [1234567890, '89005924'],
    [2000000000, '69279037'],
    [20000000000, '65353130'],
  ]
  for (const [seconds, code] of table) expect([seconds, totpOf(secret, seconds * 1000, 8)]).toEqual([seconds, code])
  // RFC 4648, section 10.
  expect(fromBase32('MZXW6YTBOI').toString()).toBe('foobar')
})
