import { describe, expect, test } from 'vitest'
import type { Lawn } from '#contract/lawn'
import { doneSchema } from '#contract/work'
import { NO_WORK } from '#core/job/nothingDecided'
import type { Glance } from '#core/establishment/glance'
import { defaultSettings } from '#core/job/settings'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { planningOf } from '#core/job/planningFigures'
import { DEFAULT_PRACTICES } from '#core/job/decision/usualPractices'
import { measureZones } from '#core/site/measure'
import { aLook, oneJob, withZone } from '../../../contract/test/looks'
import { grassByCode } from '#core/grass/grasses'
import { addDays, toDay } from '#core/measure/calendar'
import { hangersOf, sowingsOf } from '../hangers'
import { keptField } from '../keptField'
import { lawnRow } from '../lawnRow'
import { groundOf, jobOf, missingOf } from '#contract/lawn'
import { outlineOf } from '#core/job/outline'
import { GLANCE } from '#core/job/test/ground'
import { labelled, type Hanger } from '../sillScale'

const TODAY = toDay('2026-09-08')
const PRACTICE = {
  currency: 'USD',
  today: TODAY,
  practices: DEFAULT_PRACTICES,
  planning: planningOf(),
  workingDays: [0, 1, 2, 3, 4, 5, 6],
  holidays: [],
  feedRules: { phosphorus: 'exemption' as const, blackouts: [] },
  hoursADay: 40,
  pace: {},
  stock: {},
  spokenFor: {},
}
const UNSAVED = { savedAt: null, savedBy: null }
const look = aLook()
const PLAN = { version: 1, overruleNote: null, zonePlans: {}, practices: {}, blend: [], work: NO_WORK, ...UNSAVED }
const lawn: Lawn = {
  ...look,
  ...oneJob(look),
  ...UNSAVED,
  id: 'a',
  measured: measureZones(look.zones, look.features, look),
  areaM2: 612,
  sunAwaited: false,
  done: [],
  seen: [],
  plan: {
    ...PLAN,
    programme: 'overseed',
    sowOn: toDay('2026-09-18'),
    settings: defaultSettings({ grass: grassByCode('TF'), desirableShare: 0.56, programme: PROGRAMMES.overseed }),
  },
}
const glance: Glance = { ...GLANCE, rainShare: 0.9 }
const undecided: Lawn = { ...lawn, plan: { ...PLAN, version: 0, programme: null, sowOn: null, settings: null } }
const outlined = (each: Lawn, brief: Glance | null = glance) =>
  outlineOf({
    job: jobOf(each),
    lawn: groundOf(each),
    firm: PRACTICE,
    glance: brief,
    ended: each.job.endedOn !== null,
    missing: missingOf(each),
  })
const row = (each: Lawn, brief: Glance | null = glance) => {
  const { id, client, address, growsNow, areaM2, job, plan } = each
  const { programme, sowOn } = plan
  const listed = {
    id,
    client,
    address,
    growsNow,
    sample: false,
    areaM2,
    job: { ...job, programme, sowOn, outcome: null },
  }
  return lawnRow({ ...listed, outline: outlined(each, brief) }, TODAY, 'us')
}

describe('a row of the list', () => {
  test('tells where the lawn stands', () => {
    expect(row(lawn)).toMatchObject({ stage: 'to sow', sow: 'Fri Sep 18', odds: '97 of 100', what: 'Soil test' })
    expect(row(undecided)).toMatchObject({ stage: 'to decide', programme: 'Not decided' })
    expect(row(withZone(undecided, { plugsMm: [] }))).toMatchObject({ stage: 'to survey' })
    expect(
      row({ ...lawn, done: [{ ...doneSchema.parse({ doneOn: '2026-09-07' }), id: 'm', key: 'sow', savedBy: null }] })
        .stage,
    ).toBe('growing')
  })

  test('says not now with its reason, and only while nothing is planned', () => {
    const barred = {
      ...undecided,
      applications: [
        { ingredient: 'prodiamine', product: '', rate: '', appliedOn: toDay('2026-08-01'), waitDays: 200 },
      ],
    }
    expect(row(barred)).toMatchObject({ stage: 'not now', programme: 'Wait', gate: { state: 'hold' } })
    expect(row(withZone(undecided, { sunHours: 2 }))).toMatchObject({ stage: 'not now', odds: '' })
  })

  test('waits for what holds its next task, and no more once that is overridden with a note', () => {
    const done = (key: string, doneOn: string) => ({ ...doneSchema.parse({ doneOn }), id: key, key, savedBy: null })
    const dry: Glance = { ...glance, sowing: { ...glance.sowing!, groundLeft: 0.02 } }
    const early = ['soilTest', 'results', 'order', 'locate'].map((key) => done(key, '2026-08-25'))
    const work = { ...NO_WORK, skipped: { waterAhead: 'no hose there' } }
    const plan = { ...lawn.plan, sowOn: toDay('2026-09-12'), work }
    const ready = { ...lawn, plan, done: [...early, done('scalp', '2026-09-07')] }
    expect(row(ready, dry).gate).toMatchObject({ state: 'hold', code: 'ground' })
    const overruled = { ...work, overruled: { 'dethatch:ground': 'soaked by hand this morning' } }
    expect(row({ ...ready, plan: { ...ready.plan, work: overruled } }, dry).gate?.state).not.toBe('hold')
  })

  test('stands without its season while that is still being worked out', () => {
    expect(row(lawn, null)).toMatchObject({ stage: 'to sow', odds: '' })
  })

  test('stands with what is on record before it is worked out, and says no state it does not know', () => {
    const { id, client, address, growsNow, areaM2, job } = lawn
    const bare = {
      id,
      client,
      address,
      growsNow,
      sample: false,
      areaM2,
      job: { ...job, sowOn: null, outcome: null },
      outline: null,
    }
    expect(lawnRow(bare, TODAY, 'us')).toMatchObject({ stage: undefined, sow: '', next: '', what: '', gate: null })
  })

  test('of a job that has ended says what it was', () => {
    const ended = {
      ...lawn,
      done: [{ ...doneSchema.parse({ doneOn: '2026-09-07' }), id: 'm', key: 'sow', savedBy: null }],
    }
    const { id, client, address, growsNow, areaM2, job } = ended
    const closed = { ...job, programme: 'overseed' as const, sowOn: null, outcome: 'closed' as const, endedOn: TODAY }
    const outline = outlined({ ...ended, job: { ...job, endedOn: TODAY } })
    expect(
      lawnRow({ id, client, address, growsNow, sample: false, areaM2, job: closed, outline }, TODAY, 'us'),
    ).toMatchObject({
      stage: 'finished',
      sow: 'sown Sep 7',
      what: 'closed Sep 8',
    })
  })
})

test('a schedule hangs from the ledge with its sowing named, among many lawns only that', () => {
  const { marks } = outlined(lawn)
  expect(hangersOf(marks, 'a').find(({ mark }) => mark === 'sow')).toMatchObject({ label: 'Sow', day: '2026-09-18' })
  expect(sowingsOf(marks, { id: 'a', client: 'Odell' })).toMatchObject([{ label: 'Odell', mark: 'sow' }])
  expect(hangersOf([], 'a')).toEqual([])
})

test('labels on the ledge never lie on each other, and no more are kept than fit', () => {
  const hangers: Hanger[] = Array.from({ length: 12 }, (_, i) => ({
    key: `${i}`,
    day: addDays(TODAY, i),
    mark: 'sow',
    label: `Lawn ${i}`,
    done: false,
  }))
  const x = (day: string) => hangers.findIndex((h) => h.day === day) * 30
  const kept = labelled(hangers, x, 500, 3)
  expect(kept.size).toBeGreaterThan(0)
  expect(kept.size).toBeLessThanOrEqual(3)
})

test('a rounded field that nobody typed over gives back the exact value', () => {
  const field = keptField(17.78, '0.7 in')
  const parse = () => ({ ok: true as const, value: 1 })
  expect(field('0.7 in', parse)).toEqual({ ok: true, value: 17.78 })
  expect(field('0.8 in', parse)).toEqual({ ok: true, value: 1 })
})
