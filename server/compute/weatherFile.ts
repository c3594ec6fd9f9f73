import { readClock, readDailyRow, readDay } from '#core/weather/dailyFile'
import type { ProbeReading } from '#core/soil/probe'
import type { ForecastDay } from '#core/weather/weather'
import { addDays, type Day } from '#core/measure/calendar'
import { readNumber, type Delimiter } from '#core/measure/table'
import { celsius, MM_PER_INCH } from '#core/measure/units'
import { readingSchema, type Column, type ImportPreview, type Mapping, type RejectedRow } from '#contract/station'
import { readTable, UnreadableFile, type TableLine } from './table'

const PATTERNS: Record<Column, RegExp> = {
  day: /^(date|day|datum|time|observation)/i,
  tmax: /(t.?max|max.*temp|temp.*max|high|^tx)/i,
  tmin: /(t.?min|min.*temp|temp.*min|low|^tn)/i,
  rain: /(prcp|precip|rain|^rr|^pp)/i,
}
/** Highest temperatures by which °F is told from °C. */
const MOST_HIGHS = 4000
const MOST_CHOICES = 50
const SAMPLED = 5

/** Rows that could not be used: the first of them by name, and how many there were. */
class Rejected {
  readonly rows: RejectedRow[] = []
  count = 0
  constructor(private readonly most = 200) {}
  add(line: number, reason: string): void {
    this.count++
    if (this.rows.length < this.most) this.rows.push({ line, reason })
  }
}

function columnsOf(header: readonly string[]): Mapping['columns'] | undefined {
  const find = (column: Column) => header.findIndex((name) => PATTERNS[column].test(name.trim()))
  const columns = { day: find('day'), tmax: find('tmax'), tmin: find('tmin'), rain: find('rain') }
  return Object.values(columns).some((index) => index < 0) ? undefined : columns
}

function guessMapping(header: readonly string[], highs: readonly number[]): Mapping | null {
  const columns = columnsOf(header)
  if (!columns) return null
  const named = (column: Column) => header[columns[column]]!.toLowerCase()
  const rising = [...highs].sort((a, b) => a - b)
  const hot = (rising[Math.floor(rising.length * 0.95)] ?? 0) > 48
  const fahrenheit = /(_f|°f|\(f\))/.test(named('tmax')) || (hot && !/(_c|°c|\(c\))/.test(named('tmax')))
  const wind = header.findIndex((name) => /wind/i.test(name))
  const windName = wind < 0 ? '' : header[wind]!.toLowerCase()
  return {
    columns,
    temperature: fahrenheit ? 'F' : 'C',
    rain: /(_in|\(in|inch)/.test(named('rain')) ? 'in' : 'mm',
    only: null,
    ...(wind >= 0
      ? {
          wind: {
            column: wind,
            unit: /mph/.test(windName)
              ? ('mph' as const)
              : /m\/s|_ms\b/.test(windName)
                ? ('m/s' as const)
                : ('km/h' as const),
          },
        }
      : {}),
  }
}

/** Reads a file through and guesses which column is which; nothing is kept. @throws UnreadableFile */
export function previewDays(bytes: Uint8Array, progress?: (share: number) => void): ImportPreview {
  const told = { header: [] as string[], delimiter: ',' as Delimiter, rows: 0 }
  const sample: string[][] = []
  const highs: number[] = []
  let high: number | undefined
  /** Values of columns that look like a station's name, until there are too many for one. */
  const choices = new Map<number, Set<string>>()
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
    header: told.header,
    delimiter: told.delimiter,
    sample,
    guess: guessMapping(told.header, highs),
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
  if (new Set(indices).size < indices.length) throw new UnreadableFile('The same column is chosen twice.')
  const days = new Map<Day, ForecastDay>()
  const rejected = new Rejected()
  let delimiter: Delimiter = ','
  readTable(
    bytes,
    {
      header: (header, found) => {
        delimiter = found
        if (indices.some((index) => index >= header.length))
          throw new UnreadableFile('A chosen column is not in this file.')
      },
      bad: ({ line, reason }) => {
        rejected.add(line, reason)
      },
      line: ({ cells, line }) => {
        if (mapping.only && cells[mapping.only.column] !== mapping.only.value) return
        const read = readDailyRow(cells, mapping, delimiter, last)
        if ('reason' in read) rejected.add(line, read.reason)
        else if (days.has(read.weather.day)) rejected.add(line, `${read.weather.day} is in the file already`)
        else days.set(read.weather.day, read.weather)
      },
    },
    progress,
  )
  return { days: [...days.values()], rejected: rejected.rows, rejectedCount: rejected.count }
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

const READING_PATTERNS = {
  at: /^(at|date|day|time|stamp|datum|read)/i,
  clock: /^(time|hour|clock)/i,
  depth: /depth|tiefe/i,
  temp: /(temp|soil|°|deg)/i,
} as const

export interface ReadReadings {
  readings: ProbeReading[]
  rejected: RejectedRow[]
  rejectedCount: number
}

/** What the file does not say of itself. */
export interface ReadingsTold {
  temperature: 'C' | 'F' | null
  depthMm: number | null
  today: Day
}

interface ReadingColumns {
  at: number
  clock: number
  depth: number
  temp: number
  unit: 'C' | 'F'
  mmPer: number
}

function readingColumns(header: readonly string[], told: ReadingsTold): ReadingColumns {
  const find = (pattern: RegExp, but: readonly number[] = []) =>
    header.findIndex((name, i) => !but.includes(i) && pattern.test(name.trim()))
  const at = find(READING_PATTERNS.at)
  const clock = find(READING_PATTERNS.clock, [at])
  const depth = find(READING_PATTERNS.depth)
  const temp = find(READING_PATTERNS.temp, [at, clock, depth])
  if (at < 0 || temp < 0)
    throw new UnreadableFile('The first line has to name a column of date and time, and one of temperature.')
  if (depth < 0 && told.depthMm === null)
    throw new UnreadableFile('No column names the depth: say how deep the probe was.')
  const tempName = header[temp]!.toLowerCase()
  const unit =
    told.temperature ??
    (/(_f\b|°f|\(f\)|fahrenheit)/.test(tempName) ? 'F' : /(_c\b|°c|\(c\)|celsius)/.test(tempName) ? 'C' : undefined)
  if (!unit) throw new UnreadableFile('The column of temperature does not say °C or °F: choose one.')
  const depthName = depth < 0 ? '' : header[depth]!.toLowerCase()
  return {
    at,
    clock,
    depth,
    temp,
    unit,
    mmPer: /(_in\b|inch|\(in)/.test(depthName) ? MM_PER_INCH : /(_cm\b|\(cm)/.test(depthName) ? 10 : 1,
  }
}

/** One reading of a row, or why it is none. */
function readReading(
  { cells }: TableLine,
  { at, clock, depth, temp, unit, mmPer }: ReadingColumns,
  told: ReadingsTold,
  delimiter: Delimiter,
): ProbeReading | string {
  const [, date = '', joined] = /^(\S+?)(?:[T ](.+))?$/.exec(cells[at] ?? '') ?? []
  const [day, time] = [readDay(date), readClock(clock >= 0 ? (cells[clock] ?? '') : (joined ?? ''))]
  const [value, deep] = [
    readNumber(cells[temp], delimiter),
    depth < 0 ? told.depthMm! / mmPer : readNumber(cells[depth], delimiter),
  ]
  if (!day) return `"${(cells[at] ?? '').slice(0, 30)}" is not a date`
  if (!time) return `${day} has no time of day`
  if (day > told.today) return `${day} has not happened yet`
  if (value === undefined) return `temperature "${(cells[temp] ?? '').slice(0, 20)}" is not a number`
  if (deep === undefined) return `depth "${(cells[depth] ?? '').slice(0, 20)}" is not a number`
  const reading = readingSchema.safeParse({
    at: `${day}T${time}`,
    depthMm: deep * mmPer,
    tempC: unit === 'F' ? celsius(value) : value,
  })
  return reading.success
    ? reading.data
    : `${value} °${unit} at ${deep} cannot be soil: ${reading.error.issues[0]!.message}`
}

/**
 * Soil readings of a logger: a column of date and time, or one of each, one of temperature, and one of depth in mm, cm or
 * inches where the file has it. The same minute and depth twice in one file: the later row corrects the first.
 * @throws UnreadableFile when a column is missing that has not been told
 */
export function readReadings(bytes: Uint8Array, told: ReadingsTold, progress?: (share: number) => void): ReadReadings {
  const readings = new Map<string, ProbeReading>()
  const rejected = new Rejected()
  let found: { columns: ReadingColumns; delimiter: Delimiter } | undefined
  readTable(
    bytes,
    {
      header: (header, delimiter) => {
        found = { columns: readingColumns(header, told), delimiter }
      },
      bad: ({ line, reason }) => {
        rejected.add(line, reason)
      },
      line: (row) => {
        const read = readReading(row, found!.columns, told, found!.delimiter)
        if (typeof read === 'string') rejected.add(row.line, read)
        else readings.set(`${read.at} ${read.depthMm}`, read)
      },
    },
    progress,
  )
  return { readings: [...readings.values()], rejected: rejected.rows, rejectedCount: rejected.count }
}
