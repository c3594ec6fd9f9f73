import { describe, expect, test } from 'vitest'
import fc from 'fast-check'
import {
  heatContent,
  PROBE_DEPTH_M,
  soilColumn,
  soilDepthsM,
  stepColumn,
  thermalDiffusivityM2PerS,
  type SoilColumn,
} from '../soil'
import { soilDay, strikeDay } from '../soilDay'

const HOUR_S = 3600
const DAY_H = 24
const YEAR_H = 365 * 24

/** Least-squares amplitude and phase of one period of an hourly series. */
function wave(series: number[], periodH: number): { amplitude: number; phase: number } {
  let a = 0
  let b = 0
  series.forEach((value, i) => {
    a += value * Math.cos((2 * Math.PI * i) / periodH)
    b += value * Math.sin((2 * Math.PI * i) / periodH)
  })
  return { amplitude: (2 / series.length) * Math.hypot(a, b), phase: Math.atan2(b, a) }
}

const at = (column: SoilColumn, depthM: number) => {
  const below = column.depthsM.findIndex((z) => z >= depthM)
  const [z0, z1] = [column.depthsM[below - 1]!, column.depthsM[below]!]
  const w = (depthM - z0) / (z1 - z0)
  return column.tempC[below - 1]! * (1 - w) + column.tempC[below]! * w
}

/** Follows a sinusoidal surface of amplitude 10 K about 15 °C and returns the last period at the depth asked. */
function follow(periodH: number, periods: number, depthM: number, diffusivityM2PerS: number): number[] {
  const column = soilColumn({ diffusivityM2PerS, initialC: 15 })
  const last: number[] = []
  for (let i = 1; i <= periodH * periods; i++) {
    stepColumn(column, 15 + 10 * Math.cos((2 * Math.PI * i) / periodH))
    if (i > periodH * (periods - 1)) last.push(at(column, depthM))
  }
  return last
}

// Analytic solution of the conduction equation under a sinusoidal surface: A·exp(−z/d), lag z/d·P/2π, d = √(κP/π).
// Carslaw & Jaeger, Conduction of Heat in Solids; from memory.
describe.each([
  { name: 'daily', periodH: DAY_H, periods: 60, depths: [0.05, 0.1], lagWithinH: 1 },
  { name: 'annual', periodH: YEAR_H, periods: 4, depths: [0.1, 0.5], lagWithinH: 48 },
])('the $name wave', ({ periodH, periods, depths, lagWithinH }) => {
  test.each(depths)('is damped and delayed at %s m as the analytic solution says', (depthM) => {
    const kappa = thermalDiffusivityM2PerS('loam')
    const damping = Math.sqrt((kappa * periodH * HOUR_S) / Math.PI)
    const series = follow(periodH, periods, depthM, kappa)
    const { amplitude, phase } = wave(series, periodH)
    const expectedLagH = ((depthM / damping) * periodH) / (2 * Math.PI)
    const lagH = ((phase + 2 * Math.PI) % (2 * Math.PI)) * (periodH / (2 * Math.PI)) + 1
    expect(Math.abs(amplitude - 10 * Math.exp(-depthM / damping))).toBeLessThan(0.2)
    expect(Math.abs(lagH - expectedLagH)).toBeLessThan(lagWithinH)
  })
})

test('moist sand and clay have the damping depths of the textbook table', () => {
  // van Wijk & de Vries as textbooks quote them: moist sand 0.153 m a day and 2.92 m a year; clay 0.121 and 2.31.
  const depth = (kappa: number, seconds: number) => Math.sqrt((kappa * seconds) / Math.PI)
  const sand = thermalDiffusivityM2PerS('sand', 0.2)
  const clay = thermalDiffusivityM2PerS('clay', 0.2)
  expect(depth(sand, 86_400)).toBeCloseTo(0.153, 3)
  expect(depth(sand, 86_400 * 365.25)).toBeCloseTo(2.92, 2)
  expect(depth(clay, 86_400)).toBeCloseTo(0.121, 3)
  expect(depth(clay, 86_400 * 365.25)).toBeCloseTo(2.31, 2)
})

test('a constant surface brings the whole column to its temperature', () => {
  const column = soilColumn({ diffusivityM2PerS: 0.8e-6, initialC: 0 })
  for (let i = 0; i < 24 * 365 * 60; i++) stepColumn(column, 12)
  for (const tempC of column.tempC) expect(tempC).toBeCloseTo(12, 1)
})

test('heat is conserved when both ends are insulated', () => {
  const initialC = Float64Array.from(soilDepthsM(), (z) => 20 * Math.exp(-z))
  const column = soilColumn({ diffusivityM2PerS: 0.8e-6, initialC, insulatedTop: true })
  const before = heatContent(column)
  for (let i = 0; i < 24 * 365; i++) stepColumn(column, Number.NaN)
  expect(heatContent(column)).toBeCloseTo(before, 9)
  expect(Math.max(...column.tempC) - Math.min(...column.tempC)).toBeLessThan(20 * (1 - Math.exp(-8)))
})

test('seed and probe depth are nodes of a grid that widens downward to 8 m', () => {
  const depths = soilDepthsM()
  expect(depths[1]).toBeCloseTo(0.005, 9)
  expect(depths).toContain(PROBE_DEPTH_M)
  expect(depths.at(-1)).toBeCloseTo(8, 3)
  for (let i = 1; i < depths.length; i++) expect(depths[i]).toBeGreaterThan(depths[i - 1]!)
})

test('a column without diffusivity is refused', () => {
  expect(() => soilColumn({ diffusivityM2PerS: 0, initialC: 10 })).toThrow(RangeError)
})

test('a day in one stroke is the same 24 steps, whatever the column and the day', () => {
  const air = Float64Array.from({ length: 24 }, (_, h) => Math.cos((2 * Math.PI * (h - 15)) / 24))
  const sun = Float64Array.from({ length: 24 }, (_, h) => Math.max(0, Math.cos((2 * Math.PI * (h - 12)) / 24)))
  const kelvin = fc.double({ min: -40, max: 60, noNaN: true })
  fc.assert(
    fc.property(
      fc.array(kelvin, { minLength: 24, maxLength: 24 }),
      fc.array(fc.tuple(kelvin, kelvin, kelvin), { minLength: 1, maxLength: 5 }),
      (start, days) => {
        const stepped = soilColumn({ diffusivityM2PerS: 0.6e-6, initialC: Float64Array.from(start) })
        const struck = Float64Array.from(start)
        const day = soilDay(stepped, [new Float64Array(24).fill(1), air, sun])
        for (const [mean, swing, peak] of days) {
          let probe = 0
          const seedbed = Array.from({ length: 24 }, (_, h) => {
            stepColumn(stepped, mean + swing * air[h]! + peak * sun[h]!)
            probe += at(stepped, PROBE_DEPTH_M) / 24
            return stepped.tempC[1]!
          })
          const results = strikeDay(day, struck, [mean, swing, peak])
          seedbed.forEach((tempC, h) => {
            expect(results[day.nodes + h]).toBeCloseTo(tempC, 9)
          })
          expect(results[day.nodes + 24]).toBeCloseTo(probe, 9)
        }
        stepped.tempC.forEach((tempC, i) => {
          expect(struck[i]).toBeCloseTo(tempC, 9)
        })
      },
    ),
    { numRuns: 60 },
  )
})
