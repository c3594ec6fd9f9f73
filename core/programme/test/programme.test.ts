import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { grassByCode } from '../../grass/grasses'
import { addDays, daysBetween, toDay, type Day } from '../../quantity/calendar'
import type { Survey } from '../../site/survey'
import { coverProblem } from '../../site/survey'
import { decide, labelForbids, type DatedWindow } from '../decide'
import { spansOf, type Lag } from '../network'
import { OVERSEED_LAGS, type OperationCode } from '../operations'
import { defaultSettings } from '../plan'
import { scalpSteps } from '../scalping'
import { buildSequence, type SequenceInput } from '../sequence'
import { usualWaitDays } from '../intervals'

const TODAY = toDay('2026-09-08')
const AUTUMN: DatedWindow = { from: toDay('2026-09-11'), to: toDay('2026-09-23'), best: toDay('2026-09-18'), bestGood: 29 }
const SPRING: DatedWindow = { from: toDay('2027-04-03'), to: toDay('2027-04-07'), best: toDay('2027-04-05'), bestGood: 16 }
const survey: Survey = {
  areaM2: 612, grass: 'TF', desirableShare: 0.56, weedShare: 0.35, bareShare: 0.09, thatchMm: 18, mowingHeightMm: 76, sun: 'full', texture: 'loam', slopeShare: 0,
}
const judge = (change: Partial<Parameters<typeof decide>[0]>) => decide({ survey, applications: [], today: TODAY, windows: [AUTUMN, SPRING], years: 30, ...change })

describe('decide', () => {
  test('a thin stand in an open window is overseeded', () => {
    expect(judge({})).toMatchObject({ programme: 'overseed', window: AUTUMN })
  })

  test('a barrier that outlasts the window waits for the next one, and no note can overrule the label', () => {
    const decision = judge({ applications: [{ ingredient: 'prodiamine', appliedOn: toDay('2026-05-04'), waitDays: 184 }] })
    expect(decision).toMatchObject({ programme: 'not now', binding: true, earliest: SPRING.from })
    expect(decision.verdict).toContain('4 Nov')
  })

  test('a barrier that ends inside the window only moves the earliest day', () => {
    const decision = judge({ applications: [{ ingredient: '2,4-D', appliedOn: toDay('2026-08-20'), waitDays: 28 }] })
    expect(decision).toMatchObject({ programme: 'overseed', earliest: '2026-09-17' })
  })

  test('outside every window it is not now, with the next possible day', () => {
    expect(judge({ windows: [SPRING] })).toMatchObject({ programme: 'not now', binding: false, earliest: SPRING.from })
    expect(judge({ windows: [] }).because).toContain('No later window')
  })

  test('below three hours of sun nothing is sown', () => {
    // Handbook knowledge, from memory: no turf lasts below 3 h.
    const decision = judge({ survey: { ...survey, sun: 'dense' } })
    expect(decision.programme).toBe('not now')
    expect(decision.window).toBeUndefined()
  })

  test('less grass worth keeping never makes the judgement milder', () => {
    const weight = (share: number) => judge({ survey: { ...survey, desirableShare: share } }).reasons.filter(({ state }) => state !== 'met').length
    fc.assert(fc.property(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (a, b) => weight(Math.min(a, b)) >= weight(Math.max(a, b))))
  })

  test('cover has to add to 100 %', () => {
    expect(coverProblem(0.56, 0.35, 0.09)).toBeUndefined()
    expect(coverProblem(0.56, 0.35, 0.2)).toContain('111%')
  })

  test('the usual waits are the long end of the table', () => {
    // Handbook knowledge, from memory: prodiamine 4-10 months, selective broadleaf mixtures 3-4 weeks, siduron none.
    expect(usualWaitDays('prodiamine')).toBe(304)
    expect(usualWaitDays('2,4-D, dicamba, MCPP or triclopyr')).toBe(28)
    expect(usualWaitDays('siduron')).toBe(0)
    expect(usualWaitDays('water')).toBeUndefined()
  })
})

describe('network of lags', () => {
  test('earliest and latest agree with trying every day, on random networks', () => {
    const names = ['a', 'b', 'c', 'd']
    const lag = fc.record({ from: fc.constantFrom(...names), to: fc.constantFrom(...names), leastDays: fc.integer({ min: -3, max: 4 }), width: fc.integer({ min: 0, max: 4 }) })
    let examined = 0
    fc.assert(fc.property(fc.array(lag, { minLength: 3, maxLength: 6 }), (raw) => {
      const lags: Lag[] = raw.filter(({ from, to }) => from !== to).map(({ width, ...rest }) => ({ ...rest, mostDays: rest.leastDays + width, why: '' }))
      const { spans, possible } = spansOf(names, lags, new Map([['a', 0]]))
      const solutions: number[][] = []
      const DAYS = Array.from({ length: 49 }, (_, i) => i - 24)
      const tryDays = (chosen: number[]): void => {
        const fits = lags.every((l) => {
          const [from, to] = [chosen[names.indexOf(l.from)], chosen[names.indexOf(l.to)]]
          return from === undefined || to === undefined || (to - from >= l.leastDays && to - from <= l.mostDays!)
        })
        if (!fits || solutions.length > 4000) return
        if (chosen.length === names.length) solutions.push(chosen)
        else for (const day of DAYS) tryDays([...chosen, day])
      }
      const bounded = names.every((n) => Number.isFinite(spans.get(n)!.earliest) && Number.isFinite(spans.get(n)!.latest))
      if (!bounded) return
      examined++
      tryDays([0])
      expect(possible).toBe(solutions.length > 0)
      if (!possible || solutions.length > 4000) return
      names.forEach((n, i) => {
        expect(spans.get(n)!.earliest).toBe(Math.min(...solutions.map((s) => s[i]!)))
        expect(spans.get(n)!.latest).toBe(Math.max(...solutions.map((s) => s[i]!)))
      })
    }), { numRuns: 150 })
    expect(examined).toBeGreaterThan(10)
  })
})

const input = (change: Partial<SequenceInput> = {}): SequenceInput => ({
  survey, applications: [], settings: defaultSettings(grassByCode('TF'), 0.56), sowOn: toDay('2026-09-24'), today: TODAY, done: new Map(), firstMow: { early: 24, middle: 28, late: 34 }, forecast: [], workingDays: [0, 1, 2, 3, 4, 5, 6], ...change,
})
const dayOf = (sequence: ReturnType<typeof buildSequence>, code: OperationCode): Day => sequence.slips.find(({ operation }) => operation.code === code)!.to

describe('sequence', () => {
  test('work leads up to the sowing day, one machine a day, and the seedbed is closed on it', () => {
    const sequence = buildSequence(input())
    expect(['scalp', 'dethatch', 'core', 'sow', 'rake', 'feed', 'cover', 'water', 'check', 'mow'].map((code) => dayOf(sequence, code as OperationCode))).toEqual([
      '2026-09-21', '2026-09-22', '2026-09-23', '2026-09-24', '2026-09-24', '2026-09-24', '2026-09-24', '2026-09-24', '2026-09-27', '2026-10-22',
    ])
    expect(sequence.troubles).toEqual([])
  })

  test('whatever the sowing day, no lag is broken and nothing left to do lies in the past', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 90 }), (ahead) => {
      const sequence = buildSequence(input({ sowOn: addDays(TODAY, ahead) }))
      for (const { from, to, leastDays, mostDays } of OVERSEED_LAGS) {
        const days = daysBetween(dayOf(sequence, from as OperationCode), dayOf(sequence, to as OperationCode))
        expect(days).toBeGreaterThanOrEqual(leastDays)
        expect(days).toBeLessThanOrEqual(mostDays ?? 999)
      }
      for (const slip of sequence.slips) expect(slip.to >= TODAY && slip.earliest <= slip.to && slip.to <= slip.latest).toBe(true)
    }))
  })

  test('done work stays where it was done, and ground that lies open too long is said', () => {
    const done = new Map<OperationCode, Day>([['scalp', toDay('2026-09-08')]])
    const sequence = buildSequence(input({ done }))
    expect(dayOf(sequence, 'scalp')).toBe('2026-09-08')
    expect(sequence.troubles[0]).toContain('16 days lie between scalp and sow')
    expect(sequence.next?.operation.code).toBe('dethatch')
  })

  test('a sowing day that has passed asks to be moved', () => {
    expect(buildSequence(input({ sowOn: toDay('2026-09-01') })).troubles[0]).toContain('has passed')
  })

  test('half an inch of rain forecast for the four days after holds the sowing', () => {
    const wet = Array.from({ length: 6 }, (_, i) => ({ day: addDays(toDay('2026-09-10'), i), tmaxC: 25, tminC: 12, rainMm: i === 2 ? 14 : 0 }))
    const gates = (forecast: typeof wet) => buildSequence(input({ sowOn: toDay('2026-09-10'), forecast })).slips.find(({ operation }) => operation.code === 'sow')!.gates
    expect(gates(wet).some(({ state }) => state === 'hold')).toBe(true)
    expect(gates(wet.map((day) => ({ ...day, rainMm: 2 }))).some(({ state }) => state === 'hold')).toBe(false)
  })

  test('rake-in and cover together are held against what the seed grows through', () => {
    const bluegrass = { ...survey, grass: 'KBG' as const }
    const settings = { ...defaultSettings(grassByCode('KBG'), 0.56), coverMm: 6 }
    const state = (plan: typeof settings) => buildSequence(input({ survey: bluegrass, settings: plan })).slips.find(({ operation }) => operation.code === 'cover')!.gates[0]!.state
    expect(state(settings)).toBe('hold')
    expect(state(defaultSettings(grassByCode('KBG'), 0.56))).toBe('met')
  })

  test('scalping steps down by about a third, in four cuts at the most', () => {
    // Common practice, no source: two to four cuts, step by step.
    expect(scalpSteps(75, 25).heightsMm).toHaveLength(3)
    expect(scalpSteps(40, 50).heightsMm).toEqual([40])
    expect(scalpSteps(200, 10)).toMatchObject({ severe: true })
    fc.assert(fc.property(fc.double({ min: 10, max: 150, noNaN: true }), fc.double({ min: 5, max: 100, noNaN: true }), (present, lowest) => {
      const { heightsMm, severe } = scalpSteps(present, lowest)
      heightsMm.reduce((above, height) => {
        expect(height).toBeLessThanOrEqual(above + 1e-9)
        if (!severe) expect(height).toBeGreaterThanOrEqual((above * 2) / 3 - 1e-6)
        return height
      }, present)
    }))
  })
})

test('cuts that no longer fit two days apart are said, not squeezed in silence', () => {
  const settings = { ...defaultSettings(grassByCode('TF'), 0.56), scalpToMm: 25 }
  const soon = buildSequence(input({ settings, sowOn: addDays(TODAY, 4) }))
  expect(soon.troubles.join(' ')).toContain('3 cuts two days apart take 4 days; 1 is left')
  expect(buildSequence(input({ settings, sowOn: addDays(TODAY, 7) })).troubles).toEqual([])
  expect(buildSequence(input({ settings, sowOn: addDays(TODAY, 4), done: new Map([['scalp', TODAY]]) })).troubles).toEqual([])
})

test('the label forbids each day of its wait and none after it', () => {
  const applications = [{ ingredient: 'prodiamine', appliedOn: toDay('2026-05-04'), waitDays: 184 }]
  fc.assert(fc.property(fc.integer({ min: 0, max: 400 }), (after) => {
    const day = addDays(toDay('2026-05-04'), after)
    expect(labelForbids(applications, day) === undefined).toBe(after >= 184)
  }))
  expect(labelForbids([], TODAY)).toBeUndefined()
})
