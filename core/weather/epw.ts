import { say, type Message } from '../explain/message'
import type { StationPlace } from './dailyFile'

/**
 * EPW files of building simulation: a header of eight lines, then 8760 hours of a typical year. Typical days are nobody's
 * record: of such a file monthly means are taken.
 * @source EnergyPlus auxiliary programs
 */
const HEADER_LINES = 8
const [MONTH, DAY, HOUR, DRY_BULB] = [1, 2, 3, 6] as const
const HOURS_A_DAY = 24
/** Dry bulb outside of these is missing (99.9) or broken, °C. */
const [COLDEST_C, HOTTEST_C] = [-70, 70] as const
const MISSING_C = 99.9
/** Days of a month with all hours, at least. @source own */
const LEAST_DAYS = 20

/** Monthly means of highs and lows, °C, January first. */
export interface TypicalYear {
  station: StationPlace
  tmaxC: number[]
  tminC: number[]
}

export const isEpw = (text: string): boolean => text.startsWith('LOCATION,')

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

/**
 * @returns the place and its monthly means, or in words why there are none
 */
export function readEpw(text: string): TypicalYear | { reason: Message } {
  const lines = text.split(/\r?\n/)
  const place = lines[0]!.split(',')
  const [latDeg, lonDeg, heightM] = [place[6], place[7], place[9]].map((cell) => Number(cell?.trim() || Number.NaN))
  if (![latDeg, lonDeg].every(Number.isFinite)) return { reason: say('weatherFile.itsFirstLineDoes') }
  /** Hours of each day of the year by "month-day". */
  const hours = new Map<string, { month: number; tempsC: number[] }>()
  for (const line of lines.slice(HEADER_LINES)) {
    const cells = line.split(',', DRY_BULB + 1)
    if (cells.length <= DRY_BULB) continue
    const [month, day, hour, tempC] = [cells[MONTH], cells[DAY], cells[HOUR], cells[DRY_BULB]].map(Number)
    if (!(month! >= 1 && month! <= 12 && day! >= 1 && day! <= 31 && hour! >= 1 && hour! <= HOURS_A_DAY)) continue
    if (!(tempC! > COLDEST_C && tempC! < HOTTEST_C) || tempC === MISSING_C) continue
    const key = `${month}-${day}`
    const told = hours.get(key) ?? { month: month! - 1, tempsC: [] }
    told.tempsC.push(tempC!)
    hours.set(key, told)
  }
  const whole = [...hours.values()].filter(({ tempsC }) => tempsC.length >= HOURS_A_DAY)
  const months = Array.from({ length: 12 }, (_, m) => whole.filter(({ month }) => month === m))
  if (months.some((days) => days.length < LEAST_DAYS)) return { reason: say('weatherFile.itDoesNotHold') }
  return {
    station: {
      name: [place[1], place[3]]
        .map((part) => part?.trim())
        .filter(Boolean)
        .join(', ')
        .slice(0, 80),
      latDeg: latDeg!,
      lonDeg: lonDeg!,
      heightM: Number.isFinite(heightM) ? heightM! : null,
    },
    tmaxC: months.map((days) => mean(days.map(({ tempsC }) => Math.max(...tempsC)))),
    tminC: months.map((days) => mean(days.map(({ tempsC }) => Math.min(...tempsC)))),
  }
}
