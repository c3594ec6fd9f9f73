import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  beginsWithPhosphorus,
  blackoutOn,
  firstDayOutside,
  judgePhosphorus,
  PHOSPHORUS_RULES,
} from '../../materials/feedRules'
import { told } from '../../explain/test/told'
import { addDays, daysBetween, toDay, type Day } from '../../measure/calendar'
import { G_PER_M2_PER_LB_PER_1000FT2 as LB_PER_1000FT2 } from '../../measure/units'
import { blackoutGate, nitrogenGates, phosphorusGate } from '../operations/feedGates'
import { forecastGates } from '../operations/putDownGates'
import { operationByCode } from '../operations/registry'
import { preEmergentGates } from '../operations/injuryGates'
import { buildSchedule } from '../schedule/schedule'
import type { ScheduleInput } from '../schedule/input'
import { grassByCode } from '../../grass/grasses'
import type { Practices } from '../decision/practices'
import { DEFAULT_PRACTICES } from '../decision/usualPractices'
import { PROGRAMMES } from '../decision/programmes'
import { defaultSettings } from '../settings'
import { planned, PLANNING_FIGURES, scheduleInput, TODAY, type Planned } from './ground'

const SOW = toDay('2026-09-18')
const plan = (of: Planned, change: Partial<ScheduleInput> = {}) =>
  buildSchedule({ ...scheduleInput({ parts: planned(of), sowOn: SOW, ...change }), skipped: {} })
const taskIn = (schedule: ReturnType<typeof plan>, key: string) => schedule.tasks.find((task) => task.key === key)

describe('phosphorus', () => {
  // Handbook knowledge and the usual form of such laws, from memory. Found: 18-24-12 whatever a test said.
  test('goes down where a test is short of it, or seed is exempt; never where the law or the test is against it', () => {
    const verdicts = PHOSPHORUS_RULES.map((rule) =>
      (['short', 'enough', 'high', 'not known'] as const).map((supply) => judgePhosphorus(rule, supply, true)),
    )
    expect(verdicts).toEqual([
      ['allowed', 'not asked for', 'plenty', 'allowed'],
      ['allowed', 'not asked for', 'plenty', 'law'],
      ['allowed', 'not asked for', 'plenty', 'allowed'],
      ['law', 'law', 'law', 'law'],
    ])
    expect(judgePhosphorus('exemption', 'not known', false)).toBe('law')
    const begins = PHOSPHORUS_RULES.map((rule) => beginsWithPhosphorus(rule, 'not known', true))
    expect(begins).toEqual([false, false, true, false])
  })

  test('is refused with its reason, and a plan begins without it', () => {
    const against = { phosphorus: 'high', feedRules: { phosphorus: 'exemption', blackouts: [] } } as const
    expect(phosphorusGate(against, '18-24-12', true)).toMatchObject({ state: 'hold', code: 'phosphorus' })
    expect(phosphorusGate(against, '20-0-0', true)).toBeUndefined()
    const law = { phosphorus: 'short', feedRules: { phosphorus: 'banned', blackouts: [] } } as const
    expect(phosphorusGate(law, '18-24-12', true)).toMatchObject({ state: 'hold', binding: true })
    const task = taskIn(plan({}, { phosphorus: 'high' }), 'feed')!
    expect(task.gates.find(({ code }) => code === 'phosphorus')?.state).toBe('hold')
    const settings = (phosphorus: boolean, potassium: 'short' | 'high') =>
      defaultSettings({
        grass: grassByCode('TF'),
        desirableShare: 0.5,
        programme: PROGRAMMES.overseed,
        practices: DEFAULT_PRACTICES,
        phosphorus,
        potassium,
      }).starterAnalysis
    expect([settings(true, 'high'), settings(false, 'short'), settings(false, 'high')]).toEqual([
      '18-24-12',
      '20-0-10',
      '20-0-0',
    ])
  })
})

// Handbook values, from memory: 0.7 lb of soluble nitrogen on 1,000 ft², 0.9 to 1 in all. Found: a cap of 1 lb alone.
test('nitrogen is held at what dissolves at once, and at what is in it', () => {
  const held = (lb: number, slowShare: number) =>
    nitrogenGates(lb * LB_PER_1000FT2, slowShare, { planning: PLANNING_FIGURES }).length > 0
  expect([held(0.7, 0), held(0.75, 0), held(0.75, 0.3), held(0.9, 0.3), held(0.95, 0.5)]).toEqual([
    false,
    true,
    false,
    false,
    true,
  ])
})

describe('days without fertilizer by law', () => {
  const feedRules = { phosphorus: 'free', blackouts: [{ from: '11-15', to: '03-01' }] } as const
  test('hold any feeding, over the turn of the year too, and say when it may go down', () => {
    const gate = (day: string) => blackoutGate({ feedRules }, operationByCode('feedAgain'), toDay(day))[0]
    expect(['2026-11-14', '2026-11-15', '2027-03-01', '2027-03-02'].map((day) => gate(day)?.again)).toEqual([
      undefined,
      '2027-03-02',
      '2027-03-02',
      undefined,
    ])
    expect(blackoutGate({ feedRules }, operationByCode('sow'), toDay('2026-12-01'))).toEqual([])
  })

  // Found: days that take up the whole year were searched for their end for ever.
  test('that take up the whole year hold, and name no day', () => {
    const always = { phosphorus: 'free', blackouts: [{ from: '01-01', to: '12-31' }] } as const
    const [gate] = blackoutGate({ feedRules: always }, operationByCode('feedAgain'), toDay('2026-10-01'))
    expect([gate?.state, gate?.again]).toEqual(['hold', undefined])
    expect(firstDayOutside(toDay('2026-12-20'), feedRules)).toBe('2027-03-02')
    expect(taskIn(plan({}, { feedRules: always }), 'feedAgain')).toBeDefined()
  })

  test('are those that they say, in every year', () => {
    const day = fc.integer({ min: 0, max: 3000 }).map((days) => addDays(TODAY, days))
    fc.assert(
      fc.property(day, (one) => {
        const rule = blackoutOn(one, feedRules)
        const winter = one.slice(5) >= '11-15' || one.slice(5) <= '03-01'
        expect(rule !== undefined).toBe(winter)
      }),
    )
  })
})

describe('later feedings', () => {
  const season = { firstMow: { early: 30, middle: 36, late: 44 }, firstGreen: { early: 8, middle: 10, late: 14 } }
  /** Soil that falls under 8 °C in mid November and is over it again from the end of March. */
  const soilOn = (day: Day) => (day > '2026-11-12' && day < '2027-03-28' ? 5 : 12)

  test('a second one goes to spring where the soil is under 8 °C', () => {
    const second = (of: Partial<ScheduleInput>) => taskIn(plan({}, { ...season, ...of }), 'feedAgain')!.to
    expect(second({}) < '2026-11-30').toBe(true)
    expect(second({ soilOn }) >= '2027-03-28').toBe(true)
    expect(second({ soilOn }) < '2027-04-15').toBe(true)
  })

  test('go by the practice: in the second week, after two mowings about week eight, or after four', () => {
    const of = (feedAgain: Practices['feedAgain'], done: ScheduleInput['done'] = new Map()) =>
      taskIn(plan({ practices: { ...DEFAULT_PRACTICES, feedAgain } }, { ...season, fourthMow: 62, done }), 'feedAgain')!
    const days = (feedAgain: Practices['feedAgain']) => daysBetween(SOW, of(feedAgain).to)
    // Schools of the trade: the second week, about week eight, after the fourth mowing. Common practice, no source.
    expect(days('second week')).toBeGreaterThanOrEqual(10 + 7)
    expect(days('second week')).toBeLessThanOrEqual(10 + 21)
    expect(Math.abs(days('second mowing') - 56)).toBeLessThanOrEqual(10)
    expect(days('fourth mowing')).toBeGreaterThanOrEqual(62)
    const said = (feedAgain: Practices['feedAgain'], mowings: number) =>
      of(
        feedAgain,
        new Map(
          Array.from({ length: mowings }, (_, i) => [
            i ? `mow-${i + 1}` : 'mow',
            { day: addDays(SOW, 40 + 7 * i), passed: true },
          ]),
        ),
      )
        .gates.map(({ text, state }) => `${state} ${told(text)}`)
        .join('; ')
    expect(said('second mowing', 1)).toContain('waiting 1 of 2 mowings')
    expect(said('second mowing', 2)).toContain('met 2 mowings')
    expect(said('fourth mowing', 2)).toContain('waiting 2 of 4 mowings')
    expect(said('second week', 0)).not.toContain('mowings')
  })

  test('thin spots are reseeded inside a sowing window, or in the next one', () => {
    const spots = (windows: ScheduleInput['windows']) =>
      taskIn(plan({}, { ...season, ...(windows ? { windows } : {}) }), 'weak')!.to
    expect(daysBetween(SOW, spots(undefined))).toBeLessThan(45)
    const autumn = { from: toDay('2026-08-20'), to: toDay('2026-09-30') }
    const spring = { from: toDay('2027-04-02'), to: toDay('2027-04-28') }
    expect(spots([autumn, spring]) >= spring.from && spots([autumn, spring]) <= spring.to).toBe(true)
  })

  // Common practice, no source: ryegrass for the winter is fed once it is up. Found: fed on the sowing day.
  test('winter color is fed three to four weeks after it is up, and not with the seed', () => {
    const winter = plan(
      { programme: 'winter', zone: { grass: 'BER', sward: 'BER' } },
      { firstMow: { early: 9, middle: 12, late: 18 }, firstGreen: { early: 4, middle: 5, late: 8 } },
    )
    expect(taskIn(winter, 'feed')).toBeUndefined()
    const after = daysBetween(taskIn(winter, 'green')!.to, taskIn(winter, 'winterFeed')!.to)
    expect(after).toBeGreaterThanOrEqual(21)
    expect(after).toBeLessThanOrEqual(28)
  })
})

describe('a pre-emergent on new seed', () => {
  const combined = (change: Partial<ScheduleInput> = {}, zone: Planned['zone'] = {}) =>
    plan({ practices: { preventer: 'combined' }, zone: zone ?? {} }, change)

  test('with the starter is an operation of its own, under the limits of both', () => {
    const schedule = combined()
    expect(taskIn(schedule, 'feed')).toBeUndefined()
    const task = taskIn(schedule, 'starterPreventer')!
    expect(task.wanted).toHaveLength(1)
    expect(task.gates.some(({ state }) => state === 'hold')).toBe(false)
    const fed = combined({ extent: { ...scheduleInput({}).extent, noSprays: true } })
    expect([taskIn(fed, 'starterPreventer'), taskIn(fed, 'feed') !== undefined]).toEqual([undefined, true])
  })

  // Labels, from memory: a yearly maximum counts every product with the active; bermuda is injured by both kinds.
  test('is held after another of this year, and by species', () => {
    const before = [{ ingredient: 'prodiamine', appliedOn: toDay('2026-03-20'), waitDays: 120 }]
    const hold = taskIn(combined({ applications: before }), 'starterPreventer')!.gates.find(
      ({ code }) => code === 'season',
    )
    expect(hold?.state).toBe('hold')
    const gates = (code: 'BER' | 'ZOY' | 'CRF' | 'TF') =>
      preEmergentGates([], { preEmergent: true }, SOW, planned({ zone: { grass: code } })).map(({ state }) => state)
    expect([gates('BER'), gates('ZOY'), gates('CRF'), gates('TF')]).toEqual([['hold'], ['risk'], ['risk'], []])
  })

  // Found: a pre-emergent was held when rain was due, which waters it in.
  test('wants rain, and no downpour; a spray on leaves wants none', () => {
    const forecast = (rainMm: number) =>
      [0, 1].map((i) => ({ day: addDays(SOW, i), tminC: 10, tmaxC: 22, rainMm: i ? 0 : rainMm, windKmh: 8 }))
    const rain = (what: 'soilSpray' | 'spray', mm: number) => forecastGates(what, SOW, forecast(mm))[0]!.state
    expect([rain('soilSpray', 0), rain('soilSpray', 10), rain('soilSpray', 40)]).toEqual(['waiting', 'met', 'hold'])
    expect([rain('spray', 0), rain('spray', 10)]).toEqual(['met', 'hold'])
  })
})
