import { describe, expect, test } from 'vitest'
import { defaultSettings } from '#core/programme/plan'
import { GRASSES } from '#core/grass/grasses'
import { lookSchema, missingOf, newLawnSchema, planSchema, settingsSchema, surveyOf, type Look } from '../lawn'
import { importSchema, mappingSchema, newStationSchema } from '../station'

const look: Look = lookSchema.parse({
  version: 1, client: ' Odell ', address: '', latDeg: 37, lonDeg: -79, stationId: null, areaM2: 612, areaTyped: '6,590 sq ft', growsNow: '', grass: 'TF',
  desirableShare: 0.56, weedShare: 0.35, bareShare: 0.09, thatchMm: 18, mowingHeightMm: 76, sun: 'full', texture: 'loam', slopeShare: 0, applications: [],
})
const problems = (change: object) => {
  const parsed = lookSchema.safeParse({ ...look, ...change })
  return parsed.success ? [] : parsed.error.issues.map(({ path }) => path.join('.'))
}

describe('the survey', () => {
  test('trims names and is whole when every question is answered', () => {
    expect(look.client).toBe('Odell')
    expect(missingOf(look)).toEqual([])
    expect(surveyOf(look)).toMatchObject({ areaM2: 612, grass: 'TF' })
  })

  test('may be kept unanswered, and says what is missing', () => {
    const half = { ...look, grass: null, thatchMm: null }
    expect(lookSchema.safeParse(half).success).toBe(true)
    expect(missingOf(half)).toEqual(['grass wanted', 'thatch'])
    expect(surveyOf(half)).toBeUndefined()
  })

  test.each([
    [{ client: ' ' }, 'client'], [{ client: 'x'.repeat(81) }, 'client'], [{ latDeg: 67 }, 'latDeg'], [{ areaM2: 0 }, 'areaM2'], [{ areaM2: Number.NaN }, 'areaM2'],
    [{ areaM2: 1e9 }, 'areaM2'], [{ bareShare: 0.5 }, 'bareShare'], [{ weedShare: -0.1, bareShare: 0.54 }, 'weedShare'], [{ thatchMm: 900 }, 'thatchMm'],
    [{ grass: 'OAK' }, 'grass'], [{ sun: 'moon' }, 'sun'], [{ stationId: 'nonsense' }, 'stationId'],
    [{ applications: [{ ingredient: 'x', appliedOn: '2026-02-30', waitDays: 3 }] }, 'applications.0.appliedOn'],
    [{ applications: [{ ingredient: 'x', appliedOn: '2026-02-03', waitDays: 3.5 }] }, 'applications.0.waitDays'],
    [{ applications: Array.from({ length: 41 }, () => ({ ingredient: 'x', appliedOn: '2026-02-03', waitDays: 3 })) }, 'applications'],
  ])('refuses %j at its field', (change, field) => {
    expect(problems(change)).toContain(field)
  })
})

test('the settings that a plan begins with are ones the contract takes, for every grass', () => {
  for (const grass of GRASSES) expect(settingsSchema.safeParse(defaultSettings(grass, 0.5)).success).toBe(true)
})

test('a plan refuses what cannot be sown or fed', () => {
  const settings = defaultSettings(GRASSES[0]!, 0.5)
  const fits = (change: object) => planSchema.safeParse({ version: 0, programme: 'overseed', overruleNote: null, sowOn: '2026-09-18', settings: { ...settings, ...change } }).success
  expect(fits({})).toBe(true)
  expect(fits({ seedRateGPerM2: 0 })).toBe(false)
  expect(fits({ starterAnalysis: '0-24-12' })).toBe(false)
  expect(fits({ starterNGPerM2: 6 })).toBe(false)
  expect(fits({ bags: [] })).toBe(false)
  expect(fits({ lot: { ...settings.lot, germinationShare: 1.2 } })).toBe(false)
})

test('a new lawn and a new station need a name and a place on the ground', () => {
  expect(newLawnSchema.safeParse({ id: '3f2b8c1e-7d4a-4c55-9a6b-2f1f6c0d9e11', client: 'A', address: '', areaM2: 10, areaTyped: '', growsNow: '' }).success).toBe(true)
  expect(newLawnSchema.safeParse({ id: '3f2b8c1e-7d4a-4c55-9a6b-2f1f6c0d9e11', client: '', address: '', areaM2: 10, areaTyped: '', growsNow: '' }).success).toBe(false)
  expect(newStationSchema.safeParse({ name: 'Ridge', latDeg: 37, lonDeg: -190, coastal: false }).success).toBe(false)
})

test('an import is bounded, and its columns lie in a table', () => {
  expect(importSchema.safeParse({ csv: 'x'.repeat(4_000_001), mapping: null }).success).toBe(false)
  expect(importSchema.safeParse({ csv: '', mapping: null }).success).toBe(false)
  expect(mappingSchema.safeParse({ columns: { day: 0, tmax: 1, tmin: 2, rain: -1 }, temperature: 'C', rain: 'mm', only: null }).success).toBe(false)
})
