import { describe, expect, test } from 'vitest'
import { summarise } from '../../establishment/outlook'
import { buildSeason, DAYS_AHEAD, type SeasonInput } from '../../establishment/season'
import { pureSeed } from '../../seed/blends'
import { addDays, daysBetween, toDay } from '../../measure/calendar'
import { generateWeather } from '../generator'
import { climateFromNormals, climateFromRecord } from '../climate'
import { type Normals } from '../normals'
import { climateOfPlace, LEAST_STATION_YEARS, stationYears } from '../stationYears'
import type { DailyWeather, WeatherRun } from '../weather'
import { observedAt } from '../../../contract/test/observed'
import { COLUMBUS, COLUMBUS_LAT } from './stations'

const asRecord = (run: WeatherRun): DailyWeather[] =>
  Array.from(run.tmaxC, (tmaxC, i) => ({
    day: addDays(run.first, i),
    tmaxC,
    tminC: run.tminC[i]!,
    rainMm: run.rainMm[i]!,
  }))
const climate = climateFromNormals(COLUMBUS)
const TWELVE = asRecord(generateWeather(climate, toDay('2014-03-01'), Math.ceil(12 * 365.25), 9))
const TODAY = toDay('2026-09-08')
const GROUND = { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' } as const
const INPUT: SeasonInput = { today: TODAY, observed: [], forecast: [], climate, ground: GROUND, years: 40, seed: 1 }

describe('years of a record', () => {
  test('are the days as they were observed, from the date of today on', () => {
    const years = stationYears(TWELVE, TODAY, 485, climate)!
    expect(years).toHaveLength(12)
    // Today lies after the record's end (27 February 2026): the latest year begins on 8 September of the year before.
    const begun = TWELVE.findIndex(({ day }) => day === '2025-09-08')
    expect(years[0]!.tmaxC.slice(0, 100)).toEqual(TWELVE.slice(begun, begun + 100).map(({ tmaxC }) => tmaxC))
    const older = TWELVE.findIndex(({ day }) => day === '2020-09-08')
    expect(years[5]!.rainMm).toEqual(TWELVE.slice(older, older + 485).map(({ rainMm }) => rainMm))
  })
  test('close to a ring: after the last day comes the same date of the first year', () => {
    const [latest] = stationYears(TWELVE, TODAY, 485, climate)!
    const left = daysBetween(toDay('2025-09-08'), TWELVE.at(-1)!.day) + 1
    const after =
      TWELVE.find(({ day }) => day === addDays(toDay('2013-09-08'), left)) ??
      TWELVE.find(
        ({ day }) => day === addDays(TWELVE.at(-1)!.day, 1 - daysBetween(toDay('2013-09-08'), toDay('2025-09-08'))),
      )!
    expect(latest!.tmaxC[left]).toBe(after.tmaxC)
  })
  test('are not told below ten full ones, nor where a year lacks weeks', () => {
    expect(stationYears(TWELVE.slice(0, 9 * 366), TODAY, 485, climate)).toBeUndefined()
    expect(stationYears([], TODAY, 485, climate)).toBeUndefined()
    const holed = TWELVE.filter(({ day }) => day.slice(5, 7) !== '07')
    expect(stationYears(holed, TODAY, 485, climate)).toBeUndefined()
    const oneHole = TWELVE.filter(({ day }) => day.slice(0, 7) !== '2019-07')
    expect(stationYears(oneHole, TODAY, 485, climate)!.length).toBe(11)
  })
  test('stand behind the counts in place of generated ones, each once', () => {
    const own = stationYears(TWELVE, TODAY, DAYS_AHEAD, climate)!
    const season = buildSeason({ ...INPUT, own })
    expect([season.years.length, season.ownYears]).toEqual([12, true])
    // Ten days on nothing is left of today's own weather.
    expect(Array.from(season.years[3]!.weather.tminC.slice(season.todayIndex + 10, season.todayIndex + 100))).toEqual(
      own[3]!.tminC.slice(10, 100),
    )
    expect(summarise(season, pureSeed('TF'), { covering: 'covered', slopeShare: 0 }, 75, COLUMBUS)).toMatchObject({
      years: 12,
      ownYears: true,
    })
  })
})

describe('a short record and the normals of its place', () => {
  const warmer: Normals = {
    ...COLUMBUS,
    tmaxC: COLUMBUS.tmaxC.map((c) => c + 4),
    tminC: COLUMBUS.tminC.map((c) => c + 4),
  }
  const meanJuly = (years: number, normals: Normals | null) =>
    climateOfPlace(TWELVE.slice(0, Math.round(years * 365.25)), normals)!.climate.normals.tmaxC[6]!
  test('lies between the two, nearer to the record the longer that is', () => {
    const own = climateFromRecord(TWELVE.slice(0, 366))!.normals.tmaxC[6]!
    const [one, nine] = [meanJuly(1.01, warmer), meanJuly(9, warmer)]
    expect(one).toBeGreaterThan(own)
    expect(one).toBeLessThan(warmer.tmaxC[6]!)
    expect(Math.abs(nine - climateFromRecord(TWELVE.slice(0, Math.round(9 * 365.25)))!.normals.tmaxC[6]!)).toBeLessThan(
      Math.abs(one - own),
    )
  })
  test('is the record alone without normals, the normals alone without a year of record', () => {
    expect(climateOfPlace(TWELVE.slice(0, 400), null)!.from).toBe('record')
    expect(climateOfPlace(TWELVE.slice(0, 100), COLUMBUS)).toMatchObject({
      from: 'normals',
      climate: { normals: COLUMBUS },
    })
    expect(climateOfPlace(TWELVE.slice(0, 100), null)).toBeUndefined()
  })
})

describe('four observed years of Seattle', () => {
  const record = observedAt('Seattle')
  const outlook = (on: string, code: 'PRG' | 'TF') => {
    const today = toDay(on)
    const { climate: seattle } = climateOfPlace(record, null)!
    const season = buildSeason({
      ...INPUT,
      today,
      climate: seattle,
      observed: record.filter(({ day }) => day < today),
      years: 60,
      ground: { ...GROUND, latDeg: 47.6, coastal: true },
    })
    return summarise(season, pureSeed(code), { covering: 'covered', slopeShare: 0 }, 65, seattle.normals)
  }
  test('are fewer than ten, so a generator is fitted to them, and keeps their means', () => {
    expect(record.length).toBe(1461)
    expect(stationYears(record, toDay('2015-08-01'), 485, climate)).toBeUndefined()
    expect(1461 / 365.25).toBeLessThan(LEAST_STATION_YEARS)
    const { climate: seattle } = climateOfPlace(record, null)!
    const july = record.filter(({ day }) => day.slice(5, 7) === '07')
    expect(seattle.normals.tmaxC[6]!).toBeCloseTo(july.reduce((sum, { tmaxC }) => sum + tmaxC, 0) / july.length, 9)
  })
  // Extension practice of the maritime Northwest, from memory: sow September to mid October, spring April to June
  // second.
  test('open a window in early autumn, from the days as they were up to 1 August 2015', () => {
    const { windows, filled } = outlook('2015-08-01', 'PRG')
    expect(filled.some(Boolean)).toBe(false)
    const autumn = windows.find(({ best }) => best < '2015-12-01')!
    expect(autumn.from <= '2015-09-20' && autumn.to >= '2015-09-01').toBe(true)
    expect(autumn.best < '2015-10-20').toBe(true)
    expect(autumn.chance.of100 / 100).toBeGreaterThan(0.7)
  })
  test('say that ryegrass has longer than tall fescue in autumn', () => {
    const end = (code: 'PRG' | 'TF') => outlook('2015-08-01', code).windows.find(({ best }) => best < '2015-12-01')!.to
    expect(end('PRG') >= end('TF')).toBe(true)
  })
})
