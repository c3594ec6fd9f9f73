import { told } from '../../explain/test/told'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { GRASSES, grassByCode } from '../../grass/grasses'
import { parseAnalysis } from '../../materials/feed'
import { overseedRate } from '../../seed/liveSeed'
import { addDays, daysBetween, nearestWorkingDay, toDay, weekdayIndex } from '../../measure/calendar'
import { defaultSettings } from '../settings'
import { STARTER_ANALYSIS } from '../decision/practiceFigures'
import { PRACTICES, type Practices } from '../decision/practices'
import { DEFAULT_PRACTICES } from '../decision/usualPractices'
import { PROGRAMMES } from '../decision/programmes'
import { doneOn, planned, scheduleInput, lagsFor } from './ground'
import { buildSchedule, type ScheduleInput } from '../schedule/schedule'

const TF = grassByCode('TF')
const settings = (practices: Partial<Practices>, kept = 0.56) =>
  defaultSettings({
    grass: TF,
    desirableShare: kept,
    programme: PROGRAMMES.overseed,
    practices: { ...DEFAULT_PRACTICES, ...practices },
  })

describe('a practice of the firm', () => {
  test('of the heavy rate sows half again', () => {
    // Common practice, no source: "half again".
    expect(settings({ rate: 'heavy' }).seedRateGPerM2 / overseedRate(TF).value).toBeCloseTo(1.5, 9)
  })

  test('of the cut goes by the stand unless told otherwise, and never above what the grass bears', () => {
    expect(settings({}, 0.8).scalpToMm).toBeGreaterThan(settings({}, 0.6).scalpToMm)
    expect(settings({ scalp: 'lowest notch' }, 0.8).scalpToMm).toBe(settings({}, 0.6).scalpToMm)
    for (const grass of GRASSES) {
      for (const { code } of PRACTICES.scalp.choices)
        expect(
          defaultSettings({
            grass,
            desirableShare: 0.5,
            programme: PROGRAMMES.overseed,
            practices: { ...DEFAULT_PRACTICES, scalp: code },
          }).scalpToMm,
        ).toBeLessThanOrEqual(grass.mowingMm[0])
    }
  })

  test('of no cover takes cover and its task out of the plan; of a material names it', () => {
    expect(settings({ cover: 'none' }).coverMm).toBe(0)
    expect(settings({ coverMaterial: 'peat' }).coverMaterial).toBe('peat')
  })

  test('of the balanced feed has three equal numbers; every analysis can be read', () => {
    const { nShare, p2o5Share, k2oShare } = parseAnalysis(settings({ starter: 'balanced' }).starterAnalysis)!
    expect([p2o5Share, k2oShare]).toEqual([nShare, nShare])
    for (const analysis of Object.values(STARTER_ANALYSIS)) expect(parseAnalysis(analysis)).toBeDefined()
  })

  test('has its usual choice among its choices', () => {
    for (const question of Object.keys(PRACTICES) as (keyof Practices)[])
      expect(PRACTICES[question].choices.map(({ code }) => code as string)).toContain(DEFAULT_PRACTICES[question])
  })
})

describe('working days', () => {
  const MONDAY_TO_SATURDAY = [1, 2, 3, 4, 5, 6]
  // A Wednesday: its cores would be due on Tuesday, the first check on Saturday.
  const input = (change: Partial<ScheduleInput>) => scheduleInput({ workingDays: MONDAY_TO_SATURDAY, ...change })

  test('draw the nearest one, the later of two as near, within the span', () => {
    const sunday = toDay('2026-09-20')
    expect(nearestWorkingDay(sunday, MONDAY_TO_SATURDAY, addDays(sunday, -5), addDays(sunday, 5))).toBe('2026-09-21')
    expect(nearestWorkingDay(sunday, MONDAY_TO_SATURDAY, addDays(sunday, -5), sunday)).toBe('2026-09-19')
    expect(nearestWorkingDay(sunday, [4], sunday, addDays(sunday, 5))).toBe('2026-09-24')
    expect(nearestWorkingDay(sunday, [4], sunday, addDays(sunday, 2))).toBe(sunday)
  })

  test('are kept by every operation that can slide, with all lags still held', () => {
    for (let i = 0; i < 14; i++) {
      const sowOn = addDays(toDay('2026-09-21'), i)
      if (weekdayIndex(sowOn) === 0) continue
      const { tasks, troubles } = buildSchedule(input({ sowOn }))
      expect(troubles).toEqual([])
      for (const { to, earliest, latest } of tasks)
        expect([weekdayIndex(to) !== 0, to >= earliest, to <= latest]).toEqual([true, true, true])
    }
  })

  test('never break a lag: whatever days the firm works, each limit between operations is held or said', () => {
    const someDays = fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 7 })
    fc.assert(
      fc.property(someDays, fc.integer({ min: 0, max: 60 }), (workingDays, ahead) => {
        const { tasks, troubles } = buildSchedule(input({ workingDays, sowOn: addDays(toDay('2026-09-08'), ahead) }))
        const day = new Map(tasks.map(({ operation, to }) => [operation.code as string, to]))
        for (const { from, to, leastDays, mostDays } of lagsFor('seeding').filter(
          (lag) => day.has(lag.from) && day.has(lag.to),
        )) {
          const between = daysBetween(day.get(from)!, day.get(to)!)
          if (troubles.length === 0)
            expect([from, to, between >= leastDays && between <= (mostDays ?? Infinity)]).toEqual([from, to, true])
        }
        for (const { operation, to, gates } of tasks) {
          const off = !workingDays.includes(weekdayIndex(to))
          expect([
            operation.code,
            gates.some(({ text }) => told(text).endsWith('is no working day of the firm')),
          ]).toEqual([operation.code, off])
        }
      }),
    )
  })

  test('draw the first cut to a day sooner, off a day off, and never before today', () => {
    // 76 mm to 38 mm is two cuts: sown on Friday the 18th, the last is on Tuesday the 15th, the first would be on
    // Sunday the 13th.
    const twoCuts = planned({ settings: { scalpToMm: 38 } })
    const scalp = (today: string) =>
      buildSchedule(input({ parts: twoCuts, sowOn: toDay('2026-09-18'), today: toDay(today) })).tasks.find(
        ({ key }) => key === 'scalp',
      )!
    expect(scalp('2026-09-08')).toMatchObject({ from: '2026-09-12', to: '2026-09-15' })
    expect(scalp('2026-09-13').from >= '2026-09-13').toBe(true)
  })

  test('that cannot be kept are said on the task: sowing on a Sunday', () => {
    const { tasks } = buildSchedule(input({ sowOn: toDay('2026-09-20') }))
    const sow = tasks.find(({ operation }) => operation.code === 'sow')!
    expect(sow.to).toBe('2026-09-20')
    expect([sow.gates[0]!.state, told(sow.gates[0]!.text)]).toEqual(['risk', 'Sunday is no working day of the firm'])
    const sown = buildSchedule(input({ sowOn: toDay('2026-09-06'), done: doneOn(['sow', toDay('2026-09-06')]) }))
    expect(
      sown.tasks
        .find(({ operation }) => operation.code === 'sow')!
        .gates.filter(({ text }) => told(text).includes('working day')),
    ).toEqual([])
  })
})
