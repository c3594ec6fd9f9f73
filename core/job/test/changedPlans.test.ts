import { told } from '../../explain/test/told'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { ForecastDay } from '../../weather/weather'
import { addDays, daysBetween, toDay, weekdayIndex, type Day } from '../../measure/calendar'
import { anchorOf } from '../operations/planned'
import { anchorCode } from '../operations/registry'
import { PROGRAMME_CODES, type ProgrammeCode } from '../decision/programmes'
import { buildSchedule, type Schedule } from '../schedule/schedule'
import { lagsOf } from '../schedule/constraints'
import { plannedOf, type ScheduleInput } from '../schedule/input'
import { doneOn, planned, PLANNING_FIGURES, scheduleInput, TODAY } from './ground'

const MONDAY_TO_FRIDAY = [1, 2, 3, 4, 5]
const at = ({ tasks }: Schedule, key: string): Day => tasks.find((task) => task.key === key)!.to

const programmes = fc.constantFrom(...PROGRAMME_CODES)
const anyPlan = fc.record({
  programme: programmes,
  ahead: fc.integer({ min: 45, max: 90 }),
  workingDays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 7 }),
})
const laid = (programme: ProgrammeCode, change: Partial<ScheduleInput>) =>
  scheduleInput({ parts: planned({ programme, zone: { deepestMm: 30, hollowM3: 0.3, hollowM2: 20 } }), ...change })

describe('a plan that is changed', () => {
  test('leaves what is done where it was, and breaks no lag', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.integer({ min: 0, max: 6 }),
        fc.integer({ min: -4, max: 9 }),
        ({ programme, ahead, workingDays }, nth, shift) => {
          const before = buildSchedule(laid(programme, { sowOn: addDays(TODAY, ahead), workingDays }))
          const [made] = before.tasks.filter(({ operation }) => operation.phase === 'work').slice(nth % 3)
          const done = doneOn([made!.key, made!.to])
          const agreed = new Map(before.tasks.map(({ key, to }) => [key, to]))
          const of = laid(programme, {
            sowOn: addDays(TODAY, ahead + shift),
            workingDays,
            done,
            agreed,
            today: made!.to,
          })
          const after = buildSchedule(of)
          expect(at(after, made!.key)).toBe(made!.to)
          if (after.troubles.length) return
          const day = new Map(after.tasks.map(({ key, to }) => [key, to]))
          for (const { from, to, leastDays, mostDays } of lagsOf(of, plannedOf(of))) {
            const between = daysBetween(day.get(from)!, day.get(to)!)
            expect([from, to, between >= leastDays && between <= (mostDays ?? Infinity)]).toEqual([from, to, true])
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  test('without any change stays as it was agreed', () => {
    fc.assert(
      fc.property(anyPlan, ({ programme, ahead, workingDays }) => {
        const sowOn = addDays(TODAY, ahead)
        const before = buildSchedule(laid(programme, { sowOn, workingDays }))
        const after = buildSchedule(
          laid(programme, { sowOn, workingDays, agreed: new Map(before.tasks.map(({ key, to }) => [key, to])) }),
        )
        expect(after.moves).toEqual([])
      }),
      { numRuns: 40 },
    )
  })

  test('moves as little as it can, and says of each day why', () => {
    const before = buildSchedule(scheduleInput({ workingDays: MONDAY_TO_FRIDAY }))
    const agreed = new Map(before.tasks.map(({ key, to }) => [key, to]))
    // 21 September is the day of the scalp: rain on it moves the scalp, and nothing that does not hang on it.
    const forecast: ForecastDay[] = Array.from({ length: 5 }, (_, i) => ({
      day: addDays(toDay('2026-09-20'), i),
      tmaxC: 22,
      tminC: 10,
      rainMm: i === 1 ? 9 : 0,
      windKmh: 6,
    }))
    const wet = buildSchedule(
      scheduleInput({ workingDays: MONDAY_TO_FRIDAY, agreed, forecast, today: toDay('2026-09-20') }),
    )
    expect(wet.moves.map(({ key }) => key)).toEqual(['scalp'])
    expect(told(wet.moves[0]!.why)).toContain('of rain that day')
    // A holiday moves what stood on it.
    const holiday = buildSchedule(
      scheduleInput({ workingDays: MONDAY_TO_FRIDAY, agreed, holidays: new Set([agreed.get('dethatch')!]) }),
    )
    expect(holiday.moves.map(({ key, why }) => [key, told(why).includes('holiday')])).toContainEqual(['dethatch', true])
    // A later sowing day draws the work after it, and the reason is a limit or the day itself.
    const later = buildSchedule(scheduleInput({ workingDays: MONDAY_TO_FRIDAY, agreed, sowOn: toDay('2026-09-30') }))
    expect(later.moves.find(({ key }) => key === 'sow')!.why).toMatchObject({ key: 'schedule.theDayWasMoved' })
    expect(told(later.moves.find(({ key }) => key === 'dethatch')!.why)).toContain('no more than 5 days before sow')
  })

  test('takes work of one’s own in, whatever id it has', () => {
    fc.assert(
      fc.property(fc.uuid(), fc.integer({ min: 0, max: 40 }), (id, ahead) => {
        const key = `own-${id}`
        const { tasks } = buildSchedule(
          scheduleInput({
            own: { [key]: { name: 'Borrow the roller', day: addDays(TODAY, ahead), hours: 1, note: '' } },
          }),
        )
        expect(told(tasks.find((task) => task.key === key)!.name)).toBe('Borrow the roller')
      }),
      {
        examples: [
          ['12345678-0000-4000-8000-000000000000', 7],
          ['99e12345-0000-4000-8000-000000000000', 7],
        ],
      },
    )
  })

  test('keeps a day chosen by hand, and says what it breaks', () => {
    const pinned = buildSchedule(scheduleInput({ pins: new Map([['dethatch', toDay('2026-09-21')]]) }))
    expect(at(pinned, 'dethatch')).toBe('2026-09-21')
    expect(at(pinned, 'scalp') <= '2026-09-21').toBe(true)
    expect(pinned.troubles).toEqual([])
    const early = buildSchedule(scheduleInput({ pins: new Map([['dethatch', toDay('2026-09-12')]]) }))
    expect(at(early, 'dethatch')).toBe('2026-09-12')
    expect(told(early.troubles[0]!.text)).toContain('12 days lie between dethatch and sow')
  })

  test('soil for a dip comes on the van, a heap is delivered', () => {
    const delivered = (hollowM3: number) =>
      buildSchedule(
        scheduleInput({
          parts: planned({ zone: { deepestMm: 30, hollowM3, hollowM2: 20 }, settings: { coverMaterial: 'straw' } }),
        }),
      ).tasks.some(({ key }) => key === 'delivery')
    // With 15 % for settling: 0.06 and 0.58 m³, against three barrow loads of 0.08 m³ (own).
    expect([delivered(0.05), delivered(0.5)]).toEqual([false, true])
  })

  test('a late delivery pushes the levelling, and the seed only by what has to lie between', () => {
    const hollow = { deepestMm: 30, hollowM3: 0.5, hollowM2: 20 }
    const late = buildSchedule(
      scheduleInput({ parts: planned({ zone: hollow }), pins: new Map([['delivery', toDay('2026-09-23')]]) }),
    )
    expect([at(late, 'level'), late.troubles]).toEqual(['2026-09-23', []])
    const tooLate = buildSchedule(
      scheduleInput({ parts: planned({ zone: hollow }), pins: new Map([['delivery', toDay('2026-09-24')]]) }),
    )
    expect(told(tooLate.troubles[0]!.text)).toContain('1 day from level to sow')
    // Sown a day later it fits: that day is offered.
    expect(tooLate.troubles[0]!.sowOn).toBe('2026-09-25')
  })

  test('never begins earlier because a limit got tighter', () => {
    fc.assert(
      fc.property(
        anyPlan,
        fc.constantFrom('levelRest', 'labelWait', 'killAgain', 'liftGrow', 'checkFirst'),
        fc.integer({ min: 1, max: 4 }),
        ({ programme, ahead }, wait, more) => {
          const of = laid(programme, { sowOn: addDays(TODAY, ahead) })
          const tight = buildSchedule({
            ...of,
            planning: { ...PLANNING_FIGURES, [wait]: PLANNING_FIGURES[wait as 'levelRest'] + more },
          })
          const usual = buildSchedule(of)
          const anchor = anchorCode(anchorOf(of.parts))
          for (const task of tight.tasks) {
            const was = usual.tasks.find(({ key }) => key === task.key)!
            // Counted from the anchor a tighter wait leaves less room: nothing after it may come sooner, nothing
            // before it later.
            if (daysBetween(at(usual, anchor), was.earliest) >= 0)
              expect([task.key, task.earliest >= was.earliest]).toEqual([task.key, true])
            else expect([task.key, task.latest <= was.latest]).toEqual([task.key, true])
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  test('falls on days off only where nothing else is left', () => {
    fc.assert(
      fc.property(fc.integer({ min: 14, max: 60 }), (ahead) => {
        const sowOn = addDays(TODAY, ahead)
        if (!MONDAY_TO_FRIDAY.includes(weekdayIndex(sowOn))) return
        const { tasks } = buildSchedule(scheduleInput({ sowOn, workingDays: MONDAY_TO_FRIDAY }))
        for (const { key, to } of tasks) expect([key, MONDAY_TO_FRIDAY.includes(weekdayIndex(to))]).toEqual([key, true])
      }),
    )
  })
})

// Found: with every day that passed, what was missed was dated anew to some other past day.
test('what was missed stays on the day it was missed, however late it gets', () => {
  const parts = planned()
  const extent = { ...scheduleInput().extent, soilTested: false }
  const input = (change: Partial<ScheduleInput>) => ({
    ...scheduleInput({ parts, extent, sowOn: addDays(TODAY, 16), ...change }),
    skipped: {},
  })
  const first = buildSchedule(input({})).tasks
  const agreed = new Map(first.map(({ key, to }) => [key, to]))
  for (const later of [6, 20, 40, 60, 90]) {
    const today = addDays(TODAY, later)
    const sown = first.filter(({ key, to }) => later >= 20 && key !== 'soilTest' && to <= addDays(TODAY, 16))
    const { moves, tasks } = buildSchedule(
      input({ today, agreed, done: doneOn(...sown.map(({ key, to }): [string, Day] => [key, to])) }),
    )
    expect(moves.filter(({ to }) => to < today)).toEqual([])
    for (const task of tasks.filter(({ overdue }) => overdue))
      expect([task.key, task.to]).toEqual([task.key, agreed.get(task.key)])
    for (const { overdue, nextDay } of tasks) expect(nextDay === undefined).toBe(!overdue)
  }
})

test('missed work is offered the next day it fits, and said to be too late where it fits none', () => {
  const sowOn = addDays(TODAY, 16)
  const first = buildSchedule(scheduleInput({ sowOn })).tasks
  const agreed = new Map(first.map(({ key, to }) => [key, to]))
  const sown = doneOn(...first.filter(({ to }) => to <= sowOn).map(({ key, to }): [string, Day] => [key, to]))
  // Seed is looked at within a week, while it can still be saved; six weeks later that is no first check any more.
  const late = buildSchedule(scheduleInput({ sowOn, agreed, done: sown, today: addDays(sowOn, 42) })).tasks
  expect(late.find(({ key }) => key === 'check')).toMatchObject({ overdue: true, nextDay: null })
  // A soil sample can be taken any day once the seed is down: nothing waits for it any more.
  const sampled = { ...scheduleInput().extent, soilTested: false }
  const monday = toDay('2026-09-28')
  const test = buildSchedule(
    scheduleInput({
      sowOn,
      extent: sampled,
      agreed: new Map([...agreed, ['soilTest', addDays(TODAY, 1)]]),
      done: sown,
      today: addDays(monday, -2),
      workingDays: MONDAY_TO_FRIDAY,
    }),
  ).tasks.find(({ key }) => key === 'soilTest')
  expect(test).toMatchObject({ overdue: true, to: addDays(TODAY, 1), nextDay: monday })
})
