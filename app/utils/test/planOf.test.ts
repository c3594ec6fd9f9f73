import { describe, expect, test } from 'vitest'
import type { Lawn } from '#contract/lawn'
import { NO_WORK } from '#contract/work'
import { schoolsOf } from '#contract/schools'
import type { Glance } from '#core/establishment/glance'
import { planningOf } from '#core/job/planningFigures'
import { DEFAULT_SCHOOLS } from '#core/job/decision/practices'
import { toDay } from '#core/measure/calendar'
import { readTaped, SHAPE_EXAMPLES } from '#core/site/typedArea'
import { measureZones } from '#core/site/measure'
import { aLook, aZone, ZONE_ID } from '../../../contract/test/looks'
import { settingsUnder } from '../../composables/useDecide'
import { beginningSettings, decisionOf, partsIn, schoolsIn, sequenceOf } from '../planOf'
import { outlineOfShape } from '../tapedFigure'

const BACK = '5f0c9a52-6a1e-4d7f-9a53-1f3f0a6f0e02'
const look = aLook({
  zones: {
    [ZONE_ID]: aZone({ name: 'Front', tapedM2: 400 }),
    [BACK]: aZone({ name: 'Back', order: 1, tapedM2: 100, grass: 'CRF', sunHours: 4 }),
  },
})
const PRACTICE = {
  today: toDay('2026-09-08'),
  schools: DEFAULT_SCHOOLS,
  planning: planningOf(),
  workingDays: [1, 2, 3, 4, 5, 6],
  holidays: [],
  hoursADay: 16,
  pace: {},
  stock: {},
}
const lawn = (plan: Partial<Lawn['plan']> = {}, change: Partial<Lawn> = {}): Lawn => ({
  ...look,
  id: ZONE_ID,
  measured: measureZones(look.zones, look.features, look),
  areaM2: 500,
  sunAwaited: false,
  done: [],
  savedAt: null,
  savedBy: null,
  ...change,
  plan: {
    version: 1,
    programme: 'overseed',
    overruleNote: null,
    zonePlans: {},
    schools: {},
    blend: [],
    sowOn: toDay('2026-09-18'),
    settings: null,
    work: NO_WORK,
    savedAt: null,
    savedBy: null,
    ...plan,
  },
})
const glance: Glance = {
  years: 30,
  band: { lowC: 10, highC: 18.3 },
  growing: [],
  rainShare: 1,
  sowing: {
    good: 29,
    dormant: false,
    mow: { early: 26, middle: 30, late: 36 },
    up: { early: 7, middle: 9, late: 13 },
    groundLeft: 0.6,
    soilC: 20,
  },
  windows: [{ from: toDay('2026-09-11'), to: toDay('2026-09-23'), best: toDay('2026-09-18'), bestGood: 29 }],
}

describe('the plan of a lawn in zones', () => {
  test('has a part for each grass, the largest first, each at its own rate and depth', () => {
    const [front, back] = partsIn(lawn(), PRACTICE)!
    expect([front!.zones, front!.grass.code, back!.zones, back!.grass.code]).toEqual([['Front'], 'TF', ['Back'], 'CRF'])
    expect(back!.settings.seedRateGPerM2).toBeLessThan(front!.settings.seedRateGPerM2)
    expect(back!.settings.rakeMm + back!.settings.coverMm).toBeLessThanOrEqual(back!.grass.depthLimitMm)
  })

  test('leaves out a zone that is left as it is, and is none where every zone is', () => {
    const left = { programme: 'leave' as const, note: '' }
    expect(partsIn(lawn({ zonePlans: { [BACK]: left } }), PRACTICE)!.map(({ zones }) => zones)).toEqual([['Front']])
    expect(partsIn(lawn({ zonePlans: { [BACK]: left, [ZONE_ID]: left } }), PRACTICE)).toBeUndefined()
    expect(partsIn(lawn({ programme: null }), PRACTICE)).toBeUndefined()
  })

  test('shares its visits between zones that go separate ways', () => {
    const sequence = sequenceOf(lawn({ zonePlans: { [BACK]: { programme: 'hard', note: '' } } }), glance, PRACTICE)!
    const codes = sequence.slips.map(({ key }) => key)
    expect(new Set(codes).size).toBe(codes.length)
    const scalp = sequence.slips.find(({ operation }) => operation.code === 'scalp')!
    expect(scalp.settings).toEqual(expect.arrayContaining(['Front: ', 'Back: ']))
  })
})

describe('the judgement of a lawn', () => {
  test('leans as most of the ground does', () => {
    expect(decisionOf(lawn({ programme: null }), glance, PRACTICE)!.leans).toBe('overseed')
    const worse = aLook({
      zones: {
        ...look.zones,
        [ZONE_ID]: aZone({ name: 'Front', tapedM2: 400, desirableShare: 0.4, weedShare: 0.5, bareShare: 0.1 }),
      },
    })
    expect(decisionOf(lawn({ programme: null }, { zones: worse.zones }), glance, PRACTICE)!.leans).toBe('hard')
  })

  test('waits for a cause in a zone, and no longer where that zone is left alone', () => {
    const dark = { zones: { ...look.zones, [BACK]: aZone({ name: 'Back', order: 1, tapedM2: 100, sunHours: 1 }) } }
    expect(decisionOf(lawn({}, dark), glance, PRACTICE)!.waiting.holds[0]!.text[0]).toBe('Back: ')
    expect(
      decisionOf(lawn({ zonePlans: { [BACK]: { programme: 'leave', note: '' } } }, dark), glance, PRACTICE)!.waiting
        .holds,
    ).toEqual([])
  })
})

describe('another school', () => {
  test('of the plan goes before the firm’s, and only there', () => {
    const firm = { ...PRACTICE, schools: schoolsOf({ rate: 'heavy' }) }
    expect(schoolsIn(lawn({ schools: { cover: 'none' } }), firm)).toMatchObject({
      rate: 'heavy',
      cover: 'none',
      cores: 'leave',
    })
  })

  test('changes what it decides, and leaves what was typed', () => {
    const typed = {
      ...beginningSettings(lawn(), DEFAULT_SCHOOLS, 'overseed'),
      scalpToMm: 33,
      starterAnalysis: '16-16-16',
    }
    const now = lawn({ settings: typed })
    const bare = settingsUnder(now, DEFAULT_SCHOOLS, schoolsOf({ cover: 'none' }), 'overseed')
    expect(bare).toEqual({ ...typed, coverMm: 0 })
    const heavy = settingsUnder(now, DEFAULT_SCHOOLS, schoolsOf({ rate: 'heavy' }), 'overseed')
    expect(heavy.seedRateGPerM2 / typed.seedRateGPerM2).toBeCloseTo(1.5, 9)
    expect(heavy).toMatchObject({ scalpToMm: 33, starterAnalysis: '16-16-16' })
  })

  test('of more seed in spring holds for a spring day, in either hemisphere', () => {
    const more = schoolsOf({ springRate: 'more' })
    const rate = (sowOn: string, latDeg: number) =>
      beginningSettings(lawn({ sowOn: toDay(sowOn) }, { latDeg }), more, 'overseed').seedRateGPerM2
    expect(rate('2027-04-10', 37) / rate('2026-09-18', 37)).toBeCloseTo(1.25, 9)
    expect(rate('2026-09-18', -37) / rate('2027-04-10', -37)).toBeCloseTo(1.25, 9)
  })
})

test('every taped shape is drawn inside of its frame', () => {
  for (const example of Object.values(SHAPE_EXAMPLES)) {
    const read = readTaped(example, 'metric')
    if (!read?.ok) throw new Error(example)
    const { path, viewBox } = outlineOfShape(read.parts[0]!.shape)
    const [left, top, width, height] = viewBox.split(' ').map(Number) as [number, number, number, number]
    const numbers = path.match(/-?\d+\.\d+/g)!.map(Number)
    numbers.forEach((n, i) => {
      const [from, size] = i % 2 ? [top, height] : [left, width]
      expect([example, n >= from - 1e-6 && n <= from + size + 1e-6]).toEqual([example, true])
    })
  }
})
