import fc from 'fast-check'
import { expect, test } from 'vitest'
import { copyColumn, soilColumn, thermalDiffusivityM2PerS, TEXTURES } from '../soil'
import { soilDay, strikeDay, strikeDays } from '../soilDay'

const WAVES = [
  new Float64Array(24).fill(1),
  Float64Array.from({ length: 24 }, (_, h) => Math.cos((2 * Math.PI * (h - 15)) / 24)),
  Float64Array.from({ length: 24 }, (_, h) => Math.max(0, Math.cos((2 * Math.PI * (h - 12)) / 24))),
] as const

/** Days of weather at random, far rougher than any. */
const rough = fc.array(
  fc.tuple(
    fc.double({ min: -30, max: 45, noNaN: true }),
    fc.double({ min: 0, max: 20, noNaN: true }),
    fc.double({ min: 0, max: 25, noNaN: true }),
  ),
  { maxLength: 40 },
)

test('days followed in their modes are the days one by one, in every soil, to a ten-thousandth of a kelvin', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...TEXTURES),
      fc.double({ min: -20, max: 30, noNaN: true }),
      rough,
      (texture, startC, days) => {
        const column = soilColumn({ diffusivityM2PerS: thermalDiffusivityM2PerS(texture), initialC: startC })
        const day = soilDay(column, WAVES)
        const [one, many] = [copyColumn(column), copyColumn(column)]
        const felt: number[][] = []
        const of = (i: 0 | 1 | 2) => Float64Array.from(days, (strengths) => strengths[i])
        strikeDays(day, many.tempC, [of(0), of(1), of(2)], (d, values, from) => {
          felt[d] = Array.from(values.subarray(from, from + 25))
        })
        expect(felt).toHaveLength(days.length)
        days.forEach((strengths, d) => {
          const whole = strikeDay(day, one.tempC, strengths).subarray(day.nodes)
          felt[d]!.forEach((tempC, k) => {
            expect(Math.abs(tempC - whole[k]!)).toBeLessThan(1e-4)
          })
        })
        one.tempC.forEach((tempC, i) => {
          expect(Math.abs(many.tempC[i]! - tempC)).toBeLessThan(1e-4)
        })
      },
    ),
    { numRuns: 60 },
  )
})

test('a steady surface is the whole column in the end, the bottom last', () => {
  const column = soilColumn({ diffusivityM2PerS: 0.6e-6, initialC: 4 })
  const days = 30_000
  const [mean, none] = [new Float64Array(days).fill(15), new Float64Array(days)]
  strikeDays(soilDay(column, WAVES), column.tempC, [mean, none, none], () => undefined)
  column.tempC.forEach((tempC) => {
    expect(tempC).toBeCloseTo(15, 3)
  })
})
