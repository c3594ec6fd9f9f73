import { randomUUID } from 'node:crypto'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toDay } from '#core/measure/calendar'
import { doneByKey } from '#core/job/marks'
import { doneSchema, taskKeySchema, workSchema } from '../work'
import { NO_WORK } from '#core/job/nothingDecided'

const OWN = 'own-5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e02'
const fits = (change: object) => workSchema.safeParse({ ...NO_WORK, ...change }).success

describe('what is decided about the run of operations', () => {
  test('names tasks that there are, and bounds every text and list', () => {
    for (const key of ['scalp', 'lift-2', 'feedAgain', OWN])
      expect([key, taskKeySchema.safeParse(key).success]).toEqual([key, true])
    for (const key of ['', 'mulch', 'lift-', 'lift-200', 'scalp; drop table', 'own-1'])
      expect([key, taskKeySchema.safeParse(key).success]).toEqual([key, false])
    expect(
      fits({
        days: { scalp: '2026-09-18' },
        pins: { 'lift-3': '2026-10-01' },
        added: ['kill3', 'kill3'],
        skipped: { feed: 'fed' },
        overruled: { 'scalp:surface': 'blown dry' },
      }),
    ).toBe(true)
    for (const change of [
      { days: { scalp: 'soon' } },
      { skipped: { feed: '' } },
      { skipped: { feed: 'x'.repeat(301) } },
      { overruled: { scalp: 'x' } },
      { overruled: { 'scalp:surface': ' ' } },
      { added: ['sow'] },
      { own: { scalp: { name: 'x', day: '2026-09-18', hours: 1, note: '' } } },
      { own: { [OWN]: { name: '', day: '2026-09-18', hours: 1, note: '' } } },
    ]) {
      expect([change, fits(change)]).toEqual([change, false])
    }
    expect(workSchema.parse({ ...NO_WORK, added: ['kill3', 'kill3'] }).added).toEqual(['kill3'])
  })
  test('takes a day as all there is to tell of work done, and no more than there can be', () => {
    // So little that dividing by it overflows is nothing.
    expect(doneSchema.parse({ doneOn: '2026-09-08', hours: 1e-310 }).hours).toBe(0)
    expect(doneSchema.parse({ doneOn: '2026-09-08' })).toMatchObject({ share: 1, passed: true, hours: null, note: '' })
    for (const wrong of [
      { share: 0 },
      { share: 1.2 },
      { hours: -1 },
      { heightMm: 2 },
      { passes: 1.5 },
      { massKg: 30_000 },
      { note: 'x'.repeat(401) },
      { used: { 'no id': 1 } },
      { used: { [randomUUID()]: -1 } },
      { volumeM3: -1 },
      { hours: 0.001 },
      { massKg: 0.0001 },
      { areaM2: 5e-324 },
      { areaM2: 0 },
      { share: 1e-310 },
    ])
      expect(doneSchema.safeParse({ doneOn: '2026-09-08', ...wrong }).success).toBe(false)
  })
})

describe('work over several days', () => {
  const entry = (key: string, day: number, share: number, passed = true) => ({
    key,
    doneOn: toDay(`2026-09-${String(day).padStart(2, '0')}`),
    share,
    passed,
  })
  test('is done on the day its parts make the whole, whatever order they are read in', () => {
    const parts = [entry('level', 9, 0.3), entry('level', 7, 0.3), entry('level', 8, 0.4), entry('scalp', 7, 0.5)]
    const { done, begun } = doneByKey(parts)
    expect([...done]).toEqual([['level', { day: '2026-09-09', passed: true }]])
    expect([...begun]).toEqual([['scalp', { share: 0.5, day: '2026-09-07' }]])
  })
  test('is never both begun and done, and never more than the whole', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.constantFrom('scalp', 'core'),
            fc.integer({ min: 1, max: 28 }),
            fc.double({ min: 0.01, max: 1, noNaN: true }),
          ),
        ),
        (entries) => {
          const { done, begun } = doneByKey(entries.map(([key, day, share]) => entry(key, day, share)))
          for (const [key, { share }] of begun) expect(!done.has(key) && share < 1).toBe(true)
          for (const key of ['scalp', 'core']) {
            const total = entries.filter(([one]) => one === key).reduce((sum, [, , share]) => sum + share, 0)
            if (total < 0.99) expect(done.has(key)).toBe(false)
            if (total > 1) expect(done.has(key)).toBe(true)
          }
        },
      ),
    )
  })
})
