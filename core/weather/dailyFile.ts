import { say, type Message } from '../explain/message'
import { isDay, type Day } from '../measure/calendar'
import { readNumber, type Delimiter } from '../measure/table'
import { celsius, KMH_PER_MPH, MM_PER_INCH } from '../measure/units'
import { WEATHER_LIMITS, type ForecastDay } from './weather'

/** Reading the cells of weather files: what a station, a logger or a spreadsheet writes for a day, a time, a number. */

/** Columns of a table. A cell is told by its index. */
export interface DailyColumns {
  columns: { day: number; tmax: number; tmin: number; rain: number }
  temperature: 'C' | 'F' | '0.1C'
  rain: 'mm' | 'in' | '0.1mm'
  /** Columns of flags beside the values: measurement, quality, source, as GHCN-Daily has them. */
  flags?: Partial<Record<'tmax' | 'tmin' | 'rain', number>> | undefined
  /** Of a forecast, where the file tells it. */
  wind?: { column: number; unit: 'km/h' | 'mph' | 'm/s' } | undefined
}

/** "2012-01-01", "2012/1/1", "20120101", "1/31/2012" (month first, as US stations write) or "31.1.2012" (day first). */
export function readDay(text: string): Day | undefined {
  const iso = /^(\d{4})[-/](\d{1,2})[-/](\d{1,2})(?:[T ].*)?$/.exec(text) ?? /^(\d{4})(\d\d)(\d\d)$/.exec(text)
  const us = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(text)
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(text)
  const parts = iso
    ? [iso[1], iso[2], iso[3]]
    : us
      ? [us[3], us[1], us[2]]
      : dotted
        ? [dotted[3], dotted[2], dotted[1]]
        : undefined
  if (!parts) return undefined
  const day = `${parts[0]}-${parts[1]!.padStart(2, '0')}-${parts[2]!.padStart(2, '0')}`
  return isDay(day) ? day : undefined
}

/** A clock time as people and loggers write it: "6:40", "06:40:00", "2 pm". @returns "06:40" */
export function readClock(text: string): string | undefined {
  const parts = /^(\d{1,2})(?::(\d\d))?(?::\d\d(?:\.\d+)?)?\s*([ap]m)?(?:Z|[-+]\d\d:?\d\d)?$/i.exec(text.trim())
  if (!parts || (parts[2] === undefined && !parts[3])) return undefined
  const half = parts[3]?.toLowerCase()
  const hour = half ? (Number(parts[1]) % 12) + (half === 'pm' ? 12 : 0) : Number(parts[1])
  const minute = Number(parts[2] ?? 0)
  return hour < 24 && minute < 60 ? `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}` : undefined
}

const KMH_PER = { 'km/h': 1, mph: KMH_PER_MPH, 'm/s': 3.6 } as const
const MOST_WIND_KMH = 250

/** Wind of a row, km/h; nothing where it is not told or cannot be. */
function readWind(cells: readonly string[], { wind }: DailyColumns, delimiter: Delimiter): number | null {
  const value = wind && readNumber(cells[wind.column], delimiter)
  const kmh = value === undefined ? undefined : value * KMH_PER[wind!.unit]
  return kmh !== undefined && kmh >= 0 && kmh <= MOST_WIND_KMH ? kmh : null
}

/** Where a file says that its station stands. */
export interface StationPlace {
  name: string
  latDeg: number
  lonDeg: number
  /** Above the sea, m; null where it is not told. */
  heightM: number | null
}

/** °C or mm of what a file writes. */
const TO_C: Record<DailyColumns['temperature'], (value: number) => number> = {
  C: (value) => value,
  F: celsius,
  '0.1C': (value) => value / 10,
}
const MM_PER: Record<DailyColumns['rain'], number> = { mm: 1, in: MM_PER_INCH, '0.1mm': 0.1 }
const TEMPERATURE_WORDS: Record<DailyColumns['temperature'], string> = { C: '°C', F: '°F', '0.1C': 'tenths of °C' }
const RAIN_WORDS: Record<DailyColumns['rain'], string> = { mm: 'mm', in: 'in', '0.1mm': 'tenths of mm' }

/** Flags such as "H,,S": a letter in the second place says that a check of quality failed. */
const failedQuality = (flags: string | undefined): boolean => /^[^,]*,[^,\s]/.test(flags ?? '')
/** A trace: rain that wetted the gauge and measures nothing. */
const isTrace = (text: string): boolean => text === 'T'

export type DailyRow = { weather: ForecastDay } | { reason: Message }

/**
 * One row of a daily file as weather, °C and mm.
 * @param last the last day it may be of @returns the day, or why it cannot be one
 */
export function readDailyRow(cells: readonly string[], told: DailyColumns, delimiter: Delimiter, last: Day): DailyRow {
  const cell = (column: keyof DailyColumns['columns']) => cells[told.columns[column]] ?? ''
  const failed = (['tmax', 'tmin', 'rain'] as const).find((column) => {
    const flags = told.flags?.[column]
    return flags !== undefined && failedQuality(cells[flags])
  })
  const day = readDay(cell('day'))
  if (!day) return { reason: say('weatherFile.isNotADate', { day: cell('day').slice(0, 30) }) }
  if (day > last) return { reason: say('weatherFile.hasNotHappenedYet', { day }) }
  if (failed) return { reason: say('weatherFile.failedACheckOf', { day, failed: cell(failed) }) }
  const [high, low, measured] = (['tmax', 'tmin', 'rain'] as const).map((column) => readNumber(cell(column), delimiter))
  const wet = isTrace(cell('rain')) ? 0 : measured
  if (high === undefined)
    return { reason: say('weatherFile.highestTemperatureIsNot', { tmax: cell('tmax').slice(0, 20) }) }
  if (low === undefined)
    return { reason: say('weatherFile.lowestTemperatureIsNot', { tmin: cell('tmin').slice(0, 20) }) }
  if (wet === undefined) return { reason: say('weatherFile.rainIsNotA', { rain: cell('rain').slice(0, 20) }) }
  const toC = TO_C[told.temperature]
  const weather = {
    day,
    tmaxC: toC(high),
    tminC: toC(low),
    rainMm: wet * MM_PER[told.rain],
    ...(told.wind ? { windKmh: readWind(cells, told, delimiter) } : {}),
  }
  const { lowestC, highestC, mostRainMm } = WEATHER_LIMITS
  if (weather.tminC > weather.tmaxC) return { reason: say('weatherFile.lowestIsAboveHighest', { low, high }) }
  if (weather.tmaxC > highestC || weather.tminC < lowestC)
    return { reason: say('weatherFile.cannotBeAir', { high, low, temperature: TEMPERATURE_WORDS[told.temperature] }) }
  if (weather.rainMm < 0 || weather.rainMm > mostRainMm)
    return { reason: say('weatherFile.ofRainCannotBe', { wet, rain: RAIN_WORDS[told.rain] }) }
  return { weather }
}
