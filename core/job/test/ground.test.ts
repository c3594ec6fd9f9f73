import { describe, expect, test } from 'vitest'
import { daysBetween, toDay } from '../../measure/calendar'
import { told } from '../../explain/test/told'
import { carriedHours, meansOver, tripsFor } from '../carrying'
import { crewHours } from '../hours'
import { coreSpacingMm } from '../operations/coring'
import { takenMm } from '../operations/dethatching'
import { soilOfPlan } from '../operations/soilChoice'
import { buildSchedule } from '../schedule/schedule'
import { planned, scheduleInput, type Planned } from './ground'

const SOW = toDay('2026-09-24')
const schedule = (of: Planned, change = {}) =>
  buildSchedule({ ...scheduleInput({ parts: planned(of), ...change }), skipped: {} })
const DRY = { ...scheduleInput().extent, dryGround: true }

// Handbook value, from memory. Found: all of the thatch over turf that stays, whatever its depth.
test('of turf that is to live no more thatch comes off in a season than it bears', () => {
  const taken = (thatchMm: number, programme: 'overseed' | 'hard' | 'kill') =>
    takenMm(planned({ programme, zone: { thatchMm } })[0]!)
  expect(taken(40, 'hard')).toBe(12)
  expect(taken(10, 'overseed')).toBeCloseTo(10 * (1 - 0.7 ** 2), 9)
  expect(taken(40, 'kill')).toBeCloseTo(40 * (1 - 0.7 ** 2), 9)
  const gates = schedule({ zone: { thatchMm: 40 } }).tasks.find(({ key }) => key === 'dethatch')!.gates
  expect(gates.find(({ code }) => code === 'thatch')?.state).toBe('risk')
})

// Common practice, no source. Found: one scalp, before the dethatcher.
test('where nothing is kept it is cut again after the blades, before tines, soil and seed', () => {
  const { tasks } = schedule({ programme: 'kill' }, { sowOn: toDay('2026-10-20') })
  const on = (code: string) => tasks.find(({ operation }) => operation.code === code)!.to
  expect(on('scalpAgain') >= on('dethatch') && on('scalpAgain') <= on('core')).toBe(true)
  expect(schedule({ programme: 'hard' }).tasks.some(({ key }) => key === 'scalpAgain')).toBe(false)
})

// Common practice, no source: hard dry ground on three or four days of the week before. Found: one soaking.
test('hard dry ground is soaked on four days of the week before tines, soft ground once', () => {
  const soak = (driverMm: number, today = scheduleInput().today) =>
    schedule({ zone: { driverMm } }, { extent: DRY, today }).tasks.find(({ key }) => key === 'waterAhead')!
  const [hard, soft] = [soak(40), soak(110)]
  expect([daysBetween(hard.from, hard.to), daysBetween(soft.from, soft.to)]).toEqual([6, 0])
  expect(daysBetween(hard.from, SOW)).toBeLessThanOrEqual(12)
  expect(hard.hours.value).toBeGreaterThan(soft.hours.value)
})

// Handbook knowledge, from memory. Found: straight sand into a 90 mm hollow on loam.
test('soil for levels matches the root zone; sand is for thin topdressings in growth', () => {
  const soil = (programme: 'level' | 'kill', deepestMm: number, practices: Planned['practices'] = {}) =>
    soilOfPlan(
      planned({
        programme,
        zone: { grass: 'BER', sward: 'BER', deepestMm, hollowM3: 0.5, hollowM2: 20 },
        practices,
      })[0]!,
    )
  expect([soil('level', 20), soil('level', 90), soil('kill', 90)]).toEqual(['sand', 'topsoil', 'topsoil'])
  expect(soil('kill', 90, { soil: 'sand' })).toBe('sand')
  const gates = schedule(
    { programme: 'kill', zone: { deepestMm: 90, hollowM3: 0.5, hollowM2: 20 }, practices: { soil: 'sand' } },
    { sowOn: toDay('2026-10-20') },
  ).tasks.find(({ key }) => key === 'level')!.gates
  expect(gates.some(({ code }) => code === 'sand')).toBe(true)
})

describe('what is carried', () => {
  const none = crewHours({ key: 'price.crewHours' }, 0, [])
  const hours = (volumeM3: number, distanceM: number | null, steps: number) =>
    carriedHours(none, { key: 'price.crewHours' }, volumeM3, { distanceM, steps }).value - none.value

  // Own figures: a barrow of 0.08 m³ and 1.2 m³ an hour over a short way; a bucket of 0.012 m³ where there are steps.
  test('goes by barrow, or by bucket over steps, in trips that take their time', () => {
    expect(hours(1.2, null, 0)).toBeCloseTo(1, 1)
    expect(hours(9.2, null, 0)).toBeGreaterThan(7)
    expect([tripsFor(0.8, { distanceM: 10, steps: 0 }), tripsFor(0.12, { distanceM: 10, steps: 8 })]).toEqual([10, 10])
    expect([meansOver({ distanceM: 0, steps: 3 }), meansOver({ distanceM: 0, steps: 4 })]).toEqual(['barrow', 'bucket'])
  })

  test('takes longer over a longer way and over steps, and nothing where nothing is carried', () => {
    expect(hours(1, 60, 0)).toBeGreaterThan(hours(1, 20, 0))
    expect(hours(1, 20, 8)).toBeGreaterThan(2 * hours(1, 20, 0))
    expect(hours(0, 60, 8)).toBe(0)
  })

  // Found: 9.2 m³ of torn thatch cleared in a third of an hour.
  test('thatch, clippings and cover are carried in the hours of their work', () => {
    const of = (way: Planned['way']) =>
      Object.fromEntries(schedule({ ...(way ? { way } : {}) }).tasks.map(({ key, hours: { value } }) => [key, value]))
    const [near, far] = [of({ distanceM: 5, steps: 0 }), of({ distanceM: 80, steps: 6 })]
    for (const key of ['scalp', 'dethatch', 'cover']) expect(far[key]).toBeGreaterThan(near[key]!)
    expect(far.sow).toBe(near.sow)
  })
})

// Handbooks, from memory: 20 to 40 holes on a square foot; trade: 75 to 100 mm apart.
test('core holes are asked for by the practice, and more of hard ground', () => {
  const perFt2 = (coreHoles: 'trade spacing' | 'handbook', driverMm: number) =>
    (304.8 / coreSpacingMm(planned({ zone: { driverMm }, practices: { coreHoles } })[0]!)) ** 2
  expect(perFt2('handbook', 110)).toBeCloseTo(20, 6)
  expect(perFt2('handbook', 40)).toBeCloseTo(40, 6)
  expect(perFt2('trade spacing', 110)).toBeCloseTo(9.3, 1)
  expect(perFt2('trade spacing', 40)).toBeCloseTo(16.5, 1)
})

// Common practice, no source: bermuda seed dragged 1.5 to 3 mm into a thin topdressing over cores, without a cover.
test('bermuda is cored, topdressed and dragged in where that is the practice', () => {
  const zone = { grass: 'BER', sward: 'BER', desirableShare: 0.7, weedShare: 0.2, bareShare: 0.1 } as const
  const { tasks } = schedule({ programme: 'warm', zone, practices: { warmSowing: 'core and drag' } })
  const codes = tasks.map(({ operation }) => operation.code)
  expect(codes).toEqual(expect.arrayContaining(['core', 'topdress', 'sow', 'rake']))
  expect(codes).not.toContain('dethatch')
  expect(codes).not.toContain('cover')
  expect(told(tasks.find(({ key }) => key === 'rake')!.settings, 'metric')).toMatch(/(1\.5|2|2\.5|3) mm/)
})
