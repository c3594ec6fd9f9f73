import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { told as words } from '../../explain/test/told'
import { addDays, toDay } from '../../measure/calendar'
import { labelForbids } from '../decision/decide'
import { waitOf, type WaitInput } from '../decision/wait'
import { decided, PLANNING_FIGURES, ZONE } from './ground'

describe('waiting', () => {
  const TODAY = toDay('2026-09-08')
  const window = (from: string, to: string, best: string, of100 = 97) => ({
    from: toDay(from),
    to: toDay(to),
    best: toDay(best),
    chance: { of100, low: of100 - 9, high: of100 + 3 },
    season: 'autumn' as const,
    cut: false,
  })
  const AUTUMN = window('2026-09-11', '2026-09-23', '2026-09-18')
  const SPRING = window('2027-04-03', '2027-04-07', '2027-04-05', 53)
  const wait = (change: Partial<WaitInput> = {}) =>
    waitOf({
      programme: 'overseed',
      zones: [{ zone: ZONE, waits: [] }],
      applications: [],
      nothingPutOn: false,
      today: TODAY,
      latDeg: 37,
      windows: [AUTUMN, SPRING],
      growing: [],
      years: 30,
      rainShare: 0.9,
      irrigated: false,
      restriction: { kind: 'none', until: null },
      season: 'by window',
      planning: PLANNING_FIGURES,
      ...change,
    })
  const prodiamine = { ingredient: 'prodiamine', appliedOn: toDay('2026-05-04'), waitDays: 184 }

  test('nothing holds in an open window', () => {
    expect(wait()).toMatchObject({ holds: [], window: AUTUMN, next: AUTUMN.from, binding: false })
  })

  test('a barrier that outlasts the window waits for the next one, and no note can overrule the label', () => {
    expect(wait({ applications: [prodiamine] })).toMatchObject({ binding: true, next: SPRING.from })
    expect(words(wait({ applications: [prodiamine] }).holds[0]!.text)).toContain('Nov 4')
  })

  test('a barrier that ends inside the window only moves the earliest day', () => {
    expect(wait({ applications: [{ ...prodiamine, appliedOn: toDay('2026-08-20'), waitDays: 28 }] })).toMatchObject({
      holds: [],
      binding: false,
      next: '2026-09-17',
    })
  })

  test('a longer label interval never lets seed down sooner', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), fc.nat(200), fc.nat(90), (waitDays, more, ago) => {
        const next = (days: number) =>
          wait({ applications: [{ ...prodiamine, appliedOn: addDays(TODAY, -ago), waitDays: days }] }).next
        const [sooner, later] = [next(waitDays), next(waitDays + more)]
        // Where no window is left, no day is promised at all.
        expect(later === undefined || (sooner !== undefined && later >= sooner)).toBe(true)
      }),
    )
  })

  test('a barrier does not stop a dressing, which sows nothing', () => {
    const growing = [window('2027-05-01', '2027-09-20', '2027-05-01', 30)]
    expect(wait({ programme: 'level', applications: [prodiamine], growing })).toMatchObject({
      binding: false,
      next: '2027-05-01',
    })
  })

  test('two sprays want weeks: a window that closes before them is not one', () => {
    const killing = wait({ programme: 'kill' })
    expect(killing.window).toBeUndefined()
    expect(killing.next).toBe(SPRING.from)
    expect(wait({ programme: 'kill', windows: [window('2026-09-11', '2026-10-20', '2026-09-18')] })).toMatchObject({
      holds: [],
      next: '2026-10-04',
    })
  })

  test('outside every window it waits, and with none at all it says so', () => {
    expect(wait({ windows: [SPRING] })).toMatchObject({ next: SPRING.from, binding: false })
    expect(wait({ windows: [] }).next).toBeUndefined()
  })

  test('a ban, a drought, a season of the firm’s each hold, with the next day where there is one', () => {
    expect(wait({ restriction: { kind: 'ban', until: toDay('2026-09-20') } }).next).toBe('2026-09-21')
    expect(wait({ restriction: { kind: 'ban', until: toDay('2026-09-01') } }).holds).toEqual([])
    expect(words(wait({ rainShare: 0.1 }).holds[0]!.text)).toContain('Drought')
    expect(wait({ rainShare: 0.1, irrigated: true }).holds).toEqual([])
    expect(wait({ rainShare: null }).holds).toEqual([])
    expect(wait({ season: 'spring' })).toMatchObject({ next: SPRING.from })
    expect(wait({ season: 'spring', latDeg: -37 })).toMatchObject({ next: AUTUMN.from })
  })

  test('a cause that is not removed has no date, and no window waits for it', () => {
    const { waits } = decided({ sunHours: 2 })
    const waiting = wait({ zones: [{ zone: ZONE, waits }] })
    expect(waiting.window).toBeUndefined()
    expect(waiting.next).toBeUndefined()
    expect(waiting.holds[0]!.source).toMatchObject({ kind: 'mem' })
  })

  test('the label forbids each day of its wait and none after it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), (after) => {
        expect(labelForbids([prodiamine], addDays(prodiamine.appliedOn, after)) === undefined).toBe(after >= 184)
      }),
    )
    expect(labelForbids([], TODAY)).toBeUndefined()
  })
})
