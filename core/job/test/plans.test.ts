import { told } from '../../explain/test/told'
import { describe, expect, test } from 'vitest'
import { addDays, daysBetween, toDay, type Day } from '../../measure/calendar'
import { buildSchedule, type Schedule } from '../schedule/schedule'
import { type ScheduleInput } from '../schedule/input'
import { doneOn, planned, scheduleInput, TODAY, type Planned } from './ground'

const at = ({ tasks }: Schedule, key: string): Day => tasks.find((task) => task.key === key)!.to
/** Days from the anchor on which each task lies. */
const offsets = (schedule: Schedule, keys: readonly string[]) => {
  const anchor = schedule.tasks.find(({ key }) => key === 'sow' || key === 'lift')!.to
  return Object.fromEntries(keys.map((key) => [key, daysBetween(anchor, at(schedule, key))]))
}
/** A plan with everything still to be got ready. */
const whole = (plan: Planned, change: Partial<ScheduleInput> = {}) =>
  buildSchedule({ ...scheduleInput({ parts: planned(plan), ...change }), skipped: change.skipped ?? {} })

/**
 * Northern autumn, and the same half a year on in the south: nothing but the date and the season's figures may
 * differ.
 */
const HEMISPHERES = [
  { name: 'northern', today: toDay('2026-08-01'), sowOn: toDay('2026-09-16') },
  { name: 'southern', today: toDay('2027-02-01'), sowOn: toDay('2027-03-19') },
]

// Offsets are argued from common practice, no source, unless the line says otherwise.
describe.each(HEMISPHERES)('whole plans, $name autumn', ({ today, sowOn }) => {
  const plan = (of: Planned, change: Partial<ScheduleInput> = {}) => whole(of, { today, sowOn, ...change })

  test('overseeding: three weeks of soil test and order, then a machine a day, and seedlings seen in time', () => {
    const days = offsets(
      plan(
        {},
        {
          extent: {
            soilTested: false,
            dryGround: true,
            autumnAhead: false,
            dormant: false,
            leavesFall: false,
            added: [],
          },
        },
      ),
      [
        'soilTest',
        'order',
        'locate',
        'waterAhead',
        'scalp',
        'dethatch',
        'core',
        'rake',
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
      ],
    )
    expect(days).toMatchObject({
      soilTest: -21,
      order: -14,
      scalp: -3,
      dethatch: -2,
      core: -1,
      rake: 0,
      cover: 0,
      water: 0,
      mow: 28,
    })
    // Lines are marked five days and more before the first steel, two weeks at the most.
    expect(days.locate).toBeLessThanOrEqual(days.dethatch! - 5)
    expect(days.locate).toBeGreaterThanOrEqual(days.core! - 14)
    // Watered one to three days before the tines.
    expect(days.core! - days.waterAhead!).toBeGreaterThanOrEqual(1)
    expect(days.check).toBeGreaterThanOrEqual(2)
    expect(days.check).toBeLessThanOrEqual(5)
    // Weak spots two to four weeks after it is up; weed control after the fourth mowing; eight weeks to the next feed.
    expect(days.weak! - days.green!).toBeGreaterThanOrEqual(14)
    expect(days.weak! - days.green!).toBeLessThanOrEqual(28)
    expect(days.weedControl! - days.mow!).toBeGreaterThanOrEqual(21)
    expect(Math.abs(days.feedAgain! - 56)).toBeLessThanOrEqual(10)
    expect(days.close).toBeGreaterThanOrEqual(42)
    expect(days.nextSeason).toBeGreaterThan(180)
  })

  test('killing: two sprays two weeks and more apart, a week of label and browning, brown ground for three weeks at the most', () => {
    const days = offsets(plan({ programme: 'kill', zone: { deepestMm: 80, hollowM3: 1, hollowM2: 25 } }), [
      'kill1',
      'kill2',
      'scalp',
      'dethatch',
      'delivery',
      'level',
    ])
    expect(days.kill2! - days.kill1!).toBeGreaterThanOrEqual(14)
    expect(days.kill2! - days.kill1!).toBeLessThanOrEqual(35)
    // 76 mm down to 25 mm is three cuts two days apart, and the label and browning end before the first.
    const firstCut = days.scalp! - 4
    expect(firstCut - days.kill2!).toBeGreaterThanOrEqual(7)
    expect(firstCut - days.kill2!).toBeLessThanOrEqual(21)
    // On killed ground the hollow is filled at once, a day and more before the seed: firmed, then dragged again.
    expect(days.level).toBeLessThanOrEqual(-1)
    expect(days.delivery).toBeLessThanOrEqual(days.level!)
    expect(days.delivery).toBeGreaterThanOrEqual(days.dethatch!)
  })

  test('a third spray for what regrew pushes the scalp, and says when it no longer fits', () => {
    const extent = {
      soilTested: true,
      dryGround: false,
      autumnAhead: false,
      dormant: false,
      leavesFall: false,
      added: ['kill3'] as const,
    }
    const days = offsets(plan({ programme: 'kill' }, { extent }), ['kill1', 'kill2', 'kill3', 'scalp'])
    expect(days.kill3! - days.kill2!).toBeGreaterThanOrEqual(10)
    expect(days.scalp! - 4 - days.kill3!).toBeGreaterThanOrEqual(7)
    const late = plan(
      { programme: 'kill' },
      {
        extent,
        today: addDays(sowOn, -9),
        done: doneOn(['kill1', addDays(sowOn, -28)], ['kill2', addDays(sowOn, -11)]),
      },
    )
    expect(told(late.troubles[0]!.text)).toContain('11 days from herbicide, 3rd application to scalp')
    // Regrowth shows ten days after the second spray; a week of label later comes the first of three cuts, with the
    // last of them the seed.
    expect(late.troubles[0]!.sowOn).toBe(addDays(sowOn, -11 + 10 + 7 + 4))
  })

  test('hard renovation and stripping: as overseeding, but no coring under new loam', () => {
    expect(offsets(plan({ programme: 'hard' }), ['scalp', 'dethatch', 'core'])).toEqual({
      scalp: -3,
      dethatch: -2,
      core: -1,
    })
    const strip = plan({ programme: 'strip' })
    expect(strip.tasks.some(({ key }) => key === 'core')).toBe(false)
    const days = offsets(strip, ['dethatch', 'delivery', 'level'])
    expect(days.dethatch! <= days.delivery! && days.delivery! <= days.level! && days.level! <= -1).toBe(true)
  })

  test('spot repair: loosened the day before, no machine but the fork', () => {
    const spot = plan({ programme: 'spot' })
    expect(offsets(spot, ['loosen', 'check', 'mow'])).toMatchObject({ loosen: -1, mow: 28 })
    expect(spot.tasks.some(({ key }) => key === 'scalp' || key === 'dethatch')).toBe(false)
  })

  test('winter colour: mown short, leaves out the day before, shaken down, fed after a month and again a month on', () => {
    const winter = plan(
      { programme: 'winter', zone: { grass: 'BER', sward: 'BER' } },
      { firstMow: { early: 9, middle: 12, late: 18 }, firstGreen: { early: 4, middle: 5, late: 8 } },
    )
    const days = offsets(winter, ['scalp', 'clear', 'rake', 'mow', 'winterFeed', 'feedAgain'])
    expect(days).toMatchObject({ scalp: -3, clear: -1, rake: 0, mow: 12 })
    // Reference §4: 30 days on sand; a visit that it can share with the mowing is not far.
    expect(days.winterFeed).toBeGreaterThanOrEqual(28)
    expect(days.winterFeed).toBeLessThanOrEqual(33)
    expect(days.feedAgain! - days.winterFeed!).toBeGreaterThanOrEqual(28)
  })

  test('levelling in growth: lifts of half an inch two weeks apart, nipped after nine days, and the last in time before dormancy', () => {
    const ground: Planned = {
      programme: 'level',
      zone: { grass: 'BER', sward: 'HBER', deepestMm: 34, hollowM3: 0.4, hollowM2: 25 },
    }
    const level = plan(ground, { growsUntil: addDays(sowOn, 60) })
    // 34 mm are three lifts.
    expect(offsets(level, ['lift', 'lift-2', 'lift-3'])).toEqual({ lift: 0, 'lift-2': 14, 'lift-3': 28 })
    const days = offsets(level, ['scalp', 'core', 'water', 'nip', 'recoveryFeed'])
    expect(days.water).toBe(0)
    expect(days.nip! - 28).toBe(9)
    expect(days.core).toBeLessThanOrEqual(0)
    const late = plan(ground, { growsUntil: addDays(sowOn, 20) })
    expect(late.troubles.map(({ text }) => told(text)).join(' ')).toContain('turf grows through a dressing only until')
    // 28 days from the first lift to the third: begun eight days sooner it fits.
    expect(late.troubles[0]!.sowOn).toBe(addDays(sowOn, 20 - 28))
  })

  test('warm-season overseeding, and ground cleared for bermuda, which is killed the autumn before and again in spring', () => {
    expect(
      offsets(plan({ programme: 'warm', zone: { grass: 'BER', sward: 'BER' } }), ['scalp', 'dethatch', 'core']),
    ).toEqual({ scalp: -3, dethatch: -2, core: -1 })
    const spring = {
      today: addDays(sowOn, -260),
      extent: { soilTested: true, dryGround: false, autumnAhead: true, dormant: false, leavesFall: false, added: [] },
    }
    const days = offsets(plan({ programme: 'kill', zone: { grass: 'BER', sward: 'MIX' } }, spring), [
      'killAutumn',
      'kill1',
      'kill2',
    ])
    expect(days.killAutumn).toBeLessThanOrEqual(-200)
    expect(days.kill1! - days.killAutumn!).toBeGreaterThanOrEqual(90)
    expect(days.kill2! - days.kill1!).toBeGreaterThanOrEqual(14)
  })

  test('a deep hollow under living turf is lifted and filled before anything else, and slits take the place of tearing and raking', () => {
    const deep = plan({ zone: { deepestMm: 110, hollowM3: 1.2, hollowM2: 20 } })
    expect(at(deep, 'relay') <= at(deep, 'scalp')).toBe(true)
    const slit = plan({ practices: { sowing: 'slit' } })
    expect(told(slit.tasks.find(({ key }) => key === 'sow')!.name)).toBe('Slit-seed')
    expect(slit.tasks.some(({ key }) => key === 'dethatch' || key === 'rake')).toBe(false)
    // Where the old sward is to be torn out, slits do not do it.
    expect(plan({ programme: 'hard', practices: { sowing: 'slit' } }).tasks.some(({ key }) => key === 'dethatch')).toBe(
      true,
    )
  })

  test('fleece comes off when green shows, sixteen days at the most', () => {
    const fleece = plan({ settings: { coverMaterial: 'fleece', coverMm: 1 } })
    const days = offsets(fleece, ['green', 'uncover'])
    expect(days.uncover).toBeGreaterThanOrEqual(days.green!)
    expect(days.uncover).toBeLessThanOrEqual(16)
  })
})

// Found: where seed comes up late, a second feeding lay weeks before the first mowing that it waits for.
test('a second feeding comes with the first mowing or after it, however late that is', () => {
  for (const middle of [28, 60, 95, 160]) {
    const late = whole({}, { firstMow: { early: middle - 8, middle, late: middle + 20 } })
    expect(daysBetween(at(late, 'mow'), at(late, 'feedAgain'))).toBeGreaterThanOrEqual(0)
  }
})

describe('seed that is to lie until spring', () => {
  test('is neither watered in nor looked at in its first days, and is told of its losses', () => {
    const extent = {
      soilTested: true,
      dryGround: false,
      autumnAhead: false,
      dormant: true,
      leavesFall: false,
      added: [],
    }
    const { tasks } = buildSchedule(
      scheduleInput({
        sowOn: toDay('2026-12-10'),
        extent,
        firstGreen: { early: 100, middle: 115, late: 130 },
        firstMow: { early: 140, middle: 155, late: 170 },
      }),
    )
    expect(tasks.some(({ key }) => key === 'water' || key === 'check')).toBe(false)
    expect(tasks.find(({ key }) => key === 'sow')!.gates.some(({ code }) => code === 'dormant')).toBe(true)
    // Counted from spring: the first green in its window, the mowing after it.
    expect(daysBetween(toDay('2026-12-10'), tasks.find(({ key }) => key === 'green')!.to)).toBeGreaterThanOrEqual(100)
    expect(tasks.find(({ key }) => key === 'mow')!.to > tasks.find(({ key }) => key === 'green')!.to).toBe(true)
  })
})

describe('zones that go separate ways', () => {
  test('are laid as one run: what can be shared is one visit, what cannot has its own', () => {
    const [front, back] = [planned({ programme: 'overseed' })[0]!, planned({ programme: 'kill' })[0]!]
    const both = buildSchedule(scheduleInput({ parts: [front, back], today: addDays(TODAY, -30) }))
    const visits = new Set(both.tasks.filter(({ operation }) => operation.phase === 'work').map(({ to }) => to))
    const alone = [front, back].map((part) =>
      buildSchedule(scheduleInput({ parts: [part], today: addDays(TODAY, -30) }))
        .tasks.filter(({ operation }) => operation.phase === 'work')
        .map(({ to }) => to),
    )
    // No more days on the lawn than the two plans beside each other, and no fewer than the longer of them needs.
    expect(visits.size).toBeLessThanOrEqual(new Set(alone.flat()).size)
    expect(visits.size).toBeGreaterThanOrEqual(Math.max(...alone.map((days) => new Set(days).size)))
    expect(both.tasks.filter(({ key }) => key === 'scalp')).toHaveLength(1)
    expect(both.tasks.find(({ key }) => key === 'kill1')!.settings.key).not.toBe('operations.perPart')
  })
})
