import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import type { ForecastDay } from '../../climate/weather'
import { addDays, daysBetween, toDay, weekdayIndex, type Day } from '../../quantity/calendar'
import { anchorOf } from '../parts'
import { PROGRAMME_CODES, type ProgrammeCode } from '../programmes'
import { buildSequence, type Sequence } from '../sequence'
import { lagsOf } from '../laying'
import { plannedOf, type SequenceInput } from '../sequenceInput'
import { doneOn, planned, PLANNING_FIGURES, sequenceInput, TODAY, type Planned } from './ground'

const MONDAY_TO_FRIDAY = [1, 2, 3, 4, 5]
const at = ({ slips }: Sequence, key: string): Day => slips.find((slip) => slip.key === key)!.to
/** Days from the anchor on which each slip lies. */
const offsets = (sequence: Sequence, keys: readonly string[]) => {
  const anchor = sequence.slips.find(({ key }) => key === 'sow' || key === 'lift')!.to
  return Object.fromEntries(keys.map((key) => [key, daysBetween(anchor, at(sequence, key))]))
}
/** A plan with everything still to be got ready. */
const whole = (plan: Planned, change: Partial<SequenceInput> = {}) => buildSequence({ ...sequenceInput({ parts: planned(plan), ...change }), skipped: change.skipped ?? {} })

/** Northern autumn, and the same half a year on in the south: nothing but the date and the season's figures may differ. */
const HEMISPHERES = [{ name: 'northern', today: toDay('2026-08-01'), sowOn: toDay('2026-09-16') }, { name: 'southern', today: toDay('2027-02-01'), sowOn: toDay('2027-03-19') }]

// Offsets are argued from practice §4 and reference §12: common practice, no source, unless the line says otherwise.
describe.each(HEMISPHERES)('whole plans, $name autumn', ({ today, sowOn }) => {
  const plan = (of: Planned, change: Partial<SequenceInput> = {}) => whole(of, { today, sowOn, ...change })

  test('overseeding: three weeks of soil test and order, then a machine a day, and seedlings seen in time', () => {
    const days = offsets(plan({}, { extent: { soilTested: false, dryGround: true, autumnAhead: false, dormant: false, added: [] } }), ['soilTest', 'order', 'locate', 'waterAhead', 'scalp', 'dethatch', 'core', 'rake', 'cover', 'water', 'check', 'green', 'mow', 'weak', 'weedControl', 'feedAgain', 'close', 'nextSeason'])
    expect(days).toMatchObject({ soilTest: -21, order: -14, scalp: -3, dethatch: -2, core: -1, rake: 0, cover: 0, water: 0, mow: 28 })
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
    const days = offsets(plan({ programme: 'kill', zone: { deepestMm: 80, hollowM3: 1, hollowM2: 25 } }), ['kill1', 'kill2', 'scalp', 'dethatch', 'delivery', 'level'])
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
    const extent = { soilTested: true, dryGround: false, autumnAhead: false, dormant: false, added: ['kill3'] as const }
    const days = offsets(plan({ programme: 'kill' }, { extent }), ['kill1', 'kill2', 'kill3', 'scalp'])
    expect(days.kill3! - days.kill2!).toBeGreaterThanOrEqual(10)
    expect(days.scalp! - 4 - days.kill3!).toBeGreaterThanOrEqual(7)
    const late = plan({ programme: 'kill' }, { extent, today: addDays(sowOn, -9), done: doneOn(['kill1', addDays(sowOn, -28)], ['kill2', addDays(sowOn, -11)]) })
    expect(late.troubles[0]!.text).toContain('11 days from kill, third to scalp')
    // Regrowth shows ten days after the second spray; a week of label later comes the first of three cuts, with the last of them the seed.
    expect(late.troubles[0]!.sowOn).toBe(addDays(sowOn, -11 + 10 + 7 + 4))
  })

  test('hard renovation and stripping: as overseeding, but no coring under new loam', () => {
    expect(offsets(plan({ programme: 'hard' }), ['scalp', 'dethatch', 'core'])).toEqual({ scalp: -3, dethatch: -2, core: -1 })
    const strip = plan({ programme: 'strip' })
    expect(strip.slips.some(({ key }) => key === 'core')).toBe(false)
    const days = offsets(strip, ['dethatch', 'delivery', 'level'])
    expect(days.dethatch! <= days.delivery! && days.delivery! <= days.level! && days.level! <= -1).toBe(true)
  })

  test('spot repair: loosened the day before, no machine but the fork', () => {
    const spot = plan({ programme: 'spot' })
    expect(offsets(spot, ['loosen', 'check', 'mow'])).toMatchObject({ loosen: -1, mow: 28 })
    expect(spot.slips.some(({ key }) => key === 'scalp' || key === 'dethatch')).toBe(false)
  })

  test('winter colour: mown short, leaves out the day before, shaken down, fed again after a month', () => {
    const winter = plan({ programme: 'winter', zone: { grass: 'BER', sward: 'BER' } }, { firstMow: { early: 9, middle: 12, late: 18 }, firstGreen: { early: 4, middle: 5, late: 8 } })
    const days = offsets(winter, ['scalp', 'clear', 'rake', 'mow', 'feedAgain'])
    expect(days).toMatchObject({ scalp: -3, clear: -1, rake: 0, mow: 12 })
    // Reference §4: 30 days on sand; a visit that it can share with the mowing is not far.
    expect(days.feedAgain).toBeGreaterThanOrEqual(28)
    expect(days.feedAgain).toBeLessThanOrEqual(33)
  })

  test('levelling in growth: lifts of half an inch two weeks apart, nipped after nine days, and the last in time before dormancy', () => {
    const ground: Planned = { programme: 'level', zone: { grass: 'BER', sward: 'HBER', deepestMm: 34, hollowM3: 0.4, hollowM2: 25 } }
    const level = plan(ground, { growsUntil: addDays(sowOn, 60) })
    // 34 mm are three lifts.
    expect(offsets(level, ['lift', 'lift-2', 'lift-3'])).toEqual({ lift: 0, 'lift-2': 14, 'lift-3': 28 })
    const days = offsets(level, ['scalp', 'core', 'water', 'nip', 'recoveryFeed'])
    expect(days.water).toBe(0)
    expect(days.nip! - 28).toBe(9)
    expect(days.core).toBeLessThanOrEqual(0)
    const late = plan(ground, { growsUntil: addDays(sowOn, 20) })
    expect(late.troubles.map(({ text }) => text).join(' ')).toContain('turf grows through a dressing only until')
    // 28 days from the first lift to the third: begun eight days sooner it fits.
    expect(late.troubles[0]!.sowOn).toBe(addDays(sowOn, 20 - 28))
  })

  test('warm-season overseeding, and ground cleared for bermuda, which is killed the autumn before and again in spring', () => {
    expect(offsets(plan({ programme: 'warm', zone: { grass: 'BER', sward: 'BER' } }), ['scalp', 'dethatch', 'core'])).toEqual({ scalp: -3, dethatch: -2, core: -1 })
    const spring = { today: addDays(sowOn, -260), extent: { soilTested: true, dryGround: false, autumnAhead: true, dormant: false, added: [] } }
    const days = offsets(plan({ programme: 'kill', zone: { grass: 'BER', sward: 'MIX' } }, spring), ['killAutumn', 'kill1', 'kill2'])
    expect(days.killAutumn).toBeLessThanOrEqual(-200)
    expect(days.kill1! - days.killAutumn!).toBeGreaterThanOrEqual(90)
    expect(days.kill2! - days.kill1!).toBeGreaterThanOrEqual(14)
  })

  test('a deep hollow under living turf is lifted and filled before anything else, and slits take the place of tearing and raking', () => {
    const deep = plan({ zone: { deepestMm: 110, hollowM3: 1.2, hollowM2: 20 } })
    expect(at(deep, 'relay') <= at(deep, 'scalp')).toBe(true)
    const slit = plan({ schools: { sowing: 'slit' } })
    expect(slit.slips.find(({ key }) => key === 'sow')!.name).toBe('Slit-seed')
    expect(slit.slips.some(({ key }) => key === 'dethatch' || key === 'rake')).toBe(false)
    // Where the old sward is to be torn out, slits do not do it.
    expect(plan({ programme: 'hard', schools: { sowing: 'slit' } }).slips.some(({ key }) => key === 'dethatch')).toBe(true)
  })

  test('fleece comes off when green shows, sixteen days at the most', () => {
    const fleece = plan({ settings: { coverMaterial: 'fleece', coverMm: 1 } })
    const days = offsets(fleece, ['green', 'uncover'])
    expect(days.uncover).toBeGreaterThanOrEqual(days.green!)
    expect(days.uncover).toBeLessThanOrEqual(16)
  })
})

describe('seed that is to lie until spring', () => {
  test('is neither watered in nor looked at in its first days, and is told of its losses', () => {
    const extent = { soilTested: true, dryGround: false, autumnAhead: false, dormant: true, added: [] }
    const { slips } = buildSequence(sequenceInput({ sowOn: toDay('2026-12-10'), extent, firstGreen: { early: 100, middle: 115, late: 130 }, firstMow: { early: 140, middle: 155, late: 170 } }))
    expect(slips.some(({ key }) => key === 'water' || key === 'check')).toBe(false)
    expect(slips.find(({ key }) => key === 'sow')!.gates.some(({ code }) => code === 'dormant')).toBe(true)
    // Counted from spring: the first green in its window, the mowing after it.
    expect(daysBetween(toDay('2026-12-10'), slips.find(({ key }) => key === 'green')!.to)).toBeGreaterThanOrEqual(100)
    expect(slips.find(({ key }) => key === 'mow')!.to > slips.find(({ key }) => key === 'green')!.to).toBe(true)
  })
})

describe('zones that go separate ways', () => {
  test('are laid as one run: what can be shared is one visit, what cannot has its own', () => {
    const [front, back] = [planned({ programme: 'overseed' })[0]!, planned({ programme: 'kill' })[0]!]
    const both = buildSequence(sequenceInput({ parts: [front, back], today: addDays(TODAY, -30) }))
    const visits = new Set(both.slips.filter(({ operation }) => operation.phase === 'work').map(({ to }) => to))
    const alone = [front, back].map((part) => buildSequence(sequenceInput({ parts: [part], today: addDays(TODAY, -30) })).slips.filter(({ operation }) => operation.phase === 'work').map(({ to }) => to))
    // No more days on the lawn than the two plans beside each other, and no fewer than the longer of them needs.
    expect(visits.size).toBeLessThanOrEqual(new Set(alone.flat()).size)
    expect(visits.size).toBeGreaterThanOrEqual(Math.max(...alone.map((days) => new Set(days).size)))
    expect(both.slips.filter(({ key }) => key === 'scalp')).toHaveLength(1)
    expect(both.slips.find(({ key }) => key === 'kill1')!.settings.some((part) => typeof part === 'string' && part.includes(': '))).toBe(false)
  })
})

const programmes = fc.constantFrom(...PROGRAMME_CODES)
const anyPlan = fc.record({ programme: programmes, ahead: fc.integer({ min: 45, max: 90 }), workingDays: fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 2, maxLength: 7 }) })
const laid = (programme: ProgrammeCode, change: Partial<SequenceInput>) => sequenceInput({ parts: planned({ programme, zone: { deepestMm: 30, hollowM3: 0.3, hollowM2: 20 } }), ...change })

describe('a plan that is changed', () => {
  test('leaves what is done where it was, and breaks no lag', () => {
    fc.assert(fc.property(anyPlan, fc.integer({ min: 0, max: 6 }), fc.integer({ min: -4, max: 9 }), ({ programme, ahead, workingDays }, nth, shift) => {
      const before = buildSequence(laid(programme, { sowOn: addDays(TODAY, ahead), workingDays }))
      const [made] = before.slips.filter(({ operation }) => operation.phase === 'work').slice(nth % 3)
      const done = doneOn([made!.key, made!.to])
      const agreed = new Map(before.slips.map(({ key, to }) => [key, to]))
      const of = laid(programme, { sowOn: addDays(TODAY, ahead + shift), workingDays, done, agreed, today: made!.to })
      const after = buildSequence(of)
      expect(at(after, made!.key)).toBe(made!.to)
      if (after.troubles.length) return
      const day = new Map(after.slips.map(({ key, to }) => [key, to]))
      for (const { from, to, leastDays, mostDays } of lagsOf(of, plannedOf(of))) {
        const between = daysBetween(day.get(from)!, day.get(to)!)
        expect([from, to, between >= leastDays && between <= (mostDays ?? Infinity)]).toEqual([from, to, true])
      }
    }), { numRuns: 60 })
  })

  test('without any change stays as it was agreed', () => {
    fc.assert(fc.property(anyPlan, ({ programme, ahead, workingDays }) => {
      const sowOn = addDays(TODAY, ahead)
      const before = buildSequence(laid(programme, { sowOn, workingDays }))
      const after = buildSequence(laid(programme, { sowOn, workingDays, agreed: new Map(before.slips.map(({ key, to }) => [key, to])) }))
      expect(after.moves).toEqual([])
    }), { numRuns: 40 })
  })

  test('moves as little as it can, and says of each day why', () => {
    const before = buildSequence(sequenceInput({ workingDays: MONDAY_TO_FRIDAY }))
    const agreed = new Map(before.slips.map(({ key, to }) => [key, to]))
    // 21 September is the day of the scalp: rain on it moves the scalp, and nothing that does not hang on it.
    const forecast: ForecastDay[] = Array.from({ length: 5 }, (_, i) => ({ day: addDays(toDay('2026-09-20'), i), tmaxC: 22, tminC: 10, rainMm: i === 1 ? 9 : 0, windKmh: 6 }))
    const wet = buildSequence(sequenceInput({ workingDays: MONDAY_TO_FRIDAY, agreed, forecast, today: toDay('2026-09-20') }))
    expect(wet.moves.map(({ key }) => key)).toEqual(['scalp'])
    expect(wet.moves[0]!.why.filter((part) => typeof part === 'string').join(' ')).toContain('of rain that day')
    // A holiday moves what stood on it.
    const holiday = buildSequence(sequenceInput({ workingDays: MONDAY_TO_FRIDAY, agreed, holidays: new Set([agreed.get('dethatch')!]) }))
    expect(holiday.moves.map(({ key, why }) => [key, String(why[0]).includes('holiday')])).toContainEqual(['dethatch', true])
    // A later sowing day draws the work after it, and the reason is a limit or the day itself.
    const later = buildSequence(sequenceInput({ workingDays: MONDAY_TO_FRIDAY, agreed, sowOn: toDay('2026-09-30') }))
    expect(later.moves.find(({ key }) => key === 'sow')!.why).toEqual(['the day was moved'])
    expect(later.moves.find(({ key }) => key === 'dethatch')!.why.join('')).toContain('no more than 5 days before sow')
  })

  test('takes work of one’s own in, whatever id it has', () => {
    fc.assert(fc.property(fc.uuid(), fc.integer({ min: 0, max: 40 }), (id, ahead) => {
      const key = `own-${id}`
      const { slips } = buildSequence(sequenceInput({ own: { [key]: { name: 'Borrow the roller', day: addDays(TODAY, ahead), hours: 1, note: '' } } }))
      expect(slips.find((slip) => slip.key === key)!.name).toBe('Borrow the roller')
    }), { examples: [['12345678-0000-4000-8000-000000000000', 7], ['99e12345-0000-4000-8000-000000000000', 7]] })
  })

  test('keeps a day chosen by hand, and says what it breaks', () => {
    const pinned = buildSequence(sequenceInput({ pins: new Map([['dethatch', toDay('2026-09-21')]]) }))
    expect(at(pinned, 'dethatch')).toBe('2026-09-21')
    expect(at(pinned, 'scalp') <= '2026-09-21').toBe(true)
    expect(pinned.troubles).toEqual([])
    const early = buildSequence(sequenceInput({ pins: new Map([['dethatch', toDay('2026-09-12')]]) }))
    expect(at(early, 'dethatch')).toBe('2026-09-12')
    expect(early.troubles[0]!.text).toContain('12 days lie between dethatch and sow')
  })

  test('soil for a dip comes on the van, a heap is delivered', () => {
    const delivered = (hollowM3: number) => buildSequence(sequenceInput({ parts: planned({ zone: { deepestMm: 30, hollowM3, hollowM2: 20 }, settings: { coverMaterial: 'straw' } }) })).slips.some(({ key }) => key === 'delivery')
    // With 15 % for settling: 0.06 and 0.58 m³, against three barrow loads of 0.08 m³ (reference §11, own).
    expect([delivered(0.05), delivered(0.5)]).toEqual([false, true])
  })

  test('a late delivery pushes the levelling, and the seed only by what has to lie between', () => {
    const hollow = { deepestMm: 30, hollowM3: 0.5, hollowM2: 20 }
    const late = buildSequence(sequenceInput({ parts: planned({ zone: hollow }), pins: new Map([['delivery', toDay('2026-09-23')]]) }))
    expect([at(late, 'level'), late.troubles]).toEqual(['2026-09-23', []])
    const tooLate = buildSequence(sequenceInput({ parts: planned({ zone: hollow }), pins: new Map([['delivery', toDay('2026-09-24')]]) }))
    expect(tooLate.troubles[0]!.text).toContain('1 day from level to sow')
    // Sown a day later it fits: that day is offered.
    expect(tooLate.troubles[0]!.sowOn).toBe('2026-09-25')
  })

  test('never begins earlier because a limit got tighter', () => {
    fc.assert(fc.property(anyPlan, fc.constantFrom('levelRest', 'labelWait', 'killAgain', 'liftGrow', 'checkFirst'), fc.integer({ min: 1, max: 4 }), ({ programme, ahead }, wait, more) => {
      const of = laid(programme, { sowOn: addDays(TODAY, ahead) })
      const tight = buildSequence({ ...of, planning: { ...PLANNING_FIGURES, [wait]: PLANNING_FIGURES[wait as 'levelRest'] + more } })
      const usual = buildSequence(of)
      const anchor = anchorOf(of.parts)
      for (const slip of tight.slips) {
        const was = usual.slips.find(({ key }) => key === slip.key)!
        // Counted from the anchor a tighter wait leaves less room: nothing after it may come sooner, nothing before it later.
        if (daysBetween(at(usual, anchor), was.earliest) >= 0) expect([slip.key, slip.earliest >= was.earliest]).toEqual([slip.key, true])
        else expect([slip.key, slip.latest <= was.latest]).toEqual([slip.key, true])
      }
    }), { numRuns: 60 })
  })

  test('falls on days off only where nothing else is left', () => {
    fc.assert(fc.property(fc.integer({ min: 14, max: 60 }), (ahead) => {
      const sowOn = addDays(TODAY, ahead)
      if (!MONDAY_TO_FRIDAY.includes(weekdayIndex(sowOn))) return
      const { slips } = buildSequence(sequenceInput({ sowOn, workingDays: MONDAY_TO_FRIDAY }))
      for (const { key, to } of slips) expect([key, MONDAY_TO_FRIDAY.includes(weekdayIndex(to))]).toEqual([key, true])
    }))
  })
})
