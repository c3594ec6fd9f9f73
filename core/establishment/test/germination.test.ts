import { describe, expect, test } from 'vitest'
import { grassByCode } from '../../grass/grasses'
import { dailyGerminationCd, germinationRateC, steadyEmergenceDays, thermalTimeTo } from '../germination'

// The table of germination: what the parameters give at a steady, moist soil. Check values of the
// implementation, not measurements.
describe('emergence at a steady soil', () => {
  test.each([
    ['PRG', 10, 15.2, 10.6, 21.9],
    ['PRG', 18.3, 7.0, 4.8, 10.0],
    ['TF', 18.3, 8.5, 5.9, 12.2],
    ['KBG', 18.3, 15.0, 10.0, 22.7],
    ['ARG', 18.3, 5.7, 4.1, 7.9],
    ['BER', 25, 10.6, 7.0, 16.0],
    ['ZOY', 25, 16.0, 10.6, 24.1],
  ] as const)('%s at %s °C: half up in %s days (%s to %s)', (code, tempC, median, early, late) => {
    const grass = grassByCode(code)
    expect(Math.abs(steadyEmergenceDays(grass, tempC)! - median)).toBeLessThan(0.1)
    expect(Math.abs(steadyEmergenceDays(grass, tempC, 0.05)! - early)).toBeLessThan(0.12)
    expect(Math.abs(steadyEmergenceDays(grass, tempC, 0.95)! - late)).toBeLessThan(0.12)
  })

  test.each([
    ['KBG', 10, 40],
    ['BER', 21, 15.3],
    ['BER', 30, 7.6],
  ] as const)('%s at %s °C: half up in %s days', (code, tempC, median) => {
    expect(Math.abs(steadyEmergenceDays(grassByCode(code), tempC)! - median)).toBeLessThan(0.1)
  })

  test('bluegrass under the ISTA alternating regime, 16 h at 15 and 8 h at 30 °C, takes 20.3 days', () => {
    const grass = grassByCode('KBG')
    const hours = Float32Array.from({ length: 24 }, (_, h) => (h < 16 ? 15 : 30))
    const perDayCd = dailyGerminationCd(hours, grass).moist[0]!
    expect(thermalTimeTo(0.5, grass) / perDayCd).toBeCloseTo(20.3, 1)
  })

  test.each([
    ['PRG', 4, 14],
    ['TF', 4, 14],
    ['KBG', 10, 35],
    ['ARG', 5, 10],
  ] as const)('%s at 18.3 °C falls into the range told to clients, %s to %s days', (code, least, most) => {
    // Common practice, no source.
    const days = steadyEmergenceDays(grassByCode(code), 18.3)!
    expect(days).toBeGreaterThanOrEqual(least)
    expect(days).toBeLessThanOrEqual(most)
  })
})

test('seed does nothing below its base and above its ceiling, and most at its optimum', () => {
  const { thermal } = grassByCode('TF')
  expect(germinationRateC(4, thermal)).toBe(0)
  expect(germinationRateC(35, thermal)).toBe(0)
  expect(germinationRateC(24, thermal)).toBe(20)
  expect(germinationRateC(29.5, thermal)).toBeCloseTo(10, 9)
  expect(steadyEmergenceDays(grassByCode('BER'), 11)).toBeUndefined()
})
