import type { SillData } from '#contract/context'
import { addDays, type Day } from '#core/measure/calendar'
import { shortDay } from './days'
import { indexOf, readingOnLine } from '#core/establishment/outlook'
import { mondays, monthTicks, type SillScale } from './sillScale'
import { t } from './words'

/** A day of the line. filled: behind today without an observation, so that the normals stand in. */
export interface SillPoint {
  day: Day
  filled: boolean
  modelC: number
  median: number
  p05: number
  p25: number
  p75: number
  p95: number
}

export function pointsOf({ outlook }: SillData, { from, to }: SillScale): SillPoint[] {
  const { soilC } = outlook
  const points: SillPoint[] = []
  for (let day = from; day <= to; day = addDays(day, 1)) {
    const i = indexOf(outlook, day)
    const median = soilC.median[i]!
    points.push({
      day,
      filled: outlook.filled[i] === true,
      modelC: median - outlook.correctionK[i]!,
      median,
      p05: soilC.p05[i]!,
      p25: soilC.p25[i]!,
      p75: soilC.p75[i]!,
      p95: soilC.p95[i]!,
    })
  }
  return points
}

type ValueOf = (point: SillPoint) => number

const spot = ({ x, y }: SillScale, { day }: SillPoint, tempC: number) => `${x(day).toFixed(1)} ${y(tempC).toFixed(1)}`

/** Path through a value of every day. */
export const lineOf = (points: readonly SillPoint[], scale: SillScale, value: ValueOf): string =>
  points.map((point, i) => `${i ? 'L' : 'M'}${spot(scale, point, value(point))}`).join('')

/** Path around what lies between two values of every day. */
export function ribbonOf(points: readonly SillPoint[], scale: SillScale, high: ValueOf, low: ValueOf): string {
  const back = [...points].reverse().map((point) => `L${spot(scale, point, low(point))}`)
  return `${lineOf(points, scale, high)}${back.join('')}Z`
}

/** Pieces of the line between days that were observed or lie ahead, or those that lead into filled ones. */
export function runsOfLine(points: readonly SillPoint[], scale: SillScale, filled: boolean): string {
  const at = (point: SillPoint) => spot(scale, point, point.median)
  return points
    .map((point, i) => {
      const before = points[i - 1]
      if (!before || point.filled !== filled) return ''
      return i > 1 && before.filled === filled ? `L${at(point)}` : `M${at(before)}L${at(point)}`
    })
    .join('')
}

/** Readings beside the line of this ground; one that is left out is held inside of the ledge. */
export function readingsOf({ outlook }: SillData, scale: SillScale, lipY: number) {
  return outlook.readings.flatMap((reading) => {
    const day = reading.at.slice(0, 10) as Day
    const tempC = readingOnLine(outlook, reading)
    if (tempC === undefined || day < scale.from) return []
    return [{ ...reading, x: scale.x(day), y: Math.min(lipY - 4, Math.max(8, scale.y(tempC))) }]
  })
}

const RAIN_PX_PER_MM = 0.62
/** Less than this is dew. */
const LEAST_RAIN_MM = 0.2

/** Rain that fell, rain that is forecast, and the usual rain of each week ahead, as bars on the lip. */
export function rainOf({ outlook, forecast }: SillData, scale: SillScale) {
  const bar = (day: Day, mm: number | null | undefined) =>
    mm && mm >= LEAST_RAIN_MM ? [{ day, x: scale.x(day) - 2, height: Math.min(60, mm * RAIN_PX_PER_MM + 1) }] : []
  const fell: { day: Day; x: number; height: number }[] = []
  for (let day = scale.from; day <= scale.to; day = addDays(day, 1))
    fell.push(...bar(day, outlook.rainMm[indexOf(outlook, day)]))
  return {
    fell,
    told: forecast.flatMap(({ day, rainMm }) => bar(day, rainMm)),
    usual: mondays(scale)
      .filter((day) => day > outlook.today)
      .map((day) => ({
        x: scale.x(day),
        width: Math.max(0, Math.min(7 * scale.perDay, scale.right - scale.x(day)) - 1),
        height: outlook.usualWeekRainMm[indexOf(outlook, day)]! * RAIN_PX_PER_MM,
      })),
  }
}

/** Windows in which sowing makes a good stand, cut to the ledge; each with its days in words. */
export function sowingFields({ outlook }: SillData, scale: SillScale) {
  return outlook.windows.flatMap(({ from, to, best }) => {
    const [first, last] = [from < scale.from ? scale.from : from, to > scale.to ? scale.to : to]
    if (last < scale.from || first > scale.to) return []
    const x = scale.x(first)
    const width = Math.min(scale.x(last) + scale.perDay, scale.right) - x
    const days = t('shell.sowTo', { from: shortDay(from), to: shortDay(to) })
    return [
      {
        from,
        x,
        width,
        words: width > 210 ? t('shell.best', { days, best: shortDay(best) }) : width > 130 ? days : '',
      },
    ]
  })
}

/** First or last frost as drops from the top, by its odds. Close together, only the last keeps its label. */
export function frostDrops({ outlook }: SillData, scale: SillScale) {
  const odds = outlook.frost
  if (!odds) return []
  const word = t('shell.frost', { kind: odds.kind })
  const drop = (share: number, day: Day, height: number) => ({
    share,
    height,
    x: scale.x(day),
    label: share === 90 ? `90% ${word}, ${shortDay(day)}` : `${share}%`,
    day,
  })
  const drops = [drop(10, odds.p10, 9), drop(50, odds.p50, 16), drop(90, odds.p90, 23)].filter(
    ({ day }) => day < scale.to,
  )
  return drops.map((one, i) => ({ ...one, label: drops[i + 1] && drops[i + 1]!.x - one.x < 40 ? '' : one.label }))
}

/** Months that have room for their names beside the words of the frost. */
export function monthsBeside(drops: readonly { share: number; x: number }[], scale: SillScale) {
  return monthTicks(scale).filter(({ day }) => {
    const x = scale.x(day)
    return !drops.some(({ share, x: at }) => Math.abs(at - x) < 30 || (share === 90 && x > at - 30 && x < at + 150))
  })
}
