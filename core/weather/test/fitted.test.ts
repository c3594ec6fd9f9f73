import { describe, expect, test } from 'vitest'
import { addDays, dayNumber, monthIndex, toDay } from '../../measure/calendar'
import { climateFromNormals, climateFromRecord, type Climate } from '../climate'
import { generateWeather } from '../generator'
import { dailyNormals, meanOf, type Normals } from '../normals'
import type { DailyWeather } from '../weather'
import { observedAt } from '../../../contract/test/observed'
import { ATLANTA, COLUMBUS } from './stations'

/** What is compared of days: spread and lag-one correlation of Tmax about a course, heavy days a year. */
function characterOfDays(days: readonly DailyWeather[], normals: Normals) {
  const left = days.map(({ day, tmaxC }) => tmaxC - dailyNormals(normals, day).tmaxC)
  const [mean, pairs] = [meanOf(left), left.slice(1).map((value, i) => [left[i]!, value] as const)]
  const variance = meanOf(left.map((v) => (v - mean) ** 2))
  return {
    sdK: Math.sqrt(variance),
    lag1: meanOf(pairs.map(([a, b]) => (a - mean) * (b - mean))) / variance,
    heavy: (days.filter(({ rainMm }) => rainMm >= 25).length / days.length) * 365.25,
  }
}
const drawn = (climate: Climate, years: number, seed = 3): DailyWeather[] => {
  const first = toDay('1950-01-01')
  const run = generateWeather(climate, first, Math.round(years * 365.25), seed)
  return Array.from(run.tmaxC, (tmaxC, i) => ({
    day: addDays(first, i),
    tmaxC,
    tminC: run.tminC[i]!,
    rainMm: run.rainMm[i]!,
  }))
}

describe.each(['Seattle', 'New York'] as const)('three observed years of %s', (place) => {
  const record = observedAt(place)
  test.each(['2012', '2013', '2014', '2015'])(
    'without %s: 200 drawn years keep spread, persistence and heavy rain of the other three',
    (year) => {
      const three = record.filter(({ day }) => day.slice(0, 4) !== year)
      const climate = climateFromRecord(three)!
      const [seen, made] = [
        characterOfDays(three, climate.normals),
        characterOfDays(drawn(climate, 200), climate.normals),
      ]
      const held = characterOfDays(
        record.filter(({ day }) => day.slice(0, 4) === year),
        climate.normals,
      )
      console.log(place, 'without', year, { seen, made, held })
      expect(Math.abs(made.sdK / seen.sdK - 1)).toBeLessThan(0.15)
      expect(Math.abs(made.lag1 - seen.lag1)).toBeLessThan(0.1)
      expect(Math.abs(made.heavy / seen.heavy - 1)).toBeLessThan(0.2)
    },
  )
  test('the course of a year keeps the means of its months', () => {
    const { normals } = climateFromRecord(record)!
    for (let month = 0; month < 12; month++) {
      const days = record.filter(({ day }) => monthIndex(day) === month)
      expect(
        Math.abs(meanOf(days.map(({ day }) => dailyNormals(normals, day).tmaxC)) - normals.tmaxC[month]!),
      ).toBeLessThan(0.5)
    }
  })
})

test('a course through months that no three harmonics follow keeps their means', () => {
  // A dip of 3 K in one month, as the cold water of spring brings to some coasts (invented for this check).
  const tmaxC = COLUMBUS.tmaxC.map((c, m) => c - (m === 5 ? 3 : 0))
  const start = dayNumber(toDay('2026-01-01'))
  const months = Array.from({ length: 12 }, () => [] as number[])
  for (let i = 0; i < 365; i++) {
    const day = addDays(toDay('2026-01-01'), i)
    months[monthIndex(day)]!.push(dailyNormals({ ...COLUMBUS, tmaxC }, day).tmaxC)
  }
  expect(start).toBeGreaterThan(0)
  months.forEach((values, m) => expect(Math.abs(meanOf(values) - tmaxC[m]!)).toBeLessThan(0.1))
})

// models.md, section 4, own figures: at an annual range of 27 K, 4.9 K in the coldest month and 3.7 K in the warmest.
test.each([
  ['Columbus', COLUMBUS],
  ['Atlanta', ATLANTA],
] as const)('at %s the spread of days is counted once, wet and dry together', (_, normals) => {
  const climate = climateFromNormals(normals)
  const days = drawn(climate, 200)
  for (let month = 0; month < 12; month++) {
    const of = days.filter(({ day }) => monthIndex(day) === month)
    const left = of.map(({ day, tmaxC }) => tmaxC - dailyNormals(normals, day).tmaxC)
    const sdK = Math.sqrt(meanOf(left.map((v) => v * v)))
    expect(Math.abs(sdK / climate.tmaxSdK[month]! - 1)).toBeLessThan(0.08)
  }
})
