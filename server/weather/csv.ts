import { parse } from 'csv-parse/sync'
import { WEATHER_LIMITS, type ForecastDay } from '#core/climate/weather'
import { addDays, isDay, type Day } from '#core/quantity/calendar'
import { celsius, KMH_PER_MPH, MM_PER_INCH } from '#core/quantity/units'
import type { ProbeReading } from '#core/climate/probe'
import { readingSchema, type Column, type ImportPreview, type Mapping, type RejectedRow } from '#contract/station'

/** A file that is not a table at all. */
export class UnreadableFile extends Error {}

interface Line {
  cells: string[]
  /** As an editor counts, the header being line 1. */
  line: number
}

function readTable(csv: string): { header: string[]; lines: Line[] } {
  let records: { record: string[]; info: { lines: number } }[]
  try {
    records = parse(csv, { bom: true, delimiter: [',', ';', '\t'], info: true, relax_column_count: true, skip_empty_lines: true, trim: true }) as never
  } catch (error) {
    throw new UnreadableFile(`The file could not be read as CSV: ${(error as Error).message}`)
  }
  const [first, ...rest] = records
  if (!first || first.record.length < 2) throw new UnreadableFile('The first line has to name the columns: date, highest, lowest, rain.')
  return { header: first.record, lines: rest.map(({ record, info }) => ({ cells: record, line: info.lines })) }
}

const PATTERNS: Record<Column, RegExp> = {
  day: /^(date|day|datum|time|observation)/i,
  tmax: /(t.?max|max.*temp|temp.*max|high|^tx)/i,
  tmin: /(t.?min|min.*temp|temp.*min|low|^tn)/i,
  rain: /(prcp|precip|rain|^rr|^pp)/i,
}

function guessMapping(header: readonly string[], lines: readonly Line[]): Mapping | null {
  const find = (column: Column) => header.findIndex((name) => PATTERNS[column].test(name.trim()))
  const columns = { day: find('day'), tmax: find('tmax'), tmin: find('tmin'), rain: find('rain') }
  if (Object.values(columns).some((index) => index < 0)) return null
  const named = (column: Column) => header[columns[column]]!.toLowerCase()
  const highs = lines.slice(0, 4000).map(({ cells }) => Number(cells[columns.tmax])).filter(Number.isFinite).sort((a, b) => a - b)
  const hot = (highs[Math.floor(highs.length * 0.95)] ?? 0) > 48
  const fahrenheit = /(_f|°f|\(f\))/.test(named('tmax')) || (hot && !/(_c|°c|\(c\))/.test(named('tmax')))
  const wind = header.findIndex((name) => /wind/i.test(name))
  const windName = wind < 0 ? '' : header[wind]!.toLowerCase()
  return {
    columns, temperature: fahrenheit ? 'F' : 'C', rain: /(_in|\(in|inch)/.test(named('rain')) ? 'in' : 'mm', only: null,
    ...(wind >= 0 ? { wind: { column: wind, unit: /mph/.test(windName) ? 'mph' as const : /m\/s|_ms\b/.test(windName) ? 'm/s' as const : 'km/h' as const } } : {}),
  }
}

/** Columns with a few repeated words: the station's name in a file that holds several. */
function choicesOf(header: readonly string[], lines: readonly Line[]): ImportPreview['choices'] {
  return header.flatMap((name, column) => {
    if (!/(station|location|site|name|place|city)/i.test(name)) return []
    const values = [...new Set(lines.map(({ cells }) => cells[column] ?? ''))]
    return values.length > 1 && values.length <= 50 ? [{ column, values }] : []
  })
}

/** Reads the head of a file and guesses which column is which; nothing is kept. */
export function previewCsv(csv: string): ImportPreview {
  const { header, lines } = readTable(csv)
  return {
    header, sample: lines.slice(0, 5).map(({ cells }) => cells), guess: guessMapping(header, lines),
    choices: choicesOf(header, lines), rows: lines.length,
  }
}

/** "2012-01-01", "2012/1/1", "20120101" or "1/31/2012" (month first, as US stations write). */
function readDay(text: string): Day | undefined {
  const iso = /^(\d{4})[-/](\d{1,2})[-/](\d{1,2})(?:[T ].*)?$/.exec(text) ?? /^(\d{4})(\d\d)(\d\d)$/.exec(text)
  const us = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(text)
  const parts = iso ? [iso[1], iso[2], iso[3]] : us ? [us[3], us[1], us[2]] : undefined
  if (!parts) return undefined
  const day = `${parts[0]}-${parts[1]!.padStart(2, '0')}-${parts[2]!.padStart(2, '0')}`
  return isDay(day) ? day : undefined
}

/** A clock time as people and loggers write it: "6:40", "06:40:00", "2 pm". */
function readClock(text: string): string | undefined {
  const parts = /^(\d{1,2})(?::(\d\d))?(?::\d\d(?:\.\d+)?)?\s*([ap]m)?(?:Z|[-+]\d\d:?\d\d)?$/i.exec(text.trim())
  if (!parts || (parts[2] === undefined && !parts[3])) return undefined
  const half = parts[3]?.toLowerCase()
  const hour = half ? (Number(parts[1]) % 12) + (half === 'pm' ? 12 : 0) : Number(parts[1])
  const minute = Number(parts[2] ?? 0)
  return hour < 24 && minute < 60 ? `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}` : undefined
}

const readNumber = (text: string | undefined): number | undefined =>
  text !== undefined && /^[-+]?(\d+\.?\d*|\.\d+)$/.test(text) ? Number(text) : undefined

const KMH_PER = { 'km/h': 1, mph: KMH_PER_MPH, 'm/s': 3.6 } as const
const MOST_WIND_KMH = 250

/** Wind of a row, km/h; nothing where it is not told or cannot be. */
function readWind({ cells }: Line, { wind }: Mapping): number | null {
  const value = wind && readNumber(cells[wind.column])
  const kmh = value === undefined ? undefined : value * KMH_PER[wind!.unit]
  return kmh !== undefined && kmh >= 0 && kmh <= MOST_WIND_KMH ? kmh : null
}

type Read = { weather: ForecastDay } | { reason: string }

function readLine(line: Line, mapping: Mapping, today: Day): Read {
  const cell = (column: Column) => line.cells[mapping.columns[column]] ?? ''
  const day = readDay(cell('day'))
  if (!day) return { reason: `"${cell('day').slice(0, 30)}" is not a date` }
  if (day > today) return { reason: `${day} has not happened yet` }
  const [high, low, wet] = (['tmax', 'tmin', 'rain'] as const).map((column) => readNumber(cell(column)))
  if (high === undefined) return { reason: `highest temperature "${cell('tmax').slice(0, 20)}" is not a number` }
  if (low === undefined) return { reason: `lowest temperature "${cell('tmin').slice(0, 20)}" is not a number` }
  if (wet === undefined) return { reason: `rain "${cell('rain').slice(0, 20)}" is not a number` }
  const toC = (value: number) => (mapping.temperature === 'F' ? celsius(value) : value)
  const weather = { day, tmaxC: toC(high), tminC: toC(low), rainMm: mapping.rain === 'in' ? wet * MM_PER_INCH : wet, ...(mapping.wind ? { windKmh: readWind(line, mapping) } : {}) }
  const { lowestC, highestC, mostRainMm } = WEATHER_LIMITS
  if (weather.tminC > weather.tmaxC) return { reason: `lowest ${low} is above highest ${high}` }
  if (weather.tmaxC > highestC || weather.tminC < lowestC) return { reason: `${high} / ${low} °${mapping.temperature} cannot be air` }
  if (weather.rainMm < 0 || weather.rainMm > mostRainMm) return { reason: `${wet} ${mapping.rain} of rain cannot be a day's` }
  return { weather }
}

export interface ReadCsv {
  days: ForecastDay[]
  rejected: RejectedRow[]
}

/**
 * Reads the rows of a file by a mapping: good ones kept, bad ones listed by line with the reason.
 * @throws UnreadableFile when it is not a table, or a mapped column is not in it
 */
export function readCsv(csv: string, mapping: Mapping, today: Day): ReadCsv {
  const { header, lines } = readTable(csv)
  // Wind is welcome, not asked for: a file without its column is read without it.
  const indices = Object.values(mapping.columns)
  if (indices.some((index) => index >= header.length)) throw new UnreadableFile('A chosen column is not in this file.')
  if (new Set(indices).size < indices.length) throw new UnreadableFile('The same column is chosen twice.')
  const days = new Map<Day, ForecastDay>()
  const rejected: RejectedRow[] = []
  for (const line of lines) {
    if (mapping.only && line.cells[mapping.only.column] !== mapping.only.value) continue
    const read = readLine(line, mapping, today)
    if ('reason' in read) rejected.push({ line: line.line, reason: read.reason })
    else if (days.has(read.weather.day)) rejected.push({ line: line.line, reason: `${read.weather.day} is in the file already` })
    else days.set(read.weather.day, read.weather)
  }
  return { days: [...days.values()], rejected }
}

/** The mapping of the open form in which the product's own devices deliver. */
export const OPEN_FORM: Mapping = { columns: { day: 0, tmax: 1, tmin: 2, rain: 3 }, temperature: 'C', rain: 'mm', only: null }

/** The same with the wind that a forecast tells. */
export const OPEN_FORECAST: Mapping = { ...OPEN_FORM, wind: { column: 4, unit: 'km/h' } }

/** Last day a device may deliver when it forecasts. */
export const forecastLimit = (today: Day): Day => addDays(today, 15)

const READING_PATTERNS = { at: /^(at|date|day|time|stamp|datum|read)/i, clock: /^(time|hour|clock)/i, depth: /depth|tiefe/i, temp: /(temp|soil|°|deg)/i } as const

export interface ReadReadings {
  readings: ProbeReading[]
  rejected: RejectedRow[]
}

/** What the file does not say of itself. */
export interface ReadingsTold {
  temperature: 'C' | 'F' | null
  depthMm: number | null
  today: Day
}

/**
 * Soil readings of a logger: a column of date and time, or one of each, one of temperature, and one of depth in mm, cm or
 * inches where the file has it.
 * @throws UnreadableFile when a column is missing that has not been told
 */
export function readReadings(csv: string, told: ReadingsTold): ReadReadings {
  const { header, lines } = readTable(csv)
  const find = (pattern: RegExp, but: readonly number[] = []) => header.findIndex((name, i) => !but.includes(i) && pattern.test(name.trim()))
  const at = find(READING_PATTERNS.at)
  const clock = find(READING_PATTERNS.clock, [at])
  const depth = find(READING_PATTERNS.depth)
  const temp = find(READING_PATTERNS.temp, [at, clock, depth])
  if (at < 0 || temp < 0) throw new UnreadableFile('The first line has to name a column of date and time, and one of temperature.')
  if (depth < 0 && told.depthMm === null) throw new UnreadableFile('No column names the depth: say how deep the probe was.')
  const tempName = header[temp]!.toLowerCase()
  const unit = told.temperature ?? (/(_f\b|°f|\(f\)|fahrenheit)/.test(tempName) ? 'F' : /(_c\b|°c|\(c\)|celsius)/.test(tempName) ? 'C' : undefined)
  if (!unit) throw new UnreadableFile('The column of temperature does not say °C or °F: choose one.')
  const depthName = depth < 0 ? '' : header[depth]!.toLowerCase()
  const mmPer = /(_in\b|inch|\(in)/.test(depthName) ? MM_PER_INCH : /(_cm\b|\(cm)/.test(depthName) ? 10 : 1
  const readings: ProbeReading[] = []
  const rejected: RejectedRow[] = []
  for (const { cells, line } of lines) {
    const reject = (reason: string) => { rejected.push({ line, reason }) }
    const [, date = '', joined] = /^(\S+?)(?:[T ](.+))?$/.exec(cells[at] ?? '') ?? []
    const [day, time] = [readDay(date), readClock(clock >= 0 ? (cells[clock] ?? '') : (joined ?? ''))]
    const [value, deep] = [readNumber(cells[temp]), depth < 0 ? told.depthMm! / mmPer : readNumber(cells[depth])]
    if (!day) reject(`"${(cells[at] ?? '').slice(0, 30)}" is not a date`)
    else if (!time) reject(`${day} has no time of day`)
    else if (day > told.today) reject(`${day} has not happened yet`)
    else if (value === undefined) reject(`temperature "${(cells[temp] ?? '').slice(0, 20)}" is not a number`)
    else if (deep === undefined) reject(`depth "${(cells[depth] ?? '').slice(0, 20)}" is not a number`)
    else {
      const reading = readingSchema.safeParse({ at: `${day}T${time}`, depthMm: deep * mmPer, tempC: unit === 'F' ? celsius(value) : value })
      if (reading.success) readings.push(reading.data)
      else reject(`${value} °${unit} at ${deep} cannot be soil: ${reading.error.issues[0]!.message}`)
    }
  }
  return { readings, rejected }
}
