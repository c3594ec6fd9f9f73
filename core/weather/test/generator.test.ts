import { describe, expect, test } from 'vitest'
import { monthIndex, toDay, addDays } from '../../measure/calendar'
import { generateWeather } from '../generator'
import { climateFromNormals, climateFromRecord, mirrored } from '../normals'
import { ATLANTA, COLUMBUS } from './stations'

const YEARS = 200

describe.each([
  ['Columbus', COLUMBUS],
  ['Atlanta', ATLANTA],
  ['Columbus mirrored', mirrored(COLUMBUS)],
] as const)('200 generated years of %s', (_, normals) => {
  const first = toDay('1950-01-01')
  const days = Math.round(YEARS * 365.25)
  const run = generateWeather(climateFromNormals(normals), first, days, 11)
  const monthly = Array.from({ length: 12 }, () => ({ days: 0, tmax: 0, tmin: 0, rain: 0, wet: 0 }))
  for (let i = 0; i < days; i++) {
    const month = monthly[monthIndex(addDays(first, i))]!
    month.days++
    month.tmax += run.tmaxC[i]!
    month.tmin += run.tminC[i]!
    month.rain += run.rainMm[i]!
    month.wet += run.rainMm[i]! > 0 ? 1 : 0
  }
  test.each(monthly.map((_, m) => m))('month %i keeps its mean temperatures, rain and wet days', (m) => {
    const month = monthly[m]!
    const length = month.days / YEARS
    expect(Math.abs(month.tmax / month.days - normals.tmaxC[m]!)).toBeLessThan(0.5)
    expect(Math.abs(month.tmin / month.days - normals.tminC[m]!)).toBeLessThan(0.5)
    expect(Math.abs(month.rain / YEARS / normals.rainMm[m]! - 1)).toBeLessThan(0.1)
    expect(Math.abs(month.wet / month.days - normals.wetDays[m]! / length)).toBeLessThan(0.03)
  })
  test('no day is colder at noon than at night', () => {
    expect(run.tmaxC.every((tmax, i) => tmax > run.tminC[i]!)).toBe(true)
  })
})

test('the same seed gives the same days, another seed others', () => {
  const climate = climateFromNormals(COLUMBUS)
  const draw = (seed: number) => Array.from(generateWeather(climate, toDay('2026-01-01'), 60, seed).tmaxC)
  expect(draw(3)).toEqual(draw(3))
  expect(draw(3)).not.toEqual(draw(4))
})

test('a record that misses a month of the year gives no climate', () => {
  const record = Array.from({ length: 300 }, (_, i) => ({
    day: addDays(toDay('2026-01-01'), i),
    tmaxC: 20,
    tminC: 10,
    rainMm: 0,
  }))
  expect(climateFromRecord(record)).toBeUndefined()
})
