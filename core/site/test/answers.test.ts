import { grassByCode } from '../../grass/grasses'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toDay } from '../../measure/calendar'
import { countedCover } from '../cover'
import { measureZones } from '../measure'
import { LAWN_QUESTIONS, questionCount, questionsLeft, ZONE_QUESTIONS, type Asked } from '../questions'
import type { Feature } from '../sitePlan'
import { mainGrass, surveyOver } from '../survey'
import { NEW_ZONE, sunClass, sunHoursOn, surveyOfZone, thatchMm, type Zone, type ZoneSurvey } from '../zone'
import { ZONE } from '../../job/test/ground'
import { SOIL } from './soil'

const TODAY = toDay('2026-09-08')
const PLACE = { latDeg: 37, lonDeg: -79 }
const zone = (change: Partial<Zone> = {}): Zone => ({ ...structuredClone(NEW_ZONE), name: 'Lawn', order: 0, ...change })
const WHOLE: Partial<Zone> = {
  tapedM2: 100,
  sward: 'TF',
  grass: 'TF',
  desirableShare: 0.6,
  weedShare: 0.3,
  coarseShare: 0,
  bareShare: 0.1,
  plugsMm: [10, 14],
  driverMm: [50],
  mowingHeightMm: 70,
  sunHours: 8,
  slopeShare: 0,
  levelsSeen: true,
  wear: 'none',
  drainage: 'free',
}
const asked = (change: Partial<Asked> = {}): Asked => ({
  zones: { a: zone(WHOLE) },
  features: {},
  applications: [],
  nothingPutOn: true,
  soilTest: SOIL,
  water: { source: 'hose', timesADay: 2, restriction: 'none' },
  access: { services: 'located', barrowM: 10, tipping: '' },
  wishes: { goal: 'thicker' },
  ...change,
})
const left = (of: Asked) => questionsLeft(of, measureZones(of.zones, of.features, PLACE))

describe('cover by counted points', () => {
  test('gives the shares, and how far out they may be: the Wilson interval of a statistics handbook', () => {
    const { shares, points, error } = countedCover([30, 12, 3, 5])
    expect([shares, points]).toEqual([[0.6, 0.24, 0.06, 0.1], 50])
    // p = 0.6, n = 50, z = 1.645, by hand: (1.645 / 1.05412) · √(0.0048 + 0.00027060) = 0.1111.
    expect(error).toBeCloseTo(0.1111, 3)
  })

  test('adds to one, and more points are never less sure of the same share', () => {
    const counts = fc.array(fc.nat({ max: 60 }), { minLength: 4, maxLength: 4 }).filter((all) => all.some((n) => n > 0))
    fc.assert(
      fc.property(counts, fc.integer({ min: 2, max: 9 }), (once, times) => {
        expect(countedCover(once).shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
        expect(countedCover(once.map((n) => n * times)).error).toBeLessThan(countedCover(once).error)
      }),
    )
    for (const bad of [[], [1, 2, 3], [0, 0, 0, 0], [1, -1, 0, 2], [0.5, 1, 1, 1]])
      expect(() => countedCover(bad)).toThrow(RangeError)
  })
})

describe('what is still missing', () => {
  test('is nothing where all is answered, and everything of an empty zone', () => {
    expect(left(asked())).toEqual([])
    const empty = asked({
      zones: { a: zone() },
      nothingPutOn: false,
      soilTest: null,
      water: { source: null, timesADay: null, restriction: null },
      access: { services: 'not asked', barrowM: null, tipping: '' },
      wishes: { goal: null },
    })
    expect(left(empty)).toHaveLength(questionCount(empty))
    expect(questionCount(empty)).toBe(ZONE_QUESTIONS.length + LAWN_QUESTIONS.length)
  })

  test.each<[Partial<Zone>, string]>([
    [{ tapedM2: null }, 'area'],
    [{ sward: null }, 'grows'],
    [{ coarseShare: null }, 'cover'],
    [{ plugsMm: [] }, 'thatch'],
    [{ driverMm: [] }, 'hardness'],
    [{ mowingHeightMm: null }, 'height'],
    [{ sunHours: null }, 'sun'],
    [{ slopeShare: null }, 'slope'],
    [{ levelsSeen: false }, 'levels'],
    [{ wear: null }, 'wear'],
    [{ drainage: null }, 'wear'],
    [{ grass: null }, 'grass'],
  ])('names the one question that %j leaves open: %s', (change, code) => {
    expect(left(asked({ zones: { a: zone({ ...WHOLE, ...change }) } })).map((question) => question.code)).toEqual([
      code,
    ])
  })

  test('is nothing of thatch or mowing where nothing stands, and the plan is made without them', () => {
    const bare = zone({
      ...WHOLE,
      desirableShare: 0,
      weedShare: 0,
      coarseShare: 0,
      bareShare: 1,
      plugsMm: [],
      mowingHeightMm: null,
    })
    const dug = zone({ ...WHOLE, ground: 'cut-out', plugsMm: [], mowingHeightMm: null })
    for (const of of [bare, dug]) {
      expect(left(asked({ zones: { a: of } }))).toEqual([])
      expect(questionCount(asked({ zones: { a: of } }))).toBe(ZONE_QUESTIONS.length - 2 + LAWN_QUESTIONS.length)
    }
    const measure = { areaM2: 100, sunByMonthH: null }
    // The middle of what the wanted grass is mown at, or what it is to be kept at.
    const [low, high] = grassByCode(bare.grass!).mowingMm
    expect(surveyOfZone('a', bare, measure, TODAY)).toMatchObject({ thatchMm: 0, mowingHeightMm: (low + high) / 2 })
    expect(surveyOfZone('a', { ...bare, keptMm: 70 }, measure, TODAY)).toMatchObject({ mowingHeightMm: 70 })
    // A little that stands is asked about again.
    const some = { ...bare, bareShare: 0.95, weedShare: 0.05 }
    expect(left(asked({ zones: { a: some } })).map(({ code }) => code)).toEqual(['thatch', 'height'])
  })

  test('stops the plan only where the plan reads it', () => {
    for (const { code, needed } of ZONE_QUESTIONS) {
      const CHANGES: Record<string, Partial<Zone>> = {
        area: { tapedM2: null },
        grows: { sward: null },
        cover: { bareShare: null },
        thatch: { plugsMm: [] },
        hardness: { driverMm: [] },
        height: { mowingHeightMm: null },
        sun: { sunHours: null },
        slope: { slopeShare: null },
        levels: { levelsSeen: false },
        wear: { wear: null },
        grass: { grass: null },
      }
      const lacking = zone({ ...WHOLE, ...CHANGES[code] })
      const survey = surveyOfZone('a', lacking, measureZones({ a: lacking }, {}, PLACE).a!, TODAY)
      expect([code, survey === undefined]).toEqual([code, needed])
    }
  })

  test('says of which zone where there are several, and asks for lines that are drawn and not located', () => {
    const two = asked({
      zones: { a: zone({ ...WHOLE, name: 'Front' }), b: zone({ ...WHOLE, name: 'Back', order: 1, plugsMm: [] }) },
    })
    expect(left(two)).toMatchObject([{ words: { values: { zone: 'Back' } }, zoneId: 'b', needed: true }])
    const cable: Feature = {
      kind: 'buried',
      name: '',
      points: [
        [0, 0],
        [3, 3],
      ],
      holes: [],
      zoneId: null,
      heightM: null,
      radiusM: null,
      depthMm: null,
      located: false,
    }
    expect(left(asked({ features: { c: cable } })).map(({ code }) => code)).toEqual(['services'])
    expect(left(asked({ features: { c: { ...cable, located: true } } }))).toEqual([])
  })
})

describe('a zone as the plan reads it', () => {
  const read = (change: Partial<Zone>) =>
    surveyOfZone(
      'a',
      zone({ ...WHOLE, ...change }),
      { areaM2: 100, sunByMonthH: Array(12).fill(5) as number[] },
      TODAY,
    )!
  test('has the mean of its plugs and tries, and its hollows measured together', () => {
    expect(thatchMm(zone({ plugsMm: [10, 14] }))).toBe(12)
    const hollows = [
      {
        name: '',
        spacingM: 1,
        widthM: null,
        rowsMm: [
          [10, 10],
          [10, 10],
        ],
      },
      {
        name: '',
        spacingM: 2,
        widthM: null,
        rowsMm: [
          [0, 30],
          [30, 0],
        ],
      },
    ]
    expect(read({ driverMm: [40, 60], hollows })).toMatchObject({
      thatchMm: 12,
      driverMm: 50,
      deepestMm: 30,
      hollowM2: 5,
    })
    expect(read({ hollows }).hollowM3).toBeCloseTo(0.01 + 4 * 0.015, 9)
  })

  test('takes typed hours of sun before those of the plan', () => {
    expect([read({ sunHours: 8 }).sunHours, read({ sunHours: null }).sunHours]).toEqual([8, 5])
    expect(sunHoursOn(zone({ sunHours: null }), { areaM2: 1, sunByMonthH: null }, TODAY)).toBeNull()
    expect([2.9, 3, 5.9, 6].map(sunClass)).toEqual(['dense', 'part', 'part', 'full'])
  })

  test('keeps a taped area where the drawing does not count, and the drawn where it does', () => {
    const outline: Feature = {
      kind: 'zone',
      name: '',
      points: [
        [0, 0],
        [10, 0],
        [10, 5],
        [0, 5],
      ],
      holes: [],
      zoneId: 'a',
      heightM: null,
      radiusM: null,
      depthMm: null,
      located: false,
    }
    const areaM2 = (areaFrom: Zone['areaFrom'], features: Record<string, Feature>) =>
      measureZones({ a: zone({ ...WHOLE, areaFrom }) }, features, PLACE).a!.areaM2
    expect([areaM2('taped', { o: outline }), areaM2('drawn', { o: outline }), areaM2('drawn', {})]).toEqual([
      100, 50, 100,
    ])
  })
})

describe('zones read as one ground', () => {
  const part = (change: Partial<ZoneSurvey>): ZoneSurvey => ({ ...ZONE, ...change })
  test('add their areas and weigh the rest by them', () => {
    const both = surveyOver(
      [
        part({ areaM2: 300, thatchMm: 10, desirableShare: 0.8, slopeShare: 0.02, deepestMm: 5, hollowM3: 0.1 }),
        part({ areaM2: 100, thatchMm: 30, desirableShare: 0.4, slopeShare: 0.2, deepestMm: 40, hollowM3: 0.3 }),
      ],
      'loam',
    )
    expect(both).toMatchObject({ areaM2: 400, slopeShare: 0.2, deepestMm: 40 })
    expect([both.thatchMm, both.desirableShare, both.hollowM3].map((n) => Math.round(n * 1000) / 1000)).toEqual([
      15, 0.7, 0.4,
    ])
    expect(() => surveyOver([], 'loam')).toThrow(RangeError)
  })

  test('want the grass that most of the ground wants', () => {
    expect(
      mainGrass([
        part({ grass: 'PRG', areaM2: 120 }),
        part({ grass: 'TF', areaM2: 100 }),
        part({ grass: 'TF', areaM2: 50 }),
      ]),
    ).toBe('TF')
    expect(mainGrass([])).toBeUndefined()
  })

  test('lie between the least and the most of their parts, and their cover still fills the ground', () => {
    const some = fc.array(
      fc.record({
        areaM2: fc.double({ min: 1, max: 900, noNaN: true }),
        desirable: fc.double({ min: 0, max: 1, noNaN: true }),
        thatchMm: fc.double({ min: 0, max: 50, noNaN: true }),
      }),
      { minLength: 1, maxLength: 6 },
    )
    fc.assert(
      fc.property(some, (parts) => {
        const zones = parts.map(({ areaM2, desirable, thatchMm: mm }) =>
          part({
            areaM2,
            thatchMm: mm,
            desirableShare: desirable,
            weedShare: 1 - desirable,
            coarseShare: 0,
            bareShare: 0,
          }),
        )
        const all = surveyOver(zones, 'clay')
        expect(all.desirableShare + all.weedShare + all.coarseShare + all.bareShare).toBeCloseTo(1, 9)
        expect(all.thatchMm).toBeGreaterThanOrEqual(Math.min(...zones.map((one) => one.thatchMm)) - 1e-9)
        expect(all.thatchMm).toBeLessThanOrEqual(Math.max(...zones.map((one) => one.thatchMm)) + 1e-9)
      }),
    )
  })
})
