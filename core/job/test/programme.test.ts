import { told } from '../../explain/test/told'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addDays, daysBetween, toDay, type Day } from '../../measure/calendar'
import { scalpSteps } from '../operations/scalping'
import { lagsOf } from '../schedule/constraints'
import { buildSchedule } from '../schedule/schedule'
import { plannedOf } from '../schedule/input'
import { operationsOf } from '../operations/planned'
import { partsOf, type PlannedZone } from '../parts'
import { PROGRAMME_CODES, type ProgrammeCode } from '../decision/programmes'
import { type Practices } from '../decision/practices'
import { doneOn, planned, scheduleInput, TODAY, ZONE, type Planned, lagsFor } from './ground'

const dayOf = (schedule: ReturnType<typeof buildSchedule>, code: string): Day =>
  schedule.tasks.find(({ operation }) => operation.code === code)!.to

describe('schedule', () => {
  test('work leads up to the sowing day, one machine a day, and the seedbed is closed on it', () => {
    const schedule = buildSchedule(scheduleInput())
    expect(
      ['scalp', 'dethatch', 'core', 'sow', 'rake', 'feed', 'cover', 'water', 'check', 'mow'].map((code) =>
        dayOf(schedule, code),
      ),
    ).toEqual([
      '2026-09-21',
      '2026-09-22',
      '2026-09-23',
      '2026-09-24',
      '2026-09-24',
      '2026-09-24',
      '2026-09-24',
      '2026-09-24',
      '2026-09-27',
      '2026-10-22',
    ])
    expect(schedule.troubles).toEqual([])
  })

  test('whatever the sowing day, no lag is broken and nothing left to do lies in the past', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), (ahead) => {
        const schedule = buildSchedule(scheduleInput({ sowOn: addDays(TODAY, ahead) }))
        for (const { from, to, leastDays, mostDays } of lagsFor('seeding').filter((lag) =>
          [lag.from, lag.to].every((code) => schedule.tasks.some(({ operation }) => operation.code === code)),
        )) {
          const days = daysBetween(dayOf(schedule, from), dayOf(schedule, to))
          expect(days).toBeGreaterThanOrEqual(leastDays)
          expect(days).toBeLessThanOrEqual(mostDays ?? 999)
        }
        for (const task of schedule.tasks)
          expect(task.to >= TODAY && task.earliest <= task.to && task.to <= task.latest).toBe(true)
      }),
    )
  })

  test('done work stays where it was done, and ground that lies open too long is said', () => {
    const done = doneOn(['scalp', toDay('2026-09-08')])
    const schedule = buildSchedule(scheduleInput({ done }))
    expect(dayOf(schedule, 'scalp')).toBe('2026-09-08')
    expect(told(schedule.troubles[0]!.text)).toContain('16 days lie between scalp and sow')
    expect(schedule.next?.operation.code).toBe('dethatch')
  })

  test('a sowing day that has passed asks to be moved', () => {
    expect(told(buildSchedule(scheduleInput({ sowOn: toDay('2026-09-01') })).troubles[0]!.text)).toContain('has passed')
  })

  test('half an inch of rain forecast for the four days after holds the sowing', () => {
    const wet = Array.from({ length: 6 }, (_, i) => ({
      day: addDays(toDay('2026-09-10'), i),
      tmaxC: 25,
      tminC: 12,
      rainMm: i === 2 ? 14 : 0,
    }))
    const gates = (forecast: typeof wet) =>
      buildSchedule(scheduleInput({ sowOn: toDay('2026-09-10'), forecast })).tasks.find(
        ({ operation }) => operation.code === 'sow',
      )!.gates
    expect(gates(wet).some(({ state }) => state === 'hold')).toBe(true)
    expect(gates(wet.map((day) => ({ ...day, rainMm: 2 }))).some(({ state }) => state === 'hold')).toBe(false)
  })

  test('rake-in and cover together are held against what the seed grows through', () => {
    const state = (coverMm?: number) =>
      buildSchedule(
        scheduleInput({
          parts: planned({ zone: { grass: 'KBG' }, settings: coverMm === undefined ? {} : { coverMm } }),
        }),
      )
        .tasks.find(({ operation }) => operation.code === 'cover')!
        .gates.find(({ text }) => told(text).startsWith('raked in and covered '))!.state
    expect(state(6)).toBe('hold')
    expect(state()).toBe('met')
  })

  test('scalping steps down by about a third, in four cuts at the most', () => {
    // Common practice, no source: two to four cuts, step by step.
    expect(scalpSteps(75, 25).heightsMm).toHaveLength(3)
    expect(scalpSteps(40, 50).heightsMm).toEqual([40])
    expect(scalpSteps(200, 10)).toMatchObject({ severe: true })
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 150, noNaN: true }),
        fc.double({ min: 5, max: 100, noNaN: true }),
        (present, lowest) => {
          const { heightsMm, severe } = scalpSteps(present, lowest)
          heightsMm.reduce((above, height) => {
            expect(height).toBeLessThanOrEqual(above + 1e-9)
            if (!severe) expect(height).toBeGreaterThanOrEqual((above * 2) / 3 - 1e-6)
            return height
          }, present)
        },
      ),
    )
  })
})

test('cuts that no longer fit two days apart are said, not squeezed in silence', () => {
  const parts = planned({ settings: { scalpToMm: 25 } })
  const soon = buildSchedule(scheduleInput({ parts, sowOn: addDays(TODAY, 4) }))
  expect(soon.troubles.map(({ text }) => told(text)).join(' ')).toContain(
    '3 cuts two days apart take 4 days; 1 is left',
  )
  expect(buildSchedule(scheduleInput({ parts, sowOn: addDays(TODAY, 7) })).troubles).toEqual([])
  expect(
    buildSchedule(scheduleInput({ parts, sowOn: addDays(TODAY, 4), done: doneOn(['scalp', TODAY]) })).troubles,
  ).toEqual([])
})

describe('every programme', () => {
  const HOLLOW = { deepestMm: 40, hollowM3: 0.5, hollowM2: 25 }
  const codes = (programme: ProgrammeCode, change: Planned = {}) =>
    operationsOf(planned({ programme, ...change })).map(({ operation }) => operation.code)

  test('has the operations its practice asks for', () => {
    // Common practice, no source.
    expect(codes('spot')).toEqual([
      'order',
      'locate',
      'loosen',
      'sow',
      'rake',
      'firm',
      'feed',
      'cover',
      'water',
      'check',
      'green',
      'mow',
      'close',
    ])
    expect(codes('overseed')).toEqual([
      'order',
      'locate',
      'scalp',
      'dethatch',
      'core',
      'delivery',
      'sow',
      'rake',
      'feed',
      'cover',
      'water',
      'check',
      'green',
      'mow',
      'weak',
      'weedControl',
      'feedAgain',
      'close',
      'nextSeason',
    ])
    expect(codes('kill', { zone: HOLLOW }).slice(0, 9)).toEqual([
      'kill1',
      'order',
      'kill2',
      'locate',
      'scalp',
      'dethatch',
      'scalpAgain',
      'core',
      'delivery',
    ])
    // With fresh soil no coring is needed; without it the ground is cored.
    expect(codes('strip')).not.toContain('core')
    expect(codes('strip')).toContain('level')
    expect(codes('strip', { practices: { loam: 'without' } })).toContain('core')
    // 40 mm take four lifts of half an inch.
    expect(codes('level', { zone: { grass: 'BER', ...HOLLOW } })).toEqual([
      'order',
      'locate',
      'scalp',
      'core',
      'delivery',
      'lift',
      'lift',
      'lift',
      'lift',
      'feed',
      'water',
      'nip',
      'recoveryMow',
      'recoveryFeed',
      'weedControl',
      'close',
    ])
    // No scarifying for winter colour.
    expect(codes('winter', { zone: { grass: 'BER' } })).toEqual([
      'order',
      'scalp',
      'clear',
      'sow',
      'rake',
      'water',
      'check',
      'green',
      'winterFeed',
      'mow',
      'feedAgain',
      'springGreenUp',
      'thinRyegrass',
      'springFeed',
    ])
  })

  test('is laid out with every lag held, from any day that leaves it time', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PROGRAMME_CODES),
        fc.integer({ min: 30, max: 90 }),
        fc.boolean(),
        fc.constantFrom('after', 'before'),
        fc.constantFrom('at sowing', 'after first mow'),
        (programme, ahead, hollow, coreOrder, feedWhen) => {
          const parts = planned({
            programme,
            zone: hollow ? HOLLOW : {},
            practices: { coreOrder, feedWhen } as Partial<Practices>,
          })
          const of = scheduleInput({ parts, sowOn: addDays(TODAY, ahead) })
          const { tasks, troubles } = buildSchedule(of)
          expect(troubles).toEqual([])
          const day = new Map(tasks.map(({ key, to }) => [key, to]))
          for (const { from, to, leastDays, mostDays } of lagsOf(of, plannedOf(of))) {
            const between = daysBetween(day.get(from)!, day.get(to)!)
            expect([from, to, between >= leastDays && between <= (mostDays ?? 999)]).toEqual([from, to, true])
          }
          if (day.has('core') && day.has('dethatch'))
            expect(
              Math.sign(daysBetween(day.get('dethatch')!, day.get('core')!)) * (coreOrder === 'after' ? 1 : -1),
            ).toBeGreaterThanOrEqual(0)
          if (day.has('mow') && day.has('feed') && feedWhen === 'after first mow')
            expect(day.get('feed')! > day.get('sow')!).toBe(true)
          expect(tasks.map(({ to }) => to)).toEqual(tasks.map(({ to }) => to).sort())
        },
      ),
    )
  })

  test('two sprays begin 24 days or more before sowing, and a day too soon says so', () => {
    // Reference §12: 14 days between sprays, then 7 of the label, then up to the scalp.
    const { tasks } = buildSchedule(scheduleInput({ parts: planned({ programme: 'kill' }), sowOn: addDays(TODAY, 40) }))
    expect(
      daysBetween(
        tasks.find(({ operation }) => operation.code === 'kill1')!.to,
        tasks.find(({ operation }) => operation.code === 'sow')!.to,
      ),
    ).toBeGreaterThanOrEqual(24)
    expect(
      told(
        buildSchedule(scheduleInput({ parts: planned({ programme: 'kill' }), sowOn: addDays(TODAY, 10) })).troubles[0]!
          .text,
      ),
    ).toContain('do not hold the whole schedule')
  })

  test('zones treated otherwise share the visits, each with its own ground', () => {
    const zones: PlannedZone[] = [
      { zone: ZONE, programme: 'overseed' },
      {
        zone: {
          ...ZONE,
          id: 'b',
          name: 'Gate',
          areaM2: 60,
          desirableShare: 0.92,
          weedShare: 0.02,
          coarseShare: 0,
          bareShare: 0.06,
        },
        programme: 'spot',
      },
    ]
    const both = partsOf(zones, planned()[0]!.settings, { texture: 'loam', practices: planned()[0]!.practices })
    const { tasks } = buildSchedule(scheduleInput({ parts: both }))
    const sow = tasks.filter(({ operation }) => operation.code === 'sow')
    expect(sow).toHaveLength(1)
    expect(told(sow[0]!.settings)).toMatch(/^Lawn: .* Gate: /)
    expect(both[1]!.survey.areaM2).toBeCloseTo(3.6, 9)
    expect(tasks.some(({ operation }) => operation.code === 'loosen')).toBe(true)
    expect(sow[0]!.hours.value).toBeGreaterThan(
      buildSchedule(scheduleInput()).tasks.find(({ operation }) => operation.code === 'sow')!.hours.value,
    )
  })
})
