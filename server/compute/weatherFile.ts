import { say } from '#core/explain/message'
import { readDailyRow, type StationPlace } from '#core/weather/dailyFile'
import { climateFromRecord } from '#core/weather/climate'
import type { ForecastDay } from '#core/weather/weather'
import { addDays, type Day } from '#core/measure/calendar'
import { readNumber, type Delimiter } from '#core/measure/table'
import {
  type Column,
  type ImportPreview,
  type Mapping,
  type RejectedRow,
  type WeatherFileTold,
} from '#contract/station'
import { isEpw, readEpw } from '#core/weather/epw'
import { isDly } from '#core/weather/dly'
import { Rejected } from './rejected'
import { decoded, readTable, UnreadableFile } from './table'

const PATTERNS: Record<Column, RegExp> = {
  day: /^(date|day|datum|time|observation)/i,
  tmax: /(t.?max|max.*temp|temp.*max|high|^tx)/i,
  tmin: /(t.?min|min.*temp|temp.*min|low|^tn)/i,
  rain: /(prcp|precip|rain|^rr|^pp)/i,
}
/** Columns that say where a station stands. */
const PLACE_PATTERNS = {
  latDeg: /^lat(itude)?$/i,
  lonDeg: /^(lon|lng|long|longitude)$/i,
  heightM: /^(elev(ation)?|height|altitude)$/i,
  name: /^(name|station_?name)$/i,
  code: /^station$/i,
} as const
/** Highest temperatures by which units are told. */
const MOST_HIGHS = 4000
/** Of a place where lawns grow the warm days are over 13.5 °C, and none is over 57 °C: so units are told. @source own */
const [HOT_C, HOT_F] = [48, 135] as const
const MOST_CHOICES = 50
const SAMPLED = 5
const SHOWN_REJECTED = 20

function columnsOf(header: readonly string[]): Mapping['columns'] | undefined {
  const find = (column: Column) => header.findIndex((name) => PATTERNS[column].test(name.trim()))
  const columns = { day: find('day'), tmax: find('tmax'), tmin: find('tmin'), rain: find('rain') }
  return Object.values(columns).some((index) => index < 0) ? undefined : columns
}

/** The unit that warm days are written in, where their column does not say. */
function temperatureUnit(name: string, highs: readonly number[]): Mapping['temperature'] {
  if (/(_f|°f|\(f\))/.test(name)) return 'F'
  if (/(_c|°c|\(c\))/.test(name)) return 'C'
  const rising = [...highs].sort((a, b) => a - b)
  const warm = rising[Math.floor(rising.length * 0.95)] ?? 0
  return warm > HOT_F && highs.every(Number.isInteger) ? '0.1C' : warm > HOT_C ? 'F' : 'C'
}

/** The unit of rain by its column's name, else the one that goes with the temperature's. */
function rainUnit(name: string, temperature: Mapping['temperature'], flagged: boolean): Mapping['rain'] {
  if (/(_in|\(in|inch)/.test(name)) return 'in'
  if (/(_mm|\(mm|millim)/.test(name)) return 'mm'
  return temperature === '0.1C' ? '0.1mm' : temperature === 'F' && flagged ? 'in' : 'mm'
}

/** Columns of flags, as GHCN-Daily has them beside its elements. */
function flagsOf(header: readonly string[], columns: Mapping['columns']): Mapping['flags'] {
  const flags = (['tmax', 'tmin', 'rain'] as const).flatMap((column) => {
    const at = header.findIndex((name) => name.trim() === `${header[columns[column]]!.trim()}_ATTRIBUTES`)
    return at < 0 ? [] : [[column, at] as const]
  })
  return flags.length ? Object.fromEntries(flags) : undefined
}

function windOf(header: readonly string[]): Mapping['wind'] {
  const column = header.findIndex((name) => /wind/i.test(name))
  if (column < 0) return undefined
  const name = header[column]!.toLowerCase()
  return { column, unit: /mph/.test(name) ? 'mph' : /m\/s|_ms\b/.test(name) ? 'm/s' : 'km/h' }
}

function guessMapping(header: readonly string[], highs: readonly number[]): Mapping | null {
  const columns = columnsOf(header)
  if (!columns) return null
  const named = (column: Column) => header[columns[column]]!.toLowerCase()
  const temperature = temperatureUnit(named('tmax'), highs)
  const flags = flagsOf(header, columns)
  const wind = windOf(header)
  return {
    columns,
    temperature,
    rain: rainUnit(named('rain'), temperature, flags !== undefined || header.includes('STATION')),
    only: null,
    ...(flags ? { flags } : {}),
    ...(wind ? { wind } : {}),
  }
}

/** @source GHCN-Daily readme */
const DLY_MAPPING: Mapping = {
  columns: { day: 0, tmax: 1, tmin: 2, rain: 3 },
  temperature: '0.1C',
  rain: '0.1mm',
  only: null,
}

/** Where the first row says that its station stands; null where it does not, or cannot. */
function placeOf(header: readonly string[], cells: readonly string[], delimiter: Delimiter): StationPlace | null {
  const cell = (of: keyof typeof PLACE_PATTERNS) => {
    const at = header.findIndex((name) => PLACE_PATTERNS[of].test(name.trim()))
    return at < 0 ? undefined : cells[at]
  }
  const number = (of: 'latDeg' | 'lonDeg' | 'heightM') => readNumber(cell(of)?.trim(), delimiter)
  const [latDeg, lonDeg, heightM] = [number('latDeg'), number('lonDeg'), number('heightM')]
  if (latDeg === undefined || lonDeg === undefined || Math.abs(latDeg) > 90 || Math.abs(lonDeg) > 180) return null
  // -999.9 is how GHCN-Daily says that a height is not known.
  const known = heightM !== undefined && heightM > -430 && heightM < 5100
  return {
    name: (cell('name') ?? cell('code') ?? '').trim().slice(0, 80),
    latDeg,
    lonDeg,
    heightM: known ? heightM : null,
  }
}

/** Monthly means of a file of typical days, which is no record. @throws UnreadableFile in words */
function previewEpw(text: string): ImportPreview {
  const read = readEpw(text)
  if ('reason' in read) throw new UnreadableFile(read.reason)
  const { station, tmaxC, tminC } = read
  return {
    form: 'epw',
    header: [],
    delimiter: ',',
    sample: [],
    guess: null,
    rows: 0,
    choices: [],
    station,
    climate: { tmaxC, tminC },
  }
}

/** Reads a file through and guesses which column is which; nothing is kept. @throws UnreadableFile */
export function previewDays(bytes: Uint8Array, progress?: (share: number) => void): ImportPreview {
  const start = decoded(bytes.subarray(0, 64))
  if (isEpw(start)) return previewEpw(decoded(bytes))
  const told = { header: [] as string[], delimiter: ',' as Delimiter, rows: 0 }
  const sample: string[][] = []
  const highs: number[] = []
  let high: number | undefined
  /** Values of columns that look like a station's name, until there are too many for one. */
  const choices = new Map<number, Set<string>>()
  let station: StationPlace | null = null
  readTable(
    bytes,
    {
      header: (header, delimiter) => {
        Object.assign(told, { header, delimiter })
        high = columnsOf(header)?.tmax
        header.forEach((name, column) => {
          if (/(station|location|site|name|place|city)/i.test(name)) choices.set(column, new Set())
        })
      },
      bad: () => {
        told.rows++
      },
      line: ({ cells }) => {
        told.rows++
        if (!sample.length) station = placeOf(told.header, cells, told.delimiter)
        if (sample.length < SAMPLED) sample.push(cells)
        const value =
          high === undefined || highs.length >= MOST_HIGHS ? undefined : readNumber(cells[high], told.delimiter)
        if (value !== undefined) highs.push(value)
        for (const [column, values] of choices)
          if (values.add((cells[column] ?? '').slice(0, 120)).size > MOST_CHOICES) choices.delete(column)
      },
    },
    progress,
  )
  return {
    form: isDly(start) ? 'dly' : 'table',
    station,
    climate: null,
    header: told.header,
    delimiter: told.delimiter,
    sample,
    // Files of fixed width are in tenths by their description; tables are told by their values.
    guess: isDly(start) ? DLY_MAPPING : guessMapping(told.header, highs),
    rows: told.rows,
    choices: [...choices].flatMap(([column, values]) => (values.size > 1 ? [{ column, values: [...values] }] : [])),
  }
}

export interface ReadDays {
  days: ForecastDay[]
  rejected: RejectedRow[]
  rejectedCount: number
}

/**
 * Reads the rows of a file by a mapping: good ones kept, bad ones listed by line with the reason.
 * @param last the last day a row may be of
 * @throws UnreadableFile when it is not a table, or a mapped column is not in it
 */
export function readDays(bytes: Uint8Array, mapping: Mapping, last: Day, progress?: (share: number) => void): ReadDays {
  // Wind is welcome, not asked for: a file without its column is read without it.
  const indices = Object.values(mapping.columns)
  if (new Set(indices).size < indices.length) throw new UnreadableFile(say('server.theSameColumnIs'))
  const days = new Map<Day, ForecastDay>()
  const rejected = new Rejected()
  let delimiter: Delimiter = ','
  readTable(
    bytes,
    {
      header: (header, found) => {
        delimiter = found
        if (indices.some((index) => index >= header.length)) throw new UnreadableFile(say('server.aChosenColumnIs'))
      },
      bad: ({ line, reason }) => {
        rejected.add(line, reason)
      },
      line: ({ cells, line }) => {
        if (mapping.only && cells[mapping.only.column] !== mapping.only.value) return
        const read = readDailyRow(cells, mapping, delimiter, last)
        if ('reason' in read) rejected.add(line, read.reason)
        else if (days.has(read.weather.day)) rejected.add(line, say('server.alreadyInFile', { day: read.weather.day }))
        else days.set(read.weather.day, read.weather)
      },
    },
    progress,
  )
  return { days: [...days.values()], rejected: rejected.rows, rejectedCount: rejected.count }
}

/**
 * Looks into a weather file: its columns as they are guessed, and what of it could be used by them. Nothing is kept.
 * @param last the last day a row may be of @throws UnreadableFile
 */
export function lookInto(bytes: Uint8Array, last: Day, progress?: (share: number) => void): WeatherFileTold {
  const half = (from: number) => progress && ((share: number) => progress(from + share / 2))
  const preview = previewDays(bytes, half(0))
  if (!preview.guess || preview.choices.length) return { ...preview, counted: null }
  const { days, rejected, rejectedCount } = readDays(bytes, preview.guess, last, half(0.5))
  const inOrder = days.map(({ day }) => day).sort()
  const counted = {
    days: days.length,
    first: inOrder[0] ?? null,
    last: inOrder.at(-1) ?? null,
    rejected: rejected.slice(0, SHOWN_REJECTED),
    rejectedCount,
    normals: climateFromRecord(days)?.normals ?? null,
  }
  return { ...preview, counted }
}

/** The mapping of the open form in which the product's own devices deliver. */
export const OPEN_FORM: Mapping = {
  columns: { day: 0, tmax: 1, tmin: 2, rain: 3 },
  temperature: 'C',
  rain: 'mm',
  only: null,
}

/** The same with the wind that a forecast tells. */
export const OPEN_FORECAST: Mapping = { ...OPEN_FORM, wind: { column: 4, unit: 'km/h' } }

/** Last day a device may deliver when it forecasts. */
export const forecastLimit = (today: Day): Day => addDays(today, 15)
