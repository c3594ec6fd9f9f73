import { expect, test } from 'vitest'
import { toDay } from '../calendar'
import { clockAheadH } from '../clock'

test('the clock is ahead of the sun by its zone, its summer time and its place in the zone', () => {
  // Offsets of the IANA time zone database: UTC−4 in New York's summer, −5 in its winter; +5:45 in Kathmandu; +11 in
  // Sydney's summer.
  expect(clockAheadH('America/New_York', -75, toDay('2026-09-08'))).toBeCloseTo(1, 9)
  expect(clockAheadH('America/New_York', -75, toDay('2026-01-08'))).toBeCloseTo(0, 9)
  expect(clockAheadH('America/New_York', -82.5, toDay('2026-01-08'))).toBeCloseTo(0.5, 9)
  expect(clockAheadH('Asia/Kathmandu', 85.3, toDay('2026-05-01'))).toBeCloseTo(5.75 - 85.3 / 15, 9)
  expect(clockAheadH('Australia/Sydney', 150, toDay('2026-01-08'))).toBeCloseTo(1, 9)
  expect(clockAheadH('UTC', 0, toDay('2026-12-31'))).toBe(0)
})
