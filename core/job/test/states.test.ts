import { describe, expect, test } from 'vitest'
import { toDay, type Day } from '#core/measure/calendar'
import { putOn } from '../lawn'
import { planningOf } from '../planningFigures'
import type { Mark } from '../records'
import { growsFrom, isOpen, putDownOn, stateOf, type JobProgress } from '../states'

const DAY = toDay('2026-09-18')
const mark = (key: string, share = 1): Mark => ({ key, doneOn: DAY, share, passed: true })
const job = (change: Partial<JobProgress> = {}): JobProgress => ({
  programme: 'overseed',
  confirmedOn: null,
  outcome: null,
  marks: [],
  ...change,
})

describe('how far a job is', () => {
  test.each([
    ['planned', job()],
    ['planned', job({ programme: null })],
    ['confirmed', job({ confirmedOn: DAY })],
    ['in work', job({ marks: [mark('order')] })],
    ['in work', job({ confirmedOn: DAY, marks: [mark('sow', 0.6)] })],
    ['growing in', job({ marks: [mark('sow', 0.6), mark('sow', 0.4)] })],
    // A dressing is what a levelling puts down.
    ['in work', job({ programme: 'level', marks: [mark('sow')] })],
    ['growing in', job({ programme: 'level', marks: [mark('lift')] })],
    ['closed', job({ outcome: 'closed', marks: [mark('sow')] })],
    ['called off', job({ outcome: 'called off' })],
  ] as const)('%s', (state, of) => {
    expect(stateOf(of)).toBe(state)
    expect(isOpen(state)).toBe(of.outcome === null)
  })

  test('the day it went down is that of the part that made it whole', () => {
    const rest = { ...mark('sow', 0.5), doneOn: toDay('2026-09-20') }
    expect(putDownOn(job({ marks: [rest, mark('sow', 0.5)] }))).toBe('2026-09-20')
    expect(putDownOn(job({ marks: [rest] }))).toBeUndefined()
  })
})

test('what other jobs put down counts as applications: selective 28 days, non-selective by the firm’s figure', () => {
  const own = { ingredient: 'prodiamine', appliedOn: toDay('2026-03-01'), waitDays: 120 }
  const marksElsewhere = ['hardWeeds', 'kill2', 'scalp', 'preventer', 'own-5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e01'].map(
    (key) => mark(key),
  )
  const planning = planningOf({ labelWait: 9 })
  expect(putOn({ applications: [own], marksElsewhere }, planning)).toEqual([
    own,
    { ingredient: '2,4-D, dicamba, MCPP or triclopyr', appliedOn: DAY, waitDays: 28 },
    { ingredient: 'glyphosate', appliedOn: DAY, waitDays: 9 },
    { ingredient: 'mesotrione', appliedOn: DAY, waitDays: 0 },
  ])
})

describe('the day that what is sown grows from', () => {
  const of = (sowOn: Day | null, doneOn?: Day) =>
    growsFrom({
      programme: 'overseed',
      sowOn,
      done: doneOn ? [{ ...mark('sow'), doneOn }] : [],
    })
  test('is the one it went down on, else the planned one, else none', () => {
    const [planned, real] = [toDay('2026-09-18'), toDay('2026-09-21')]
    expect(of(planned)).toBe(planned)
    expect(of(planned, real)).toBe(real)
    expect(of(null)).toBeNull()
  })
})
