import { say } from '../../explain/message'
import { told } from '../../explain/test/told'
import { describe, expect, test } from 'vitest'
import type { ForecastDay } from '../../weather/weather'
import { addDays, toDay, type Day } from '../../measure/calendar'
import { buildSchedule } from '../schedule/schedule'
import type { ScheduleInput } from '../schedule/input'
import { doneOn, planned, scheduleInput, TODAY } from './ground'

describe('gates of a task', () => {
  const task = (key: string, change: Partial<ScheduleInput>) =>
    buildSchedule({ ...scheduleInput(change), skipped: {} }).tasks.find((one) => one.key === key)!
  const codes = (key: string, change: Partial<ScheduleInput>) =>
    task(key, change)
      .gates.filter(({ state }) => state === 'hold')
      .map(({ code }) => code)
  const onTheDay = {
    today: toDay('2026-09-22'),
    sowOn: toDay('2026-09-24'),
    done: doneOn(['order', toDay('2026-09-01')], ['scalp', toDay('2026-09-21')]),
  }

  test('no steel goes into ground whose lines are not located, and no note overrules that', () => {
    expect(codes('dethatch', onTheDay)).toEqual(['services'])
    expect(task('dethatch', { ...onTheDay, overruled: { 'dethatch:services': 'in a hurry' } }).stand).toBe('hold')
    expect(
      codes('dethatch', {
        ...onTheDay,
        done: doneOn(['order', toDay('2026-09-01')], ['scalp', toDay('2026-09-21')], ['locate', toDay('2026-09-14')]),
      }),
    ).toEqual([])
  })

  test('work whose forerunner did not pass its check holds, until a note or a better look', () => {
    const failed = new Map([
      ...doneOn(['order', toDay('2026-09-01')], ['locate', toDay('2026-09-14')]),
      ['scalp', { day: toDay('2026-09-21'), passed: false }] as const,
    ])
    expect(codes('dethatch', { ...onTheDay, done: failed })).toEqual(['check'])
    expect(
      task('dethatch', {
        ...onTheDay,
        done: failed,
        overruled: { 'dethatch:check': 'the mat comes off with the machine' },
      }).gates.find(({ code }) => code === 'check')!.overruled,
    ).toContain('mat')
  })

  test('a label holds the sowing whatever is noted, and says from when on it may', () => {
    const applications = [
      { ingredient: 'prodiamine', product: '', rate: '', appliedOn: toDay('2026-08-01'), waitDays: 122 },
    ]
    const sow = task('sow', { applications, overruled: { 'sow:label': 'never mind' } })
    expect(sow.gates.find(({ code }) => code === 'label')).toMatchObject({
      state: 'hold',
      binding: true,
      again: '2026-12-01',
    })
    expect(sow.stand).toBe('hold')
  })

  test('dormant turf is not sprayed nor dressed, hardly growing turf at a risk, growing turf is', () => {
    const states = (soilC: number) =>
      task('kill1', {
        parts: planned({ programme: 'kill' }),
        sowOn: addDays(TODAY, 50),
        soilOn: () => soilC,
      }).gates.find(({ code, text }) => code === 'growth' || told(text).startsWith('growing'))!.state
    // Cool-season grass grows from 10 °C of soil on: common practice, no source.
    expect([3, 8, 14].map(states)).toEqual(['hold', 'risk', 'met'])
  })

  test('a forecast holds scalping on wet grass and tearing in a heat wave', () => {
    const told = (change: Partial<ForecastDay>) =>
      Array.from({ length: 6 }, (_, i) => ({
        day: addDays(toDay('2026-09-20'), i),
        tmaxC: 24,
        tminC: 12,
        rainMm: 0,
        windKmh: 6,
        ...change,
      }))
    const held = (key: string, change: Partial<ForecastDay>) =>
      codes(key, {
        ...onTheDay,
        today: toDay('2026-09-20'),
        done: doneOn(['order', toDay('2026-09-01')], ['locate', toDay('2026-09-10')]),
        forecast: told(change),
      })
    expect(held('scalp', { rainMm: 4 })).toContain('surface')
    expect(held('dethatch', { tmaxC: 36 })).toContain('heat')
    expect(held('dethatch', {})).toEqual([])
  })
})

describe('hours of an operation', () => {
  const hours = (pace: ScheduleInput['pace']) =>
    buildSchedule(scheduleInput({ pace })).tasks.find(({ key }) => key === 'dethatch')!.hours
  test('are the firm’s own from three jobs on, and ours until then', () => {
    const ours = hours({}).value
    expect(hours({ dethatch: { m2PerCrewH: 100, jobs: 2 } }).value).toBe(ours)
    // 612 m² at 100 m² a crew hour.
    expect(hours({ dethatch: { m2PerCrewH: 100, jobs: 3 } }).value).toBeCloseTo(6.12, 9)
    expect(hours({ core: { m2PerCrewH: 100, jobs: 9 } }).value).toBe(ours)
  })
  test('of work that is begun are those that are left', () => {
    const whole = hours({}).value
    const begun = buildSchedule(
      scheduleInput({ begun: new Map([['dethatch', { share: 0.25, day: TODAY }]]) }),
    ).tasks.find(({ key }) => key === 'dethatch')!
    expect(begun.hours.value).toBeCloseTo(whole * 0.75, 9)
    expect(begun.begun!.share).toBe(0.25)
  })
})

describe('what is marked', () => {
  const sown = scheduleInput().sowOn
  const find = (change: Parameters<typeof scheduleInput>[0], key: string) =>
    buildSchedule(scheduleInput(change)).tasks.find((task) => task.key === key)!

  test('asks first where what should come before is open, and no more once that is done or left out', () => {
    expect(find({}, 'sow').openBefore.map((name) => told(name))).toEqual(['Core aerate', 'Dethatch', 'Scalp'])
    const done = doneOn(['scalp', TODAY], ['dethatch', TODAY])
    expect(find({ done }, 'sow').openBefore.map((name) => told(name))).toEqual(['Core aerate'])
    expect(find({ done, skipped: { core: 'soft ground' } }, 'sow').openBefore).toEqual([])
  })

  test('a sample that was sent off and its results are two facts', () => {
    const results = (soilTested: boolean, sampled: boolean) =>
      find(
        {
          extent: { ...scheduleInput().extent, soilTested },
          done: sampled ? doneOn(['soilTest', TODAY]) : new Map(),
        },
        'feed',
      ).gates.some(({ state, text }) => state === 'waiting' && /its results go into Look/.test(told(text)))
    expect([results(false, true), results(true, true), results(false, false)]).toEqual([true, false, false])
  })

  // Found: weed control said "go" from its day on, and a mowing after the first could not be recorded.
  test('weed control waits until four mowings are recorded, which can be from the first one on', () => {
    const mown = (...keys: string[]) =>
      find(
        {
          done: doneOn(['sow', sown], ...keys.map((key): [string, Day] => [key, addDays(sown, 30)])),
          today: addDays(sown, 60),
        },
        'weedControl',
      )
    const counted = (...keys: string[]) => mown(...keys).gates.find(({ text }) => /mowings recorded/.test(told(text)))!
    expect(mown().turn).toBeUndefined()
    expect(counted('mow')).toMatchObject({ state: 'waiting', text: { values: { count: 1, least: 4 } } })
    expect(mown('mow').turn).toEqual({ next: 'mow-2', words: say('operations.mowingNumber', { number: 2 }) })
    expect(mown('mow', 'mow-2', 'mow-3').turn).toEqual({
      next: 'mow-4',
      words: say('operations.mowingNumber', { number: 4 }),
      last: 'mow-3',
    })
    expect(counted('mow', 'mow-2', 'mow-3', 'mow-4')).toMatchObject({ state: 'met' })
  })
})
