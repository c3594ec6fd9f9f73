import { describe, expect, test } from 'vitest'
import { told } from '../../explain/test/told'
import type { Seen } from '../../learning/seen'
import { addDays } from '../../measure/calendar'
import { askedOf, answersFit, STANDING_LEAVES, type VisitAnswers } from '../operations/asked'
import { OPERATIONS } from '../operations/registry'
import { operationsOf } from '../operations/planned'
import { PROGRAMME_CODES } from '../decision/programmes'
import { SEED, SOWN } from './counted'
import { planned, scheduleInput } from './ground'
import { buildSchedule } from '../schedule/schedule'
import { watched } from './watched'

const ASKING = OPERATIONS.filter(({ asks }) => asks)
const [part] = planned()
const MOW = OPERATIONS.find(({ opensLawn }) => opensLawn)!
const visit = (day: number, answers: VisitAnswers, task: string = MOW.code): Seen => ({
  kind: 'visit',
  seenOn: addDays(SOWN, day),
  zoneId: null,
  task,
  answers,
  note: '',
})

describe('the questions of every visit', () => {
  test.each(ASKING.map((one) => [one.code, one] as const))('%s: each can be answered well, and otherwise', (_, one) => {
    const asked = askedOf(one.asks, [part!])
    expect(new Set(asked.map(({ code }) => code)).size).toBe(asked.length)
    for (const { code, asks, expects, condition, figure, judged } of asked) {
      // By this code a note overrides what the answer holds.
      expect(code).toMatch(/^[a-z]{1,20}$/)
      expect([told(asks).endsWith('?'), told(expects).endsWith('.'), told(condition).length > 3]).toEqual([
        true,
        true,
        true,
      ])
      const answers = figure ? Array.from({ length: 60 }, (_, i) => (figure.most * i) / 59) : [true, false]
      const states = new Set(answers.map((answer) => judged(answer).state))
      expect([code, states.has('met'), states.size > 1]).toEqual([code, true, true])
      for (const answer of answers) {
        const gate = judged(answer)
        expect(gate.state === 'met' || gate.code === code).toBe(true)
        expect(told(gate.text).length).toBeGreaterThan(3)
      }
    }
  })

  test('are those of every follow-up but checks that have a form of their own, or are asked afar', () => {
    const lacking = PROGRAMME_CODES.flatMap((programme) =>
      operationsOf(planned({ programme }))
        .filter(({ operation: { phase, asks, uses } }) => phase === 'after' && !asks && !uses)
        .map(({ operation }) => operation.code),
    )
    // Moisture and seedlings have forms; a watering visit is a line of the log, and mowing twice a week one task of many days; thinning follows the low mowing at once.
    expect([...new Set(lacking)].sort()).toEqual(['check', 'green', 'thinRyegrass'])
  })

  test('answers that nobody asked for, of another kind or out of bounds, are none', () => {
    const { asks } = MOW
    expect(answersFit(asks, { [STANDING_LEAVES]: 80, tug: true })).toBe(true)
    for (const answers of <VisitAnswers[]>[
      {},
      { tug: 1 },
      { [STANDING_LEAVES]: true },
      { [STANDING_LEAVES]: 601 },
      { [STANDING_LEAVES]: NaN },
      { tug: true, moles: true },
    ])
      expect([answers, answersFit(asks, answers)]).toEqual([answers, false])
    expect(answersFit(undefined, { tug: true })).toBe(false)
  })
})

describe('what is answered moves the plan', () => {
  const gatesAfter = (day: number, seen: Seen[], key: string = MOW.code) =>
    watched(day, seen).plan.schedule!.tasks.find((task) => task.key === key)!.gates
  const stateOf = (gates: ReturnType<typeof gatesAfter>, words: RegExp) =>
    gates.find(({ text }) => words.test(told(text)))?.state

  test('seedlings that come out at a tug hold the first mowing until somebody finds them firm', () => {
    expect(stateOf(gatesAfter(30, []), /hold against a tug/)).toBe('waiting')
    const loose = [visit(30, { tug: false })]
    const held = gatesAfter(31, loose).find(({ code }) => code === 'tug')!
    expect(held).toMatchObject({ state: 'hold', again: addDays(SOWN, 31) })
    expect(watched(31, loose).plan.schedule!.tasks.find(({ key }) => key === MOW.code)!.stand).toBe('hold')
    expect(stateOf(gatesAfter(34, [...loose, visit(34, { tug: true })]), /hold against a tug/)).toBe('met')
    // Written down out of order, the later day counts.
    expect(stateOf(gatesAfter(34, [visit(34, { tug: true }), ...loose]), /hold against a tug/)).toBe('met')
  })

  test('grass that was dry yesterday is asked about again today', () => {
    const seen = [visit(30, { dry: true, tug: true })]
    expect(stateOf(gatesAfter(30, seen), /grass dry/)).toBe('met')
    expect(stateOf(gatesAfter(31, seen), /grass dry/)).toBe('waiting')
    expect(stateOf(gatesAfter(31, seen), /hold against a tug/)).toBe('met')
  })

  test('leaves measured at a visit move the growth line as any measured height does', () => {
    const height = (heightMm: number): Seen => ({
      ...{ kind: 'height', seenOn: addDays(SOWN, 22), zoneId: 'z', heightMm, note: '' },
    })
    const growth = (seen: Seen[]) => watched(23, seen).watch!.growth!
    const told = growth([visit(22, { [STANDING_LEAVES]: 30 })])
    expect(told.mow).toEqual(growth([height(30)]).mow)
    expect(told.mow.middle).toBeGreaterThan(growth([]).mow.middle)
    expect(told.heights).toEqual([{ day: 22, heightMm: 30, zoneId: null }])
    // A visit of something else tells of no leaves.
    expect(growth([visit(22, { tug: true })])).toEqual(growth([]))
  })

  test('a note overrides what an answer holds', () => {
    const tasks = (overruled: Record<string, string>) =>
      buildSchedule(
        scheduleInput({ visits: new Map([[MOW.code, { seenOn: SOWN, answers: { tug: false } }]]), overruled }),
      ).tasks.find(({ key }) => key === MOW.code)!
    expect(tasks({}).stand).toBe('hold')
    expect(tasks({ [`${MOW.code}:tug`]: 'Only the edge was loose.' }).stand).not.toBe('hold')
  })

  test('weeds on a tenth of the ground part spots from all of it, and a firm may put the mark elsewhere', () => {
    const weedsOf = (share: number, planning = part!.planning) =>
      told(
        ASKING.flatMap(({ asks }) => askedOf(asks, [{ ...part!, planning }]))
          .find(({ code }) => code === 'weeds')!
          .judged(share).text,
      )
    expect(weedsOf(0.04)).toContain('treat spots only')
    expect(weedsOf(0.1)).toContain('treat all of it')
    expect(weedsOf(0.1, { ...part!.planning, weedsAll: 0.2 })).toContain('treat spots only')
    expect(weedsOf(0)).toContain('nothing to treat')
  })

  test('a height is judged as a ruler reads it: what is shown as the height wanted is enough', () => {
    // Found: 1¾ in, 44.45 mm, was held until it stood 45 mm, shown as 1¾ in.
    const asked = askedOf(MOW.asks, [part!]).find(({ code }) => code === STANDING_LEAVES)!
    const due = watched(20, []).watch!.growth!.firstMowMm
    expect(asked.judged(due - 1).state).toBe('met')
    expect(asked.judged(due - 5).state).toBe('hold')
    expect(asked.judged(due * 1.5).state).toBe('risk')
  })

  test('done, a task asks no more', () => {
    const done = { ...SEED, id: 'g', key: MOW.code, doneOn: addDays(SOWN, 30) }
    const task = watched(31, [visit(30, { tug: false })], { done: [SEED, done] }).plan.schedule!.tasks.find(
      ({ key }) => key === MOW.code,
    )!
    expect(task.gates.some(({ code }) => code === 'tug')).toBe(false)
  })
})

describe('phases of watering end by what is seen', () => {
  const phasesOf = (day: number, seen: Seen[], mowings: number[] = []) => {
    const done = mowings.map((at, i) => ({
      ...SEED,
      id: `m${at}`,
      key: i ? `${MOW.code}-${i + 1}` : MOW.code,
      doneOn: addDays(SOWN, at),
    }))
    const { phases } = watched(day, seen, { done: [SEED, ...done] }).plan.watering!
    return Object.fromEntries(phases.map(({ code, to }) => [code, to]))
  }
  const height = (day: number, heightMm: number): Seen => ({
    ...{ kind: 'height', seenOn: addDays(SOWN, day), zoneId: 'z', heightMm, note: '' },
  })
  const planned = phasesOf(12, [])
  const wet = planned.wet!.middle

  test('leaves at an inch end the wet phase on the day they were measured, by a ruler, a visit or their stage', () => {
    const on = (day: number) => ({ early: day, middle: day, late: day })
    const early = wet - 4
    expect(phasesOf(early, [height(early, 26)]).wet).toEqual(on(early))
    expect(phasesOf(early, [visit(early, { [STANDING_LEAVES]: 40 })]).wet).toEqual(on(early))
    const stage: Seen = { kind: 'leaf', seenOn: addDays(SOWN, early), zoneId: 'z', stage: 'tillering', note: '' }
    expect(phasesOf(early, [stage]).wet).toEqual(on(early))
    // First looked at long after, it is not taken to have been short until then.
    expect(phasesOf(wet + 25, [height(wet + 25, 70)]).wet!.middle).toBe(wet)
    // The first day counts, whatever was measured later.
    expect(phasesOf(early + 3, [height(early + 3, 34), height(early, 26)]).wet).toEqual(on(early))
  })

  test('leaves that are ahead change nothing of the hours that were told the client', () => {
    const cyclesOf = (seen: Seen[]) =>
      watched(wet - 2, seen).plan.watering!.wet.map(({ day }) => day.cycles.map(({ hour }) => hour))
    // Found: a height of a quarter of an inch moved the weather of the wet phase, and with it a warning of a dry bed.
    expect(cyclesOf([height(wet - 3, 20)])).toEqual(cyclesOf([]))
  })

  test('short leaves hold it on, and what follows moves with it', () => {
    const held = phasesOf(wet + 2, [height(wet + 2, 8)])
    expect(held.wet!.middle).toBeGreaterThan(wet + 2)
    expect(held.seedling!.middle).toBeGreaterThan(planned.seedling!.middle)
    expect(held.rooting!.middle - held.seedling!.middle).toBe(planned.rooting!.middle - planned.seedling!.middle)
  })

  test('a mowing ends the seedling phase and the fourth the rooting one, on their days', () => {
    const [first, ...others] = [30, 36, 43, 50]
    const mown = phasesOf(32, [], [first!])
    expect([mown.seedling!.middle, mown.wet!.middle <= 30]).toEqual([30, true])
    expect(phasesOf(51, [], [first!, ...others]).rooting).toEqual({ early: 50, middle: 50, late: 50 })
  })
})

test('a first mowing that was missed is due today, not long ago, and what follows counts from then', () => {
  const { tasks } = watched(75, []).plan.schedule!
  const today = addDays(SOWN, 75)
  const of = (is: (operation: (typeof tasks)[number]['operation']) => unknown) =>
    tasks.find(({ operation }) => is(operation))!
  const mow = of(({ opensLawn }) => opensLawn)
  expect([mow.to >= today, mow.overdue]).toEqual([true, false])
  // Three more mowings, about a week apart.
  expect(of(({ asks }) => asks?.some(({ code }) => code === 'weeds')).to >= addDays(mow.to, 21)).toBe(true)
  // A check of the first days tells nothing any more: it stays where it was missed.
  const check = of(({ watchesSeedlings, seesEmergence }) => watchesSeedlings && !seesEmergence)
  expect([check.to < today, check.overdue, check.nextDay]).toEqual([true, true, null])
})

test('a lawn sown in another season than planned has the visits of the season it was sown in', () => {
  // Planned for April, when seed has to outlive a summer; really sown in September.
  const keys = (done: object[]) =>
    watched(20, [], { done: done as never, sowOn: addDays(SOWN, 215) }).plan.schedule!.tasks.map(({ key }) => key)
  const summer = OPERATIONS.find(({ asks }) => asks?.some(({ code }) => code === 'noon'))!.code
  expect(keys([])).toContain(summer)
  expect(keys([SEED])).not.toContain(summer)
})

describe('recovery of warm-season turf', () => {
  const LEVEL = { programme: 'level', zone: { grass: 'BER', sward: 'BER', weedShare: 0.05 } } as const
  const run = (extent: object = {}, change: object = {}) =>
    buildSchedule(
      scheduleInput({
        parts: planned({ ...LEVEL, ...change }),
        extent: { ...scheduleInput().extent, ...extent },
        sowOn: addDays(SOWN, -60),
      }),
    ).tasks
  const dayOf = (tasks: ReturnType<typeof run>, key: string) => tasks.find((task) => task.key === key)!.to

  test('is nipped after nine days, then mown twice a week, unless the client mows or the grass is of the cool season', () => {
    // Nine days, and at least two mowings a week: common practice, no source.
    const tasks = run()
    expect(dayOf(tasks, 'recoveryMow') >= addDays(dayOf(tasks, 'nip'), 3)).toBe(true)
    const mow = tasks.find(({ key }) => key === 'recoveryMow')!
    expect(told(mow.settings)).toContain('2 times a week')
    // Found on reading: one visit that asked something marked all eight mowings done.
    expect(mow.asks).toEqual([])
    expect(run({ clientMows: true }).map(({ key }) => key)).not.toContain('recoveryMow')
    const cool = run({}, { zone: { grass: 'PRG', sward: 'PRG', weedShare: 0.05 } })
    expect(cool.map(({ key }) => key)).not.toContain('recoveryMow')
  })

  test('a wetting agent goes down by itself, two days after a liquid feed at the least', () => {
    const tasks = run({ added: ['liquidFeed', 'wettingAgent'] })
    expect(dayOf(tasks, 'wettingAgent') >= addDays(dayOf(tasks, 'liquidFeed'), 2)).toBe(true)
    // Neither is there unasked: an additive takes the place of no watering.
    expect(run().some(({ key }) => key === 'liquidFeed' || key === 'wettingAgent')).toBe(false)
    expect(run({ added: ['liquidFeed'], noSprays: true }).some(({ key }) => key === 'liquidFeed')).toBe(false)
  })

  test('weeds are treated where there are some, and after the nip', () => {
    const tasks = run()
    expect(dayOf(tasks, 'weedControl') >= addDays(dayOf(tasks, 'nip'), 14)).toBe(true)
    const clean = run({}, { zone: { grass: 'BER', sward: 'BER', weedShare: 0.01 } })
    expect(clean.map(({ key }) => key)).not.toContain('weedControl')
  })
})
