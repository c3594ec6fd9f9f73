import { describe, expect, test } from 'vitest'
import { daysBetween, toDay, type Day } from '../../measure/calendar'
import { leftByBirds } from '../../establishment/losses'
import { feedGates } from '../operations/feedGates'
import { lastGoodDay } from '../operations/goodDays'
import { operationByCode } from '../operations/registry'
import { seedlingGates } from '../operations/seedlingGates'
import { skyGates } from '../operations/weatherGates'
import { buildSchedule } from '../schedule/schedule'
import type { ScheduleInput } from '../schedule/input'
import { planned, PLANNING_FIGURES, scheduleInput, type Planned } from './ground'

const DAY = toDay('2026-09-18')
const plan = (of: Planned, change: Partial<ScheduleInput> = {}) =>
  buildSchedule({ ...scheduleInput({ parts: planned(of), ...change }), skipped: {} })
const dayOf = (schedule: ReturnType<typeof plan>, key: string) => schedule.tasks.find((task) => task.key === key)!.to
const day = (tminC: number, tmaxC: number, rainMm = 0, on: Day = DAY) => ({ day: on, tminC, tmaxC, rainMm, windKmh: 6 })

describe('a non-selective spray', () => {
  /** Soil that is under 10 °C from November to the middle of April. */
  const soilOn = (on: Day) => (on > '2026-11-01' && on < '2027-04-15' ? 4 : 14)
  const spring = { today: toDay('2026-09-08'), sowOn: toDay('2027-04-20'), soilOn }

  // Labels and handbooks, from memory: it works on leaves that grow. Found: dated four weeks before the seed whatever the soil.
  test('is dated into growth: before a spring sowing into the autumn before', () => {
    const schedule = plan({ programme: 'kill' }, spring)
    for (const key of ['kill1', 'kill2']) expect(soilOn(dayOf(schedule, key))).toBeGreaterThanOrEqual(10)
    expect(daysBetween(dayOf(schedule, 'kill1'), dayOf(schedule, 'kill2'))).toBeGreaterThanOrEqual(14)
  })

  test('stays where it is in growth, and goes nowhere into the past', () => {
    const autumn = plan({ programme: 'kill' }, { sowOn: toDay('2026-10-10'), soilOn: () => 15 })
    expect(daysBetween(dayOf(autumn, 'kill2'), toDay('2026-10-10'))).toBeLessThan(20)
    const input = { soilOn, planning: PLANNING_FIGURES, parts: planned({ programme: 'kill' }) }
    const due = toDay('2027-03-20')
    expect(lastGoodDay(input, operationByCode('kill1'), due, toDay('2026-09-08')) <= '2026-11-01').toBe(true)
    expect(lastGoodDay(input, operationByCode('kill1'), due, toDay('2027-01-05'))).toBe(due)
  })

  // Common practice, no source: coarse grasses take up to ten days longer to turn brown. Found: only said.
  test('of coarse weed grasses is given ten days more before the scalp', () => {
    const wait = (coarseShare: number) => {
      const schedule = plan({ programme: 'kill', zone: { coarseShare } }, { sowOn: toDay('2026-11-10') })
      return daysBetween(dayOf(schedule, 'kill2'), dayOf(schedule, 'scalp'))
    }
    expect(wait(0.02)).toBeGreaterThanOrEqual(7)
    expect(wait(0.4)).toBeGreaterThanOrEqual(17)
  })
})

// Handbook knowledge, from memory.
test('frozen turf waits for the thaw, sodden turf bears no machine', () => {
  const codes = (code: string, weather: ReturnType<typeof day>) =>
    skyGates(operationByCode(code), DAY, { forecast: [weather] }).flatMap(({ code: of, state }) =>
      of === 'frozen' || of === 'sodden' ? [`${of} ${state}`] : [],
    )
  expect(codes('mow', day(-3, 6))).toEqual(['frozen risk'])
  expect(codes('mow', day(4, 12, 30))).toEqual(['sodden hold'])
  expect(codes('green', day(4, 12, 30))).toEqual([])
  expect(codes('order', day(-3, 6, 30))).toEqual([])
})

describe('seedlings', () => {
  const codes = (code: 'TF' | 'BER', weather: ReturnType<typeof day>) =>
    seedlingGates(
      { forecast: [weather] },
      operationByCode('green'),
      DAY,
      planned({ programme: code === 'BER' ? 'warm' : 'overseed', zone: { grass: code, sward: code } }),
    ).map((gate) => gate.code)
  // Handbook knowledge, from memory; the limits are ours.
  test('rot in hot wet nights, and those of warm-season grass are taken by frost', () => {
    expect(codes('TF', day(20, 32))).toEqual(['damping'])
    expect(codes('TF', day(12, 32))).toEqual([])
    expect(codes('BER', day(1, 14))).toEqual(['frost'])
    expect(codes('TF', day(1, 14))).toEqual([])
  })

  test('of a spring sowing are looked at in their first summer', () => {
    const has = (springSown: boolean, grass: 'TF' | 'BER' = 'TF') =>
      plan({ zone: { grass } }, { extent: { ...scheduleInput().extent, springSown } }).tasks.some(
        ({ key }) => key === 'summerCare',
      )
    expect([has(true), has(false), has(true, 'BER')]).toEqual([true, false, false])
  })
})

// Handbook knowledge, from memory: soft leaves go into heat and disease.
test('much nitrogen just before summer is warned of on cool-season turf', () => {
  const rising = (on: Day) => 15 + daysBetween(DAY, on) * 0.25
  const summer = (grass: 'TF' | 'BER', soilOn: (on: Day) => number) =>
    feedGates({ planning: PLANNING_FIGURES, soilOn }, operationByCode('feed'), DAY, planned({ zone: { grass } })).some(
      ({ code }) => code === 'summer',
    )
  expect([summer('TF', rising), summer('BER', rising), summer('TF', () => 18)]).toEqual([true, false, false])
})

test('birds take of seed that lies open, each day until it is up, and nothing under a cover', () => {
  expect(leftByBirds(12, 'covered')).toBe(1)
  expect(leftByBirds(12, 'bare')).toBeLessThan(leftByBirds(6, 'bare'))
  expect(leftByBirds(12, 'bare', 0.8)).toBeGreaterThan(leftByBirds(12, 'bare'))
  expect(leftByBirds(12, 'bare')).toBeGreaterThan(0.9)
})
