import { monthIndex, type Day } from '../measure/calendar'
import { meanOf, MONTH_DAYS, type Normals } from './normals'

/** Mean high and low of a month, °C. */
export interface MonthFigures {
  tmaxC: number
  tminC: number
}

/** The climate of a place as people know it. */
export interface FewFigures {
  hottest: MonthFigures
  coldest: MonthFigures
  /** Rain of a year, mm. */
  rainMm: number
  /** The wettest month, January 0, and its rain, mm; null where nobody knows. */
  wettest: { month: number; rainMm: number } | null
  /** Average days of the last and the first frost, of any year; null where nobody knows, or it never freezes. */
  lastFrost: Day | null
  firstFrost: Day | null
}

/** Air is warmest and coldest a day or two after the middle of its month. @source own */
const LAG_MONTHS = 0.05
/** Mean low of the days on which the average last and first frosts fall, °C: clear nights are colder. @source own */
const FROST_LOW_C = 7
/** Frost dates move the course of the nights by half a month at most: beyond it they are of another place. */
const MOST_SHIFT_MONTHS = 0.5
/** Rain of a wet day, mm, and days that are wet in a month at least and at most. @source own */
const WET_DAY_MM = 8
const [LEAST_WET, MOST_WET] = [3, 20]

const angle = (months: number) => (2 * Math.PI * months) / 12

/** A course of one harmonic: its mean, half its range, and the months by which it is late. */
interface Course {
  mean: number
  half: number
  late: number
}

/** The course that passes through the hottest and the coldest month, which lie half a year apart. */
function courseThrough(hot: number, cold: number, late: number): Course {
  return { mean: (hot + cold) / 2, half: (hot - cold) / 2 / Math.cos(angle(late)), late }
}

/** Middle of a day in months from the middle of January. */
function monthsIn(day: Day): number {
  const month = monthIndex(day)
  return month + (Number(day.slice(8)) - 0.5) / MONTH_DAYS[month]! - 0.5
}

/** Months by which nights are late, so that they are as cold on the frost dates as nights of average frost are. */
function latenessByFrost({ mean, half }: Course, peak: number, last: Day | null, first: Day | null): number {
  const share = (FROST_LOW_C - mean) / half
  if (Math.abs(share) >= 1 || (!last && !first)) return LAG_MONTHS
  const away = (Math.acos(share) * 12) / (2 * Math.PI)
  const nearest = (months: number) => ((((months + 6) % 12) + 12) % 12) - 6
  const told = [
    ...(last ? [nearest(monthsIn(last) - (peak - away))] : []),
    ...(first ? [nearest(monthsIn(first) - (peak + away))] : []),
  ]
  return Math.min(MOST_SHIFT_MONTHS, Math.max(-MOST_SHIFT_MONTHS, meanOf(told)))
}

const monthly = (valueOf: (month: number) => number) => Array.from({ length: 12 }, (_, month) => valueOf(month))

const wetDaysOf = (rainMm: readonly number[]): number[] =>
  rainMm.map((mm) => Math.min(MOST_WET, Math.max(LEAST_WET, mm / WET_DAY_MM)))

/** Rain of a year spread evenly, with its wet days: for a climate of which the temperatures alone are known. */
export function evenRain(yearMm: number): Pick<Normals, 'rainMm' | 'wetDays'> {
  const rainMm = rainByMonth(yearMm, null)
  return { rainMm, wetDays: wetDaysOf(rainMm) }
}

/** Rain by month: even, or about the wettest month; the year's rain as told. */
function rainByMonth(rainMm: number, wettest: FewFigures['wettest']): number[] {
  const mean = rainMm / 12
  if (!wettest) return monthly(() => mean)
  const raw = monthly((m) => Math.max(0, mean + (wettest.rainMm - mean) * Math.cos(angle(m - wettest.month))))
  const others = raw.reduce((sum, mm) => sum + mm, 0) - raw[wettest.month]!
  // What is cut off below nothing is taken from the other months.
  const share = others > 0 ? (rainMm - wettest.rainMm) / others : 0
  return raw.map((mm, m) => (m === wettest.month ? wettest.rainMm : mm * share))
}

/**
 * Monthly normals of a place from a few figures: one harmonic each for highs and lows through the hottest and the coldest
 * month, which the latitude tells; frost dates move that of the lows. Good to some 2 K a month.
 * @param latDeg latitude, degrees; below 0 July is the coldest month
 * @throws RangeError where the hottest month is no warmer than the coldest, lows are above highs, or the wettest month is none
 */
export function normalsFromFewFigures(figures: FewFigures, latDeg: number): Normals {
  const { hottest, coldest } = figures
  if (!(hottest.tmaxC > coldest.tmaxC && hottest.tminC > coldest.tminC))
    throw new RangeError('The hottest month has to be warmer than the coldest.')
  if (hottest.tmaxC < hottest.tminC || coldest.tmaxC < coldest.tminC) throw new RangeError('A low lies above its high.')
  if (figures.wettest && (figures.wettest.rainMm < figures.rainMm / 12 || figures.wettest.rainMm > figures.rainMm))
    throw new RangeError('The wettest month has a twelfth of the rain of a year at least, and all of it at most.')
  const peak = latDeg < 0 ? 0 : 6
  const highs = courseThrough(hottest.tmaxC, coldest.tmaxC, LAG_MONTHS)
  const even = courseThrough(hottest.tminC, coldest.tminC, LAG_MONTHS)
  const late = latenessByFrost(even, peak, figures.lastFrost, figures.firstFrost)
  const lows = courseThrough(hottest.tminC, coldest.tminC, late)
  const at = ({ mean, half, late: by }: Course, month: number) => mean + half * Math.cos(angle(month - peak - by))
  const tmaxC = monthly((m) => at(highs, m))
  const rainMm = rainByMonth(figures.rainMm, figures.wettest)
  return {
    tmaxC,
    // Nights that frost dates made late stay below the days.
    tminC: monthly((m) => Math.min(at(lows, m), tmaxC[m]!)),
    rainMm,
    wetDays: wetDaysOf(rainMm),
  }
}
