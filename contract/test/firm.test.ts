import { describe, expect, test } from 'vitest'
import { PRACTICES, type Practices } from '#core/job/decision/practices'
import { DEFAULT_PRACTICES } from '#core/job/decision/usualPractices'
import { firmSettingsSchema, joinSchema, signUpSchema } from '../firm'
import { allPractices } from '#core/job/decision/usualPractices'
import { planningSchema, practicesSchema } from '../practices'
import { pricesChanged } from '../lawn'
import { readingSchema } from '../station'

const SETTINGS = {
  version: 1,
  name: 'Marram Turf',
  units: 'metric',
  currency: 'EUR',
  timeZone: 'Europe/Lisbon',
  language: 'en-GB',
  grows: 'cool',
  practices: DEFAULT_PRACTICES,
  planning: {},
  workingDays: [1, 2],
  holidays: [],
  feedRules: { phosphorus: 'exemption', blackouts: [] },
  hoursADay: 16,
  licences: [],
  homeStationId: null,
}
const accepts = (change: object) => firmSettingsSchema.safeParse({ ...SETTINGS, ...change }).success

describe('settings of a firm', () => {
  test('take zones and currencies that there are, and no others', () => {
    // IANA and ISO 4217 names, from memory.
    for (const timeZone of ['America/New_York', 'Pacific/Auckland', 'Asia/Kolkata', 'UTC'])
      expect([timeZone, accepts({ timeZone })]).toEqual([timeZone, true])
    for (const timeZone of ['', 'Atlantis/Reef', 'new york', '+02:00', `${'A'.repeat(70)}`])
      expect([timeZone, accepts({ timeZone })]).toEqual([timeZone, false])
    for (const currency of ['USD', 'JPY', 'NZD']) expect(accepts({ currency })).toBe(true)
    for (const currency of ['usd', 'EURO', '', '12A']) expect(accepts({ currency })).toBe(false)
  })

  test('have at least one working day, each once and in order', () => {
    expect(firmSettingsSchema.parse({ ...SETTINGS, workingDays: [5, 1, 5] }).workingDays).toEqual([1, 5])
    for (const workingDays of [[], [7], [-1], [1.5], Array(9).fill(1)]) expect(accepts({ workingDays })).toBe(false)
  })

  test('bound every text and list', () => {
    const licence = { what: 'Pesticides', number: 'A 12' }
    expect(accepts({ licences: Array(12).fill(licence) })).toBe(true)
    for (const change of [
      { licences: Array(13).fill(licence) },
      { licences: [{ what: '', number: '1' }] },
      { name: ' ' },
      { name: 'x'.repeat(81) },
      { units: 'cubits' },
      { homeStationId: 'home' },
      { version: '1' },
    ]) {
      expect([JSON.stringify(change).slice(0, 40), accepts(change)]).toEqual([
        JSON.stringify(change).slice(0, 40),
        false,
      ])
    }
  })

  test('know every choice of every practice, and fill what was not said yet', () => {
    for (const question of Object.keys(PRACTICES) as (keyof Practices)[]) {
      for (const { code } of PRACTICES[question].choices)
        expect(practicesSchema.safeParse({ ...DEFAULT_PRACTICES, [question]: code }).success).toBe(true)
      expect(practicesSchema.safeParse({ ...DEFAULT_PRACTICES, [question]: 'by the moon' }).success).toBe(false)
    }
    expect(planningSchema.safeParse({ overseedFrom: 0.6, crew: 6000 }).success).toBe(true)
    for (const figures of [{ overseedFrom: 1.2 }, { crew: -1 }, { moon: 1 }, { thatch: Number.NaN }])
      expect(planningSchema.safeParse(figures).success).toBe(false)
    expect(allPractices({ rate: 'heavy' })).toEqual({ ...DEFAULT_PRACTICES, rate: 'heavy' })
  })
})

describe('the door', () => {
  const person = {
    firmName: 'M',
    units: 'us',
    currency: 'USD',
    timeZone: 'UTC',
    name: 'Mara',
    email: ' Mara@Example.ORG ',
    password: 'three wet autumns',
  }
  test('keeps addresses and passwords as they were typed: which are one, the database says', () => {
    expect(signUpSchema.parse({ ...person, password: ' spaces at both ends ' })).toMatchObject({
      email: 'Mara@Example.ORG',
      password: ' spaces at both ends ',
    })
    for (const change of [
      { email: 'mara' },
      { email: `${'m'.repeat(200)}@example.org` },
      { password: 'ninechars' },
      { password: 'x'.repeat(201) },
    ])
      expect(signUpSchema.safeParse({ ...person, ...change }).success).toBe(false)
  })

  test('opens to whole secrets only', () => {
    expect(joinSchema.safeParse({ secret: 'A-_9'.repeat(10) + 'abc', password: person.password }).success).toBe(true)
    for (const secret of ['', 'x'.repeat(42), `${'x'.repeat(42)}/`, 'x'.repeat(44)])
      expect(joinSchema.safeParse({ secret, password: person.password }).success).toBe(false)
  })
})

test('a reading is of a day and a time that exist, of soil, and not from the cellar', () => {
  const takes = (change: object) =>
    readingSchema.safeParse({ at: '2026-09-08T06:40', depthMm: 50, tempC: 21.6, ...change }).success
  expect(takes({})).toBe(true)
  for (const change of [
    { at: '2026-02-30T25:00' },
    { at: '2026-02-31T06:00' },
    { at: '2026-02-28T24:10' },
    { at: '2026-13-01T06:00' },
    { at: '2026-09-08' },
    { depthMm: 501 },
    { depthMm: -1 },
    { tempC: 61 },
    { tempC: Number.NaN },
  ])
    expect(takes(change)).toBe(false)
})

test('a price is changed where a size has another than before, not where it has none', () => {
  const settings = (bags: { massKg: number; priceMinor: number | null }[]) =>
    ({ bags }) as Parameters<typeof pricesChanged>[1]
  const before = settings([
    { massKg: 20, priceMinor: 4500 },
    { massKg: 5, priceMinor: null },
  ])
  expect(pricesChanged(before, before)).toEqual([])
  expect(
    pricesChanged(
      before,
      settings([
        { massKg: 20, priceMinor: 4500 },
        { massKg: 10, priceMinor: null },
      ]),
    ),
  ).toEqual([])
  expect(
    pricesChanged(
      before,
      settings([
        { massKg: 20, priceMinor: 1 },
        { massKg: 5, priceMinor: 900 },
      ]),
    ),
  ).toEqual([20, 5])
  // Taking a price away is a change too.
  expect(pricesChanged(before, settings([{ massKg: 20, priceMinor: null }]))).toEqual([20])
  expect(pricesChanged(null, settings([{ massKg: 20, priceMinor: 1 }]))).toEqual([20])
  expect(pricesChanged(before, null)).toEqual([])
})
