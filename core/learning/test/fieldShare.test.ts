import gammaDraw from '@stdlib/stats-base-dists-gamma-quantile'
import { expect, test } from 'vitest'
import { toDay } from '../../measure/calendar'
import { FIELD_PRIOR, proposeFieldShare, type FieldCount } from '../fieldShare'

const of = (shares: readonly number[]): FieldCount[] =>
  shares.map((share) => ({ bed: 'fieldCovered', seenOn: toDay('2026-10-01'), share, frames: 6, seedlings: 120 }))
const proposed = (shares: readonly number[], planning = 0.6) =>
  proposeFieldShare('fieldCovered', of(shares), { usual: 0.6, planning })!

test('by hand: five zones of 0.5 against 0.6', () => {
  // Worked on paper: mean (4 · 0.6 + 5 · 0.5)/9 = 0.5444; shape 2 + 2.5 = 4.5, nine degrees of freedom, t = 1.8331 (table);
  // scale 2 · 0.0225 + 0 + 4 · 5 · 0.01/18 = 0.05611; half width 1.8331 · sqrt(0.05611/(4.5 · 9)) = 0.0682.
  const { share, low, high, zones, seedlings, differs } = proposed([0.5, 0.5, 0.5, 0.5, 0.5])
  expect(share).toBeCloseTo(0.5444, 4)
  expect(share - low).toBeCloseTo(0.0682, 4)
  expect(high - share).toBeCloseTo(0.0682, 4)
  expect({ zones, seedlings, differs }).toEqual({ zones: 5, seedlings: 600, differs: false })
})

test('few zones propose nothing however far off they are, and many that agree with the figure neither', () => {
  expect(proposed([0.2, 0.2, 0.2, 0.2]).differs).toBe(false)
  expect(proposed(Array.from({ length: 12 }, () => 0.45)).differs).toBe(true)
  expect(proposed(Array.from({ length: 30 }, (_, i) => 0.6 + (i % 2 ? 0.05 : -0.05))).differs).toBe(false)
})

test('a figure that was taken is not proposed again by the same counts', () => {
  const counts = Array.from({ length: 12 }, () => 0.45)
  const { share, differs } = proposed(counts)
  expect(differs).toBe(true)
  expect(proposed(counts, share)).toMatchObject({ share, differs: false })
})

test('counts of another kind of bed tell nothing of this one', () => {
  expect(proposeFieldShare('fieldSurface', of([0.5]), { usual: 0.4, planning: 0.4 })).toBeUndefined()
  expect(proposeFieldShare('fieldCovered', [], { usual: 0.6, planning: 0.6 })).toBeUndefined()
})

/** A fixed sequence of even parts, so that the test is the same each time. */
const even = (n: number) => Array.from({ length: n }, (_, i) => ((i * 0.618034) % 1) * 0.998 + 0.001)

test('of gamma draws about a true share the interval narrows onto it as zones come in', () => {
  const [mean, shape] = [0.45, 20]
  const draws = even(60).map((part) => gammaDraw(part, shape, shape / mean))
  const [some, many] = [proposed(draws.slice(0, 8)), proposed(draws)]
  expect(many.high - many.low).toBeLessThan(some.high - some.low)
  expect(many.low).toBeLessThan(mean)
  expect(many.high).toBeGreaterThan(mean)
  // Without zones it would be the prior: four of them at the figure in use.
  expect(Math.abs(some.share - 0.6)).toBeLessThan(Math.abs(draws.slice(0, 8).reduce((a, b) => a + b) / 8 - 0.6))
  expect(FIELD_PRIOR.zones).toBe(4)
})
