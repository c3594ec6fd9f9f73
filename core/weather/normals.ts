import { dayFromNumber, monthIndex, type Day } from '../measure/calendar'

/** Monthly means of a place, January first: °C, mm a month, days a month with 0.25 mm or more. */
export interface Normals {
  tmaxC: readonly number[]
  tminC: readonly number[]
  rainMm: readonly number[]
  wetDays: readonly number[]
}

export const WET_DAY_MM = 0.25
export const MONTH_DAYS = [31, 28.25, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const
const HARMONICS = 3

/** Place in the year as an angle; months are equally wide, so monthly means stand at even spacing. */
function yearAngle(day: Day): number {
  const fraction = (Number(day.slice(8)) - 0.5) / Math.ceil(MONTH_DAYS[monthIndex(day)]!)
  return ((monthIndex(day) + Math.min(1, fraction)) / 12) * 2 * Math.PI
}

type Course = (angle: number) => number

/** Three harmonics through twelve monthly means, each raised by what averaging over a month takes from it. */
function harmonicCourse(monthly: readonly number[]): Course {
  const mean = meanOf(monthly)
  const terms = Array.from({ length: HARMONICS }, (_, i) => {
    const k = i + 1
    const flattened = Math.sin((k * Math.PI) / 12) / ((k * Math.PI) / 12)
    let a = 0
    let b = 0
    monthly.forEach((value, m) => {
      const angle = ((m + 0.5) / 12) * 2 * Math.PI * k
      a += value * Math.cos(angle)
      b += value * Math.sin(angle)
    })
    return { k, a: a / 6 / flattened, b: b / 6 / flattened }
  })
  return (angle) => terms.reduce((sum, { k, a, b }) => sum + a * Math.cos(k * angle) + b * Math.sin(k * angle), mean)
}

/** Rounds in which straight lines between the middles of months find the means that they are to have. */
const ROUNDS = 30

/** Straight lines between the middles of months whose monthly means are these. */
function linesThrough(monthly: readonly number[]): Course {
  // Mean over a month of lines through its own node and both neighbours': 3/4 of the first, 1/8 of each other.
  const nodes = [...monthly]
  for (let round = 0; round < ROUNDS; round++)
    for (let m = 0; m < 12; m++) nodes[m] = (monthly[m]! - (nodes[(m + 11) % 12]! + nodes[(m + 1) % 12]!) / 8) / 0.75
  return (angle) => {
    const at = ((angle / (2 * Math.PI)) * 12 - 0.5 + 12) % 12
    const m = Math.floor(at)
    return nodes[m]! + (at - m) * (nodes[(m + 1) % 12]! - nodes[m]!)
  }
}

const MIDDLES = Array.from({ length: 20 }, (_, i) => (i + 0.5) / 20)

/**
 * Annual course through twelve monthly means: three harmonics, and straight lines for what they smooth away, so that the
 * course's own monthly means are the ones given.
 */
function annualCourse(monthly: readonly number[]): Course {
  const smooth = harmonicCourse(monthly)
  const left = linesThrough(
    monthly.map((value, m) => value - meanOf(MIDDLES.map((part) => smooth(((m + part) / 12) * 2 * Math.PI)))),
  )
  return (angle) => smooth(angle) + left(angle)
}

const courses = new WeakMap<readonly number[], (angle: number) => number>()

function courseOf(monthly: readonly number[]): (angle: number) => number {
  let course = courses.get(monthly)
  if (!course) courses.set(monthly, (course = annualCourse(monthly)))
  return course
}

/** Normal maximum and minimum of a date, °C, and of a day's rain, mm. */
export function dailyNormals(normals: Normals, day: Day): { tmaxC: number; tminC: number; rainMm: number } {
  const angle = yearAngle(day)
  const month = monthIndex(day)
  return {
    tmaxC: courseOf(normals.tmaxC)(angle),
    tminC: courseOf(normals.tminC)(angle),
    rainMm: normals.rainMm[month]! / MONTH_DAYS[month]!,
  }
}

/** Share of wet days and mean depth of one, by month. */
export function wetDays(normals: Normals, month: number): { share: number; depthMm: number } {
  const share = Math.min(0.95, normals.wetDays[month]! / MONTH_DAYS[month]!)
  return { share, depthMm: normals.wetDays[month]! > 0 ? normals.rainMm[month]! / normals.wetDays[month]! : 0 }
}

export const meanOf = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length

/** The same place on the other side of the equator: months shifted by six. */
export function mirrored(normals: Normals): Normals {
  const shift = (monthly: readonly number[]) => monthly.map((_, m) => monthly[(m + 6) % 12]!)
  return {
    tmaxC: shift(normals.tmaxC),
    tminC: shift(normals.tminC),
    rainMm: shift(normals.rainMm),
    wetDays: shift(normals.wetDays),
  }
}

const WEEK = 7

/** Usual rain, mm, of the seven days from a date on. */
export const usualWeekRainMm = (normals: Normals, from: number): number => usualWeeksRainMm(normals, from, 1)[0]!

/** The same from each of so many dates on, one after the other. */
export function usualWeeksRainMm(normals: Normals, from: number, days: number): number[] {
  const daily = Array.from({ length: days + WEEK - 1 }, (_, i) => dailyNormals(normals, dayFromNumber(from + i)).rainMm)
  return Array.from({ length: days }, (_, i) => daily.slice(i, i + WEEK).reduce((sum, mm) => sum + mm, 0))
}
