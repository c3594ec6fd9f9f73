import { refusalOf } from '#core/explain/test/told'
import { describe, expect, test } from 'vitest'
import { addDays, dayOfYear, toDay, type Day } from '#core/measure/calendar'
import { WEATHER_LIMITS } from '#core/weather/weather'
import { UnreadableFile } from './table'
import { lookInto, readDays } from './weatherFile'

const bytes = (text: string) => new TextEncoder().encode(text)
const TODAY = toDay('2026-09-08')
const look = (text: string) => lookInto(bytes(text), TODAY)

/** A made-up year's course at a made-up station, °C. */
const highOf = (day: Day) => 14 + 12 * Math.sin(((dayOfYear(day) - 105) / 365) * 2 * Math.PI)
const days = (from: string, count: number) => Array.from({ length: count }, (_, i) => addDays(toDay(from), i))
const tenths = (value: number) => Math.round(value * 10)

/**
 * Written from the description of GHCN-Daily (readme of NOAA NCEI, sections II and III, and the documentation of its CSV by
 * station): values in tenths, -9999 missing, flags for measurement, quality and source beside each value.
 */
const GHCN_HEADER =
  '"STATION","DATE","LATITUDE","LONGITUDE","ELEVATION","NAME","PRCP","PRCP_ATTRIBUTES","SNOW","SNOW_ATTRIBUTES","TMAX","TMAX_ATTRIBUTES","TMIN","TMIN_ATTRIBUTES"'
const ghcnRow = (day: Day, high: number, low: number, rain: string, flags = ',,Z') =>
  `"XX000000001","${day}","40.0000","-83.0000","247.2","PELLMOOR RIDGE, ZZ","${rain}",",,Z,0700","","","${high}","${flags}","${low}",",,Z"`

/** A month of one element as the fixed width file has it. */
const dlyLine = (month: string, element: string, values: readonly number[], flags: readonly string[] = []) =>
  `XX000000001${month.replace('-', '')}${element}${Array.from({ length: 31 }, (_, d) => `${String(values[d] ?? -9999).padStart(5)}${flags[d] ?? '  Z'}`).join('')}`

describe('GHCN-Daily as CSV', () => {
  const year = days('2021-01-01', 730)
  const csv = (unit: (c: number) => number, rain: string) =>
    [
      GHCN_HEADER,
      ...year.map((day) => ghcnRow(day, unit(highOf(day)), unit(highOf(day) - 10), dayOfYear(day) % 4 ? '0' : rain)),
    ].join('\r\n')

  test('in tenths is told by its values, and brings its own station and monthly means', () => {
    const told = look(`\ufeff${csv(tenths, '127')}`)
    expect(told.guess).toMatchObject({ temperature: '0.1C', rain: '0.1mm', flags: { tmax: 11, tmin: 13, rain: 7 } })
    expect(told.station).toEqual({ name: 'PELLMOOR RIDGE, ZZ', latDeg: 40, lonDeg: -83, heightM: 247.2 })
    expect(told.counted).toMatchObject({ days: 730, first: '2021-01-01', last: '2022-12-31', rejectedCount: 0 })
    const { days: read } = readDays(bytes(csv(tenths, '127')), told.guess!, TODAY)
    expect(read[200]!.tmaxC).toBeCloseTo(highOf(read[200]!.day), 1)
    expect(read[3]!.rainMm).toBeCloseTo(12.7, 9)
    // Middle of July, by the course it was made of.
    expect(Math.abs(told.counted!.normals!.tmaxC[6]! - highOf(toDay('2021-07-16')))).toBeLessThan(0.3)
  })

  test('in whole units is told from tenths, in °C and mm as in °F and inches', () => {
    expect(look(csv((c) => Math.round(c * 10) / 10 + 0.01, '12.7')).guess).toMatchObject({
      temperature: 'C',
      rain: 'mm',
    })
    expect(look(csv((c) => Math.round(c * 1.8 + 32), '0.50')).guess).toMatchObject({ temperature: 'F', rain: 'in' })
  })

  test('leaves out what failed a check of quality or is missing, by line, and reads a trace as dry', () => {
    const rows = [
      ghcnRow(toDay('2021-07-01'), 300, 180, '0'),
      ghcnRow(toDay('2021-07-02'), 900, 180, '0', ',X,Z'),
      ghcnRow(toDay('2021-07-03'), 310, 180, 'T'),
      ghcnRow(toDay('2021-07-04'), 310, 180, '').replace('"310"', '""'),
    ]
    const file = bytes([GHCN_HEADER, ...rows].join('\n'))
    const mapping = { ...look(csv(tenths, '127')).guess! }
    const { days: read, rejected } = readDays(file, mapping, TODAY)
    expect(read.map(({ day, rainMm }) => [day, rainMm])).toEqual([
      ['2021-07-01', 0],
      ['2021-07-03', 0],
    ])
    expect(rejected.map(({ line, reason }) => [line, /failedACheck|highestTemperature/.test(reason.key)])).toEqual([
      [3, true],
      [5, true],
    ])
  })

  test('with the wrong column chosen keeps nothing: tenths read as units cannot be air', () => {
    const mapping = { ...look(csv(tenths, '127')).guess!, temperature: 'C' as const }
    const { days: read, rejectedCount } = readDays(bytes(csv(tenths, '127')), mapping, TODAY)
    expect(rejectedCount).toBeGreaterThan(500)
    expect(read.every(({ tmaxC }) => tmaxC <= WEATHER_LIMITS.highestC)).toBe(true)
  })
})

describe('GHCN-Daily of fixed width', () => {
  const highs = [
    ...Array(28)
      .fill(0)
      .map((_, d) => 100 + d),
    131,
  ]
  const file = [
    dlyLine('2024-02', 'TMAX', highs, ['  Z', ' XZ']),
    dlyLine(
      '2024-02',
      'TMIN',
      highs.map((value) => value - 80),
    ),
    dlyLine('2024-02', 'SNOW', highs),
    dlyLine('2024-02', 'PRCP', [25, ...Array(28).fill(0)], ['T Z']),
    '',
    'no line of it',
  ].join('\n')

  test('is read day by day, leap day and all, without what failed its checks', () => {
    const told = look(file)
    expect(told).toMatchObject({ form: 'dly', station: null, guess: { temperature: '0.1C', rain: '0.1mm' } })
    const { days: read, rejected } = readDays(bytes(file), told.guess!, TODAY)
    expect(read).toHaveLength(28)
    expect(read.at(-1)).toMatchObject({ day: '2024-02-29', tmaxC: 13.1, rainMm: 0 })
    expect(read[0]).toMatchObject({ day: '2024-02-01', tmaxC: 10, tminC: 2, rainMm: 2.5 })
    expect(rejected.map(({ line }) => line)).toEqual([6, 2])
  })

  test('of thirty years is looked into within the ten seconds a technician waits', () => {
    const months = Array.from(
      { length: 360 },
      (_, m) => `${1990 + Math.floor(m / 12)}-${String((m % 12) + 1).padStart(2, '0')}`,
    )
    const all = months.flatMap((month) => {
      const values = days(`${month}-01`, 28).map((day) => tenths(highOf(day)))
      return [
        dlyLine(month, 'TMAX', values),
        dlyLine(
          month,
          'TMIN',
          values.map((v) => v - 90),
        ),
        dlyLine(
          month,
          'PRCP',
          values.map(() => 0),
        ),
      ]
    })
    const began = performance.now()
    expect(look(all.join('\n')).counted!.days).toBe(360 * 28)
    // The target is printed by the bench; this only holds off a hang.
    expect(performance.now() - began).toBeLessThan(30_000)
  })
})

/** Written from the EPW data dictionary of EnergyPlus' auxiliary programs: eight lines of header, then an hour a line. */
describe('EPW', () => {
  const HEADER = [
    'LOCATION,Pellmoor,ZZ,ZZZ,Made up,999999,37.06,-79.38,-5.0,180.0',
    ...Array(7).fill('DESIGN CONDITIONS,0'),
  ]
  const hour = (day: Day, h: number) => {
    const tempC = highOf(day) - 5 + 5 * Math.sin(((h - 9) / 24) * 2 * Math.PI)
    return `1999,${Number(day.slice(5, 7))},${Number(day.slice(8))},${h},60,?9?9,${tempC.toFixed(1)},5.0,70,101300,0,0,300,0,0,0,0,0,0,0,180,3.0,5,5,20.0,77777,9,999999999,150,0.1,0,88,0.0,0.0,0.0`
  }
  const hours = days('2021-01-01', 365).flatMap((day) => Array.from({ length: 24 }, (_, h) => hour(day, h + 1)))

  test('gives monthly means and its place, and never a record', () => {
    const told = look([...HEADER, ...hours].join('\r\n'))
    expect(told).toMatchObject({
      form: 'epw',
      guess: null,
      counted: null,
      station: { name: 'Pellmoor, ZZZ', latDeg: 37.06, lonDeg: -79.38, heightM: 180 },
    })
    const july = days('2021-07-01', 31).map(highOf)
    const mean = july.reduce((sum, c) => sum + c, 0) / 31
    expect(told.climate!.tmaxC[6]).toBeCloseTo(mean, 1)
    expect(told.climate!.tminC[6]).toBeCloseTo(mean - 10, 1)
  })

  test('that is cut short, or does not say where it is, is refused in words', () => {
    expect(() => look([...HEADER, ...hours.slice(0, 4000)].join('\n'))).toThrow(UnreadableFile)
    expect(refusalOf(() => look(['LOCATION,Pellmoor', ...HEADER.slice(1), ...hours].join('\n')))).toMatch(/where it is/)
  })
})
