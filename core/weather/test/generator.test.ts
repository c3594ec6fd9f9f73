import { describe, expect, test } from 'vitest'
import { monthIndex, toDay, addDays } from '../../measure/calendar'
import { dayTable, generateWeather, WEATHER_SEED, yearSeed } from '../generator'
import { joinRuns } from '../weather'
import { randomDay } from '../random'
import { climateFromNormals, climateFromRecord } from '../climate'
import { mirrored } from '../normals'
import { ATLANTA, COLUMBUS } from './stations'

const YEARS = 200

describe.each([
  ['Columbus', COLUMBUS],
  ['Atlanta', ATLANTA],
  ['Columbus mirrored', mirrored(COLUMBUS)],
] as const)('200 generated years of %s', (_, normals) => {
  const first = toDay('2026-01-01')
  const climate = climateFromNormals(normals)
  const table = dayTable(climate, first, 365)
  const run = Array.from({ length: YEARS }, (_, y) =>
    generateWeather(climate, first, 365, yearSeed(WEATHER_SEED, y), table),
  ).reduce((all, one) => joinRuns(all, one))
  const days = YEARS * 365
  const monthly = Array.from({ length: 12 }, () => ({ days: 0, tmax: 0, tmin: 0, rain: 0, wet: 0 }))
  for (let i = 0; i < days; i++) {
    const month = monthly[monthIndex(addDays(first, i % 365))]!
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

// Found: at Columbus the odds of 12 September read 24 to 29 of 30 as today moved over 40 days.
test('a year belongs to the place and its number: its days do not depend on where the run begins', () => {
  const climate = climateFromNormals(COLUMBUS)
  const from = generateWeather(climate, toDay('2026-08-01'), 500, 5)
  for (const later of [1, 17, 40, 200]) {
    const run = generateWeather(climate, addDays(toDay('2026-08-01'), later), 300, 5)
    for (let i = 0; i < 300; i++) {
      expect(run.tmaxC[i]).toBeCloseTo(from.tmaxC[i + later]!, 6)
      expect(run.rainMm[i]).toBe(from.rainMm[i + later])
    }
  }
})

test('what is drawn for days is even, and of one day’s numbers none tells another', () => {
  const drawn = Array.from({ length: 20_000 }, (_, day) => {
    const random = randomDay(7, 739_000 + day)
    return [random.uniform(0), random.uniform(1)] as const
  })
  const mean = (of: (pair: readonly [number, number], i: number) => number) =>
    drawn.reduce((sum, pair, i) => sum + of(pair, i), 0) / drawn.length
  // Four standard errors: 4 / sqrt(12 * 20000) and 4 / (12 * sqrt(20000)).
  expect(Math.abs(mean(([a]) => a) - 0.5)).toBeLessThan(0.0082)
  expect(Math.abs(mean(([a, b]) => (a - 0.5) * (b - 0.5)))).toBeLessThan(0.0024)
  expect(Math.abs(mean(([a], i) => (a - 0.5) * (drawn[(i + 1) % drawn.length]![0] - 0.5)))).toBeLessThan(0.0024)
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
