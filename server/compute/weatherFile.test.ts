import { refusalOf, told } from '#core/explain/test/told'
import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { climateFromRecord } from '#core/weather/climate'
import { toDay } from '#core/measure/calendar'
import { dailyCsv, forecastCsv, probeCsv } from '#contract/feed'
import { UnreadableFile } from './table'
import { readReadings, type ReadingsTold } from './readingsFile'
import { OPEN_FORECAST, OPEN_FORM, previewDays, readDays } from './weatherFile'
import { standinDays, standinForecast, standinReadings } from '../weather/standin'

const bytes = (text: string) => new TextEncoder().encode(text)
const previewCsv = (text: string) => previewDays(bytes(text))
const readCsv = (text: string, mapping: Parameters<typeof readDays>[1], last: Parameters<typeof readDays>[2]) =>
  readDays(bytes(text), mapping, last)
const TODAY = toDay('2026-09-08')
// Daily observations of Seattle and New York, 2012-2015, US NOAA, as shipped by the npm package vega-datasets.
const REAL = readFileSync(new URL('../../node_modules/vega-datasets/data/weather.csv', import.meta.url), 'utf8')

describe('the real observations of Seattle', () => {
  const preview = previewCsv(REAL)

  test('are recognised by their columns, with both places offered', () => {
    expect(preview.guess).toMatchObject({
      columns: { day: 1, rain: 2, tmax: 3, tmin: 4 },
      temperature: 'C',
      rain: 'mm',
    })
    expect(preview.choices[0]?.values).toEqual(expect.arrayContaining(['Seattle', 'New York']))
  })

  test('are read as four years without a gap, and make a climate as mild and wet-wintered as the place is', () => {
    const { days, rejected } = readCsv(REAL, { ...preview.guess!, only: { column: 0, value: 'Seattle' } }, TODAY)
    expect(rejected).toEqual([])
    expect(days).toHaveLength(1461)
    // Published 1991-2020 normals of Seattle-Tacoma, from memory: July max 26 °C, January min 3 °C, rain 990 mm a year.
    const { normals } = climateFromRecord(days)!
    expect(Math.abs(normals.tmaxC[6]! - 26)).toBeLessThan(2)
    expect(Math.abs(normals.tminC[0]! - 3)).toBeLessThan(2)
    expect(Math.abs(normals.rainMm.reduce((sum, mm) => sum + mm, 0) / 990 - 1)).toBeLessThan(0.25)
  })

  test('of both places at once are refused row by row, since a day cannot be twice', () => {
    const { days, rejected, rejectedCount } = readCsv(REAL, preview.guess!, TODAY)
    expect(days.length + rejectedCount).toBe(preview.rows)
    expect(told(rejected[0]!.reason)).toContain('in the file already')
  })
})

describe('a station file', () => {
  const rows = (...lines: string[]) => `date,high (F),low (F),rain (in)\n${lines.join('\n')}\n`

  test('in °F and inches is read into °C and mm', () => {
    const csv = rows('2026-08-01,86,59,1.5', '8/2/2026,50,32,0')
    const { days, rejected } = readCsv(csv, previewCsv(csv).guess!, TODAY)
    expect(rejected).toEqual([])
    expect(days[0]!.tmaxC).toBeCloseTo(30, 9)
    expect(days[0]!.tminC).toBeCloseTo(15, 9)
    expect(days[0]!.rainMm).toBeCloseTo(38.1, 9)
    expect(days[1]!.day).toBe('2026-08-02')
  })

  test.each([
    ['2026-02-30,80,60,0', 'not a date'],
    ['2026-09-09,80,60,0', 'not happened yet'],
    ['2026-08-01,,60,0', 'highest temperature'],
    ['2026-08-01,80,M,0', 'lowest temperature'],
    ['2026-08-01,80,60,M', 'rain'],
    ['2026-08-01,60,80,0', 'above highest'],
    ['2026-08-01,800,60,0', 'cannot be air'],
    ['2026-08-01,80,60,-1', "cannot be a day's"],
    ['2026-08-01', 'highest temperature'],
  ])('lists "%s" by line with the reason and keeps the rest', (bad, reason) => {
    const csv = rows('2026-07-30,80,60,0', bad, '2026-07-31,81,61,0.1')
    const { days, rejected } = readCsv(csv, previewCsv(csv).guess!, TODAY)
    expect(days).toHaveLength(2)
    expect(rejected).toHaveLength(1)
    expect(rejected[0]!.line).toBe(3)
    expect(told(rejected[0]!.reason)).toContain(reason)
  })

  test('that is not a table, or maps a column twice, is refused whole', () => {
    expect(() => previewCsv('nothing here')).toThrow(UnreadableFile)
    expect(() => previewCsv('"a,b\n1,2')).toThrow(UnreadableFile)
    expect(
      refusalOf(() => readCsv(rows(), { ...OPEN_FORM, columns: { day: 0, tmax: 1, tmin: 1, rain: 3 } }, TODAY)),
    ).toMatch(/twice/)
    expect(refusalOf(() => readCsv('date,tmax\n', OPEN_FORM, TODAY))).toMatch(/not in this file/)
  })

  test('with decimal commas is read by them where semicolons or tabs part the cells, and not where commas do', () => {
    for (const delimiter of [';', '\t']) {
      const csv =
        ['date', 'high', 'low', 'rain'].join(delimiter) +
        '\n' +
        [
          ['2018-01-03', '20,5', '10,1', '0,0'],
          ['04.01.2018', '-1,5', '-7', ',5'],
        ]
          .map((row) => row.join(delimiter))
          .join('\n')
      expect(previewCsv(csv)).toMatchObject({ delimiter, guess: { columns: { day: 0, tmax: 1, tmin: 2, rain: 3 } } })
      expect(readCsv(csv, previewCsv(csv).guess!, TODAY)).toMatchObject({
        rejectedCount: 0,
        days: [
          { day: '2018-01-03', tmaxC: 20.5, tminC: 10.1, rainMm: 0 },
          { day: '2018-01-04', tmaxC: -1.5, tminC: -7, rainMm: 0.5 },
        ],
      })
    }
    // A header parted by commas over rows with decimal commas: the cells no longer fit, and are not guessed at.
    expect(readCsv('date,high,low,rain\n2018-01-03,20,5,10,1,0,0\n', OPEN_FORM, TODAY)).toMatchObject({
      days: [],
      rejected: [{ line: 2, reason: { values: { cells: 7, columns: 4 } } }],
    })
  })

  test('whose rows end in a delimiter, or are in UTF-16 as spreadsheets write it, is read all the same', () => {
    expect(readCsv('date,high,low,rain\n2018-01-03,20,10,1,\n', OPEN_FORM, TODAY).days).toHaveLength(1)
    const wide = Buffer.from('\ufeffdate;high;low;rain\n2018-01-03;20,5;10;1\n', 'utf16le')
    expect(readDays(wide, OPEN_FORM, TODAY).days).toMatchObject([{ tmaxC: 20.5 }])
  })

  test.each([
    ['of 2,000,000 lines', () => '1\n'.repeat(2_000_000), /more than 200,000 lines/],
    ['of 990,000 lines of commas', () => ',,\n'.repeat(990_000), /more than 200,000 lines/],
    ['that is one line of 2,000,000 cells', () => '1,'.repeat(2_000_000), /longer than 20,000 characters/],
    ['of 2,000 columns named alike', () => `${'station,'.repeat(2000)}\n${'1\n'.repeat(60_000)}`, /2,001 columns/],
    ['of more cells than anybody writes', () => `${'a,'.repeat(199)}a\n${'1\n'.repeat(60_000)}`, /too many at once/],
    ['that is no text', () => 'date,high\0,low\n', /no text file/],
  ])('%s is refused before anything is built of it', (_, make, says) => {
    const file = bytes(make())
    const began = performance.now()
    expect(refusalOf(() => previewDays(file))).toMatch(says)
    // Each took 12 s and more, and gigabytes, when it was parsed first; how long it takes now is told by the hostile
    // suite.
    expect(performance.now() - began).toBeLessThan(5000)
  })

  test('whatever it holds, every row is either kept within limits or told', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.array(fc.oneof(fc.string({ maxLength: 8 }), fc.integer().map(String)), { minLength: 4, maxLength: 4 }),
          { maxLength: 8 },
        ),
        (table) => {
          const csv = [
            'date,tmax_c,tmin_c,precipitation_mm',
            ...table.map((row) => row.map((cell) => `"${cell.replace(/"/g, '""')}"`).join(',')),
          ].join('\n')
          const { days, rejected } = readCsv(csv, OPEN_FORM, TODAY)
          expect(days.length + rejected.length).toBeLessThanOrEqual(table.length)
          for (const { tmaxC, tminC, rainMm } of days)
            expect(tmaxC <= 60 && tminC >= -70 && tminC <= tmaxC && rainMm >= 0).toBe(true)
        },
      ),
    )
  })
})

describe('readings of a logger', () => {
  const read = (csv: string, told: Partial<ReadingsTold> = {}) =>
    readReadings(bytes(csv), { temperature: null, depthMm: null, today: TODAY, ...told })

  test('are read by their own header: one column of time or two, inches, centimetres or mm, °F or °C', () => {
    const one = { at: '2026-09-07T06:40', depthMm: 50.8, tempC: 20 }
    expect(read('timestamp,depth_in,temp_f\n2026-09-07 06:40,2,68').readings).toEqual([
      { ...one, tempC: expect.closeTo(20, 9) as number },
    ])
    expect(read('Date;Time;Depth (cm);Soil °C\n9/7/2026;6:40 AM;5.08;20').readings).toEqual([one])
    expect(read('read at,soil_temp_c\n2026-09-07T06:40:00Z,20', { depthMm: 50.8 }).readings).toEqual([one])
    expect(read('date,time,temp\n2026-09-07,18:05,68', { depthMm: 100, temperature: 'F' }).readings[0]).toMatchObject({
      at: '2026-09-07T18:05',
      depthMm: 100,
    })
    expect(read(probeCsv([one])).readings).toEqual([one])
  })

  test('that cannot be are named by line, and the rest is kept', () => {
    const { readings, rejected } = read(
      'time,depth_mm,temp_c\n2026-09-07 06:40,50,18\n2026-09-07,50,18\nsoon,50,18\n2027-01-01 06:40,50,18\n2026-09-07 07:40,50,warm\n2026-09-07 08:40,9000,18\n2026-09-07 09:40,50,180\n2026-09-07 25:00,50,18',
    )
    expect(readings).toHaveLength(1)
    expect(rejected.map(({ line }) => line)).toEqual([3, 4, 5, 6, 7, 8, 9])
  })

  test('are asked about where the file does not say', () => {
    expect(refusalOf(() => read('time,temp_c\n2026-09-07 06:40,18'))).toMatch(/depth/)
    expect(refusalOf(() => read('time,depth_mm,temp\n2026-09-07 06:40,50,18'))).toMatch(/°C or °F/)
    expect(refusalOf(() => read('a,b\n1,2'))).toMatch(/date and time/)
  })
})

describe('the stand-in station', () => {
  test('delivers the same days whoever asks, in a form that reads back to the same numbers', () => {
    const days = standinDays(toDay('2026-08-01'), toDay('2026-09-07'))
    expect(days).toHaveLength(38)
    expect(standinDays(toDay('2026-08-15'), toDay('2026-08-15'))[0]).toEqual(days[14])
    expect(readCsv(dailyCsv(days), OPEN_FORM, TODAY)).toEqual({ days, rejected: [], rejectedCount: 0 })
  })

  test('tells the wind of each forecast day, and a forecast without that column is read all the same', () => {
    const told = standinForecast(TODAY)
    expect(readCsv(forecastCsv(told), OPEN_FORECAST, toDay('2026-09-30')).days).toEqual(told)
    expect(readCsv(dailyCsv(told), OPEN_FORECAST, toDay('2026-09-30')).days.map(({ windKmh }) => windKmh)).toEqual(
      told.map(() => null),
    )
  })

  test('forecasts ten days that are right today and blur with distance', () => {
    const truth = standinDays(TODAY, toDay('2026-12-31'))
    const off = (lead: number) => {
      const errors = Array.from({ length: 60 }, (_, i) => {
        const issued = truth[i]!.day
        return Math.abs(standinForecast(issued)[lead]!.tmaxC - truth[i + lead]!.tmaxC)
      })
      return errors.reduce((sum, error) => sum + error, 0) / errors.length
    }
    expect(standinForecast(TODAY)).toHaveLength(10)
    expect(off(0)).toBeLessThan(0.06)
    expect(off(8)).toBeGreaterThan(off(2))
  })

  test('reads its probe once a morning at 50 mm', () => {
    const readings = standinReadings(toDay('2026-09-06'), TODAY)
    expect(readings.map(({ at, depthMm }) => [at, depthMm])).toEqual([
      ['2026-09-06T06:40', 50],
      ['2026-09-07T06:40', 50],
      ['2026-09-08T06:40', 50],
    ])
  })
})
