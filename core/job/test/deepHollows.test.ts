import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import { daysBetween } from '../../measure/calendar'
import type { Practices } from '../decision/practices'
import { DEFAULT_PRACTICES } from '../decision/usualPractices'
import { operationByCode } from '../operations/registry'
import { laterLiftsM3, soilLaterM3, soilNowM3 } from '../operations/lifts'
import { soilOf } from '../parts'
import { buildSchedule } from '../schedule/schedule'
import { PLANNING_FIGURES, planned, scheduleInput, type Planned } from './ground'

const HOLLOW = { deepestMm: 40, hollowM3: 0.5, hollowM2: 25 }
const DEEP = { deepestMm: 90, hollowM3: 0.9, hollowM2: 20 }
const operation = operationByCode('laterLift')
const level = operationByCode('level')

/** Soil that the operations of a plan use up, m³. */
function soilUsed(change: Planned): { first: number; later: number[]; all: number } {
  const [part] = planned(change)
  const amount = (wanted: readonly { amount: number }[]) => wanted.reduce((sum, of) => sum + of.amount, 0)
  const count = operation.wanted!(part!, { extent: scheduleInput().extent, has: () => true })
    ? operation.times!([part!])
    : 0
  const later = Array.from({ length: count }, (_, i) => amount(operation.demand!(part!, { number: i + 1, of: count })))
  return { first: amount(level.demand!(part!, { number: 1, of: 1 })), later, all: soilOf(part!).volumeM3 }
}

describe('a hollow under turf that lives on', () => {
  test('is filled by half an inch before the seed, and the rest in lifts that use up all of its soil', () => {
    fc.assert(
      fc.property(fc.constantFrom('overseed', 'hard'), fc.integer({ min: 14, max: 75 }), (programme, deepestMm) => {
        const { first, later, all } = soilUsed({ programme, zone: { ...HOLLOW, deepestMm } })
        // 12 mm a lift (trade: half an inch), so ⌈depth ÷ 12⌉ of them in all.
        expect(later.length).toBe(Math.ceil(deepestMm / 12) - 1)
        expect(first + later.reduce((sum, of) => sum + of, 0)).toBeCloseTo(all, 9)
        expect(Math.max(...later)).toBeLessThanOrEqual(first)
      }),
    )
  })

  test('is filled at once where it is shallow, where the old turf is killed, and where the turf over it comes off', () => {
    for (const change of [
      { zone: { ...HOLLOW, deepestMm: 11 } },
      { programme: 'kill', zone: HOLLOW },
      { zone: DEEP },
    ] satisfies Planned[]) {
      const { first, later, all } = soilUsed(change)
      expect([first, later]).toEqual([all, []])
    }
  })

  test('has its later lifts dated from the fourth mowing on, two weeks apart, and none before four are recorded', () => {
    const { tasks } = buildSchedule(scheduleInput({ parts: planned({ zone: HOLLOW }), fourthMow: 60 }))
    const lifts = tasks.filter(({ operation: { code } }) => code === 'laterLift')
    const sown = tasks.find(({ key }) => key === 'sow')!.to
    expect(lifts.length).toBe(3)
    expect(daysBetween(sown, lifts[0]!.to)).toBeGreaterThanOrEqual(60)
    for (const [i, { to }] of lifts.slice(1).entries())
      expect(daysBetween(lifts[i]!.to, to)).toBeGreaterThanOrEqual(PLANNING_FIGURES.liftGrow)
    expect(lifts[0]!.gates.map(({ text }) => told(text)).join()).toContain('0 of 4 mowings')
  })
})

describe('a heap of soil', () => {
  const big = { ...HOLLOW, hollowM3: 9, hollowM2: 450 }
  for (const [programme, lifts] of [
    ['overseed', 'laterLift'],
    ['level', 'lift'],
  ] as const)
    test(`comes for each later lift of its own in ${programme}, days before it and not weeks`, () => {
      const parts = planned({ programme, zone: big })
      const { tasks } = buildSchedule(scheduleInput({ parts, fourthMow: 60 }))
      const days = (code: string) => tasks.filter(({ operation }) => operation.code === code).map(({ to }) => to)
      const heaps = days('laterDelivery')
      const dressed = days(lifts).slice(programme === 'level' ? 1 : 0)
      // 40 mm by lifts of 12 mm: three after the first, the last of them less than the van carries.
      const later = laterLiftsM3(parts)
      expect([dressed.length, heaps.length]).toEqual([3, later.filter((m3) => m3 >= 0.25).length])
      expect(heaps.length).toBeGreaterThan(1)
      for (const [i, day] of heaps.entries()) {
        // Turf under a heap dies within a week. Common practice, no source.
        expect(daysBetween(day, dressed[i]!)).toBeGreaterThanOrEqual(0)
        expect(daysBetween(day, dressed[i]!)).toBeLessThanOrEqual(5)
      }
      const first = soilNowM3(parts[0]!)
      expect(first + later.reduce((sum, m3) => sum + m3, 0)).toBeCloseTo(soilOf(parts[0]!).volumeM3, 9)
    })

  test('does not come for what a van carries', () => {
    const { tasks } = buildSchedule(scheduleInput({ parts: planned({ zone: HOLLOW }), fourthMow: 60 }))
    expect(tasks.some(({ operation }) => operation.code === 'laterDelivery')).toBe(false)
  })
})

test('what Bring tells of soil is what goes down now, and beside it what later lifts want', () => {
  const of = (zone: Planned['zone']) => planned({ zone })[0]!
  const [deep, shallow] = [of(HOLLOW), of({ deepestMm: 13, hollowM3: 0.05, hollowM2: 12 })]
  expect(soilNowM3(deep) + soilLaterM3(deep)).toBeCloseTo(soilOf(deep).volumeM3, 9)
  expect(soilLaterM3(deep)).toBeGreaterThan(0)
  // A millimeter over one lift: less than a bucket of 12 l is left.
  expect(soilLaterM3(shallow)).toBe(0)
})

describe('a hollow too deep for lifts', () => {
  const relaid = (relaying: Practices['relaying'], change: Planned = {}) => {
    const [part] = planned({ zone: DEEP, ...change, practices: { ...DEFAULT_PRACTICES, relaying } })
    const of = operationByCode('relay')
    return { says: told(of.brief(part!, { number: 1, of: 1 }).settings), charges: of.charges!({} as never, [part!]) }
  }
  test('gets its own turf back, new sod that is paid for, or seed, by practice', () => {
    expect(relaid('own turf').says).toMatch(/roll it back.*Relay, water\.$/)
    expect(relaid('new turf').says).toMatch(/haul it off.*new sod/)
    expect(relaid('seed on top').says).toMatch(/haul it off.*full rate/)
    // The hollow alone, m², at the firm's price of sod.
    expect(relaid('new turf').charges).toMatchObject([{ price: 'sod', amount: { value: 20 } }])
    expect([relaid('own turf').charges, relaid('seed on top').charges]).toEqual([[], []])
  })
  test('gets its own turf back where nothing is sown', () => {
    expect(relaid('seed on top', { programme: 'level' }).says).toMatch(/Relay, water\.$/)
  })
})
