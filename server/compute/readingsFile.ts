import { saidIn } from '#contract/said'
import { say, type Message } from '#core/explain/message'
import type { ProbeReading } from '#core/soil/probe'
import { readClock, readDay } from '#core/weather/dailyFile'
import type { Day } from '#core/measure/calendar'
import { readNumber, type Delimiter } from '#core/measure/table'
import { celsius, MM_PER_INCH } from '#core/measure/units'
import { readingSchema, type RejectedRow } from '#contract/station'
import { Rejected } from './rejected'
import { readTable, UnreadableFile, type TableLine } from './table'

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
  if (at < 0 || temp < 0) throw new UnreadableFile(say('server.theFirstLineHas'))
  if (depth < 0 && told.depthMm === null) throw new UnreadableFile(say('server.noColumnNamesThe'))
  const tempName = header[temp]!.toLowerCase()
  const unit =
    told.temperature ??
    (/(_f\b|°f|\(f\)|fahrenheit)/.test(tempName) ? 'F' : /(_c\b|°c|\(c\)|celsius)/.test(tempName) ? 'C' : undefined)
  if (!unit) throw new UnreadableFile(say('server.theColumnOfTemperature'))
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
): ProbeReading | Message {
  const [, date = '', joined] = /^(\S+?)(?:[T ](.+))?$/.exec(cells[at] ?? '') ?? []
  const [day, time] = [readDay(date), readClock(clock >= 0 ? (cells[clock] ?? '') : (joined ?? ''))]
  const [value, deep] = [
    readNumber(cells[temp], delimiter),
    depth < 0 ? told.depthMm! / mmPer : readNumber(cells[depth], delimiter),
  ]
  if (!day) return say('weatherFile.isNotADate', { day: (cells[at] ?? '').slice(0, 30) })
  if (!time) return say('server.noTimeOfDay', { at: day })
  if (day > told.today) return say('weatherFile.hasNotHappenedYet', { day })
  if (value === undefined) return say('server.temperatureNotANumber', { typed: (cells[temp] ?? '').slice(0, 20) })
  if (deep === undefined) return say('server.depthNotANumber', { typed: (cells[depth] ?? '').slice(0, 20) })
  const reading = readingSchema.safeParse({
    at: `${day}T${time}`,
    depthMm: deep * mmPer,
    tempC: unit === 'F' ? celsius(value) : value,
  })
  return reading.success
    ? reading.data
    : say('server.cannotBeSoil', { typed: value, unit, at: deep, bounds: saidIn(reading.error.issues[0]!.message) })
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
        if ('key' in read) rejected.add(row.line, read)
        else readings.set(`${read.at} ${read.depthMm}`, read)
      },
    },
    progress,
  )
  return { readings: [...readings.values()], rejected: rejected.rows, rejectedCount: rejected.count }
}
