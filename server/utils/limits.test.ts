import { afterEach, expect, test } from 'vitest'
import type { H3Event } from 'h3'
import { addressOf } from './limits'

afterEach(() => {
  Reflect.deleteProperty(process.env, 'UPPER_SILL_BEHIND_PROXY')
})

const from = (remoteAddress: string, forwarded?: string) =>
  ({
    node: {
      req: { headers: forwarded === undefined ? {} : { 'x-forwarded-for': forwarded }, socket: { remoteAddress } },
    },
  }) as unknown as H3Event

test('without a proxy the asker cannot say where from', () => {
  expect(addressOf(from('203.0.113.9', '198.51.100.1'))).toBe('203.0.113.9')
  expect(addressOf(from('::ffff:203.0.113.9'))).toBe('203.0.113.9')
})

test('behind a proxy its own word counts, which is the last', () => {
  process.env.UPPER_SILL_BEHIND_PROXY = '1'
  expect(addressOf(from('127.0.0.1', '198.51.100.1, 203.0.113.9'))).toBe('203.0.113.9')
  expect(addressOf(from('127.0.0.1'))).toBe('127.0.0.1')
})

test('all addresses of one IPv6 network count together', () => {
  // RFC 4291: the first 64 bits are the network; documentation prefix of RFC 3849.
  expect(addressOf(from('2001:db8:1:2:aaaa::1'))).toBe(addressOf(from('2001:db8:1:2:bbbb::7')))
  expect(addressOf(from('2001:db8::1'))).toBe(addressOf(from('2001:db8:0:0:5:6:7:8')))
  expect(addressOf(from('2001:db8:1:3:aaaa::1'))).not.toBe(addressOf(from('2001:db8:1:2:aaaa::1')))
})
