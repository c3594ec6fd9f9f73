import { told } from '#core/explain/test/told'
import { describe, expect, test } from 'vitest'
import { defaultSettings } from '#core/job/settings'
import { GRASSES } from '#core/grass/grasses'
import { measureZones } from '#core/site/measure'
import { toDay } from '#core/measure/calendar'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { surveyOf } from '#core/job/lawn'
import { newLawnSchema } from '../newLawn'
import { missingOf, planSchema, settingsSchema, type Lawn } from '../lawn'
import { lookSchema, type Look } from '../look'
import { readSoilCsv } from '../soilCsv'
import { aLook, oneJob, ZONE_ID } from './looks'
import { NO_WORK } from '#core/job/nothingDecided'
import { importSchema, mappingSchema, newStationSchema } from '../station'

const look: Look = aLook({ client: ' Odell ' })
const lawnOf = (of: Look): Lawn => ({
  ...of,
  ...oneJob(of),
  id: ZONE_ID,
  measured: measureZones(of.zones, of.features, of),
  areaM2: 0,
  sunAwaited: false,
  done: [],
  seen: [],
  savedAt: null,
  savedBy: null,
  plan: {
    version: 0,
    programme: null,
    overruleNote: null,
    zonePlans: {},
    practices: {},
    blend: [],
    sowOn: null,
    settings: null,
    work: NO_WORK,
    savedAt: null,
    savedBy: null,
  },
})
const TODAY = toDay('2026-09-08')
const problems = (change: object) => {
  const parsed = lookSchema.safeParse({ ...look, ...change })
  return parsed.success ? [] : parsed.error.issues.map(({ path }) => path.join('.'))
}

describe('the survey', () => {
  test('trims names and is whole when every question is answered', () => {
    expect(look.client).toBe('Odell')
    expect(missingOf(lawnOf(look))).toEqual([])
    expect(surveyOf(lawnOf(look), TODAY)).toMatchObject({ areaM2: 612, grass: 'TF', sun: 'full', thatchMm: 18 })
  })

  test('may be kept unanswered, and says what is missing', () => {
    const half = aLook({}, { grass: null, plugsMm: [] })
    expect(lookSchema.safeParse(half).success).toBe(true)
    expect(missingOf(lawnOf(half))).toMatchObject([{ key: 'site.thatchWords' }, { key: 'site.grassWords' }])
    expect(surveyOf(lawnOf(half), TODAY)).toBeUndefined()
  })

  test.each([
    [{ client: ' ' }, 'client'],
    [{ client: 'x'.repeat(81) }, 'client'],
    [{ latDeg: 67 }, 'latDeg'],
    [{ stationId: 'nonsense' }, 'stationId'],
    [{ zones: {} }, 'zones'],
    [
      { applications: [{ ingredient: 'x', product: '', rate: '', appliedOn: '2026-02-30', waitDays: 3 }] },
      'applications.0.appliedOn',
    ],
    [
      { applications: [{ ingredient: 'x', product: '', rate: '', appliedOn: '2026-02-03', waitDays: 3.5 }] },
      'applications.0.waitDays',
    ],
    [
      {
        applications: Array.from({ length: 41 }, () => ({
          ingredient: 'x',
          product: '',
          rate: '',
          appliedOn: '2026-02-03',
          waitDays: 3,
        })),
      },
      'applications',
    ],
    [
      {
        zones: Object.fromEntries(
          Array.from({ length: 25 }, (_, i) => [ZONE_ID.replace(/..$/, String(10 + i)), look.zones[ZONE_ID]]),
        ),
      },
      'zones',
    ],
    [
      {
        features: {
          [ZONE_ID]: {
            kind: 'zone',
            name: '',
            points: [
              [0, 0],
              [5, 0],
              [5, 5],
            ],
            holes: [],
            zoneId: null,
            heightM: null,
            radiusM: null,
            depthMm: null,
            located: false,
          },
        },
      },
      `features.${ZONE_ID}.zoneId`,
    ],
    [
      {
        features: {
          [ZONE_ID]: {
            kind: 'bed',
            name: '',
            points: [
              [0, 0],
              [9, 9],
              [9, 0],
              [0, 9],
            ],
            holes: [],
            zoneId: null,
            heightM: null,
            radiusM: null,
            depthMm: null,
            located: false,
          },
        },
      },
      `features.${ZONE_ID}.points`,
    ],
    [
      {
        features: {
          [ZONE_ID]: {
            kind: 'tree',
            name: '',
            points: [[0, 90000]],
            holes: [],
            zoneId: null,
            heightM: 6,
            radiusM: null,
            depthMm: null,
            located: false,
          },
        },
      },
      `features.${ZONE_ID}.points.0.1`,
    ],
    [{ water: { ...look.water, timesADay: 40 } }, 'water.timesADay'],
    [
      {
        soilTest: {
          sampledOn: '2026-09-01',
          method: 'Mehlich-3',
          ph: 1,
          bufferPh: null,
          pPpm: null,
          kPpm: null,
          organicShare: null,
          note: '',
        },
      },
      'soilTest.ph',
    ],
  ])('refuses %j at its field', (change, field) => {
    expect(problems(change)).toContain(field)
  })

  test.each([
    [{ tapedM2: 0 }, 'tapedM2'],
    [{ tapedM2: Number.NaN }, 'tapedM2'],
    [{ tapedM2: 1e9 }, 'tapedM2'],
    [{ bareShare: 0.5 }, 'bareShare'],
    [{ weedShare: -0.1, bareShare: 0.54 }, 'weedShare'],
    [{ plugsMm: [900] }, 'plugsMm.0'],
    [{ plugsMm: Array(13).fill(5) }, 'plugsMm'],
    [{ grass: 'OAK' }, 'grass'],
    [{ sward: 'OAK' }, 'sward'],
    [{ sunHours: 25 }, 'sunHours'],
    [{ errorShare: 0.5 }, 'errorShare'],
    [{ counted: [1, 2] }, 'counted'],
    [{ hollows: [{ name: '', spacingM: 1, widthM: null, rowsMm: [[1, 2], [3]] }] }, 'hollows.0.rowsMm'],
    [{ slopeShare: 2 }, 'slopeShare'],
  ])('of a zone refuses %j at its field', (change, field) => {
    const parsed = lookSchema.safeParse(aLook({}, change as object, false))
    expect(parsed.success ? [] : parsed.error.issues.map(({ path }) => path.join('.'))).toContain(
      `zones.${ZONE_ID}.${field}`,
    )
  })
})

describe('a soil report from CSV', () => {
  const TOP =
    'Sample,Date,Method,Soil pH,Buffer pH,P (ppm),K (ppm),Organic matter %\nfront,2026-08-26,Mehlich-3,6.4,6.8,18,128,3.1'
  test('is read with names across the top, or one value a line', () => {
    const read = readSoilCsv(TOP, TODAY)
    expect(read).toMatchObject({
      ok: true,
      test: {
        sampledOn: '2026-08-26',
        method: 'Mehlich-3',
        ph: 6.4,
        bufferPh: 6.8,
        pPpm: 18,
        kPpm: 128,
        organicShare: 0.031,
      },
    })
    expect(readSoilCsv('pH,6.1\nPhosphorus,40 lb/acre\nPotassium,200\n', TODAY)).toMatchObject({
      ok: true,
      test: { ph: 6.1, pPpm: 20, kPpm: 200, method: 'other', sampledOn: TODAY },
    })
  })

  test('that is none, or says what cannot be, is told in words', () => {
    for (const [text, says] of [
      ['', 'No pH'],
      ['hello', 'No pH'],
      ['pH,"6', 'quote'],
      ['pH,64\nP,12', 'A pH between'],
      ['P,12000\nK,5', 'ppm'],
      ['pH,\u0000', 'No pH'],
    ]) {
      const read = readSoilCsv(text!, TODAY)
      expect([text, read.ok ? 'ok' : told(read.message)]).toEqual([text, expect.stringContaining(says!)])
    }
  })
})

test('the settings that a plan begins with are ones the contract takes, for every grass', () => {
  for (const grass of GRASSES)
    expect(
      settingsSchema.safeParse(defaultSettings({ grass, desirableShare: 0.5, programme: PROGRAMMES.overseed })).success,
    ).toBe(true)
})

test('a plan refuses what cannot be sown or fed', () => {
  const settings = defaultSettings({ grass: GRASSES[0]!, desirableShare: 0.5, programme: PROGRAMMES.overseed })
  const fits = (change: object) =>
    planSchema.safeParse({
      version: 0,
      programme: 'overseed',
      overruleNote: null,
      zonePlans: {},
      practices: {},
      blend: [],
      work: NO_WORK,
      sowOn: '2026-09-18',
      settings: { ...settings, ...change },
    }).success
  expect(fits({})).toBe(true)
  expect(fits({ seedRateGPerM2: 0 })).toBe(false)
  expect(fits({ starterAnalysis: '0-24-12' })).toBe(false)
  expect(fits({ starterNGPerM2: 6 })).toBe(false)
  expect([fits({ starterNGPerM2: 0 }), fits({ starterNGPerM2: 0.1 })]).toEqual([true, false])
  expect(fits({ bags: [] })).toBe(false)
  expect(fits({ lot: { ...settings.lot, germinationShare: 1.2 } })).toBe(false)
})

test('a new lawn and a new station need a name and a place on the ground', () => {
  expect(
    newLawnSchema.safeParse({
      id: '3f2b8c1e-7d4a-4c55-9a6b-2f1f6c0d9e11',
      client: 'A',
      address: '',
      areaM2: 10,
      areaTyped: '',
      growsNow: '',
    }).success,
  ).toBe(true)
  expect(
    newLawnSchema.safeParse({
      id: '3f2b8c1e-7d4a-4c55-9a6b-2f1f6c0d9e11',
      client: '',
      address: '',
      areaM2: 10,
      areaTyped: '',
      growsNow: '',
    }).success,
  ).toBe(false)
  expect(
    newStationSchema.safeParse({ name: 'Ridge', latDeg: 37, lonDeg: -190, heightM: null, coastal: false }).success,
  ).toBe(false)
})

test('an import is bounded, and its columns lie in a table', () => {
  expect(importSchema.safeParse({ csv: 'x'.repeat(4_000_001), mapping: null }).success).toBe(false)
  expect(importSchema.safeParse({ csv: '', mapping: null }).success).toBe(false)
  expect(
    mappingSchema.safeParse({
      columns: { day: 0, tmax: 1, tmin: 2, rain: -1 },
      temperature: 'C',
      rain: 'mm',
      only: null,
    }).success,
  ).toBe(false)
})
