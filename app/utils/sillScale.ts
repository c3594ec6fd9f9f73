import { addDays, dayNumber, monthIndex, weekdayIndex, type Day } from '#core/measure/calendar'
import { monthsShort } from './days'
import type { SillData } from '#contract/context'
import type { LedgeMark } from '#core/job/ledgeMarks'
import { readingOnLine } from '#core/establishment/outlook'

export const DAYS_BACK = 30
export const DAYS_ON = 120

/** Where a day and a temperature stand on the ledge. */
export interface SillScale {
  x: (day: Day) => number
  y: (tempC: number) => number
  day: (x: number) => Day
  from: Day
  to: Day
  left: number
  right: number
  perDay: number
}

/** Lowest and highest °C that the ledge has to hold, in steps of five. */
function range(data: SillData, from: number, to: number): [number, number] {
  const { p05, p95 } = data.outlook.soilC
  const values = [...p05.slice(from, to), ...p95.slice(from, to), data.outlook.band.lowC, data.outlook.band.highC]
  const probe = data.outlook.readings
    .filter(({ used }) => used)
    .flatMap((reading) => readingOnLine(data.outlook, reading) ?? [])
  const low = Math.min(...values, ...(probe.length ? probe.slice(-DAYS_BACK) : values))
  const high = Math.max(...values, ...(probe.length ? probe.slice(-DAYS_BACK) : values))
  return [Math.floor(low - 0.5), Math.ceil(high + 0.5)]
}

export function sillScale(data: SillData, left: number, rightEdge: number, top: number, foot: number): SillScale {
  // Before it was measured the ledge has no width; nothing on it may have less than none.
  const right = Math.max(rightEdge, left + 1)
  const { today, todayIndex } = data.outlook
  const from = addDays(today, -DAYS_BACK)
  const perDay = (right - left) / (DAYS_BACK + DAYS_ON)
  const [low, high] = range(data, todayIndex - DAYS_BACK, todayIndex + DAYS_ON)
  const start = dayNumber(from)
  return {
    from,
    to: addDays(today, DAYS_ON),
    left,
    right,
    perDay,
    x: (day) => left + (dayNumber(day) - start) * perDay,
    y: (tempC) => top + ((high - tempC) / (high - low)) * (foot - top),
    day: (x) => addDays(from, Math.min(DAYS_BACK + DAYS_ON, Math.max(0, Math.round((x - left) / perDay)))),
  }
}

/** First days of months on the ledge, with their names; the year too where it turns. */
export function monthTicks(scale: SillScale): { day: Day; label: string }[] {
  const ticks: { day: Day; label: string }[] = []
  for (let day = scale.from; day < scale.to; day = addDays(day, 1)) {
    if (!day.endsWith('-01')) continue
    const name = monthsShort()[monthIndex(day)]!
    ticks.push({ day, label: monthIndex(day) === 0 ? `${name} ${day.slice(2, 4)}` : name })
  }
  return ticks
}

export function mondays(scale: SillScale): Day[] {
  const out: Day[] = []
  for (let day = scale.from; day <= scale.to; day = addDays(day, 1)) if (weekdayIndex(day) === 1) out.push(day)
  return out
}

/** What hangs from the lip. */
export interface Hanger {
  key: string
  day: Day
  mark: LedgeMark['mark']
  label: string
  done: boolean
}

/** Keeps those labels that have room, the sowing first. */
export function labelled(
  hangers: readonly Hanger[],
  x: (day: Day) => number,
  right: number,
  most: number,
): Set<string> {
  const taken: [number, number][] = []
  const kept = new Set<string>()
  const ranked = [...hangers].sort(
    (a, b) =>
      Number(b.mark === 'sow') - Number(a.mark === 'sow') || Number(b.mark === 'visit') - Number(a.mark === 'visit'),
  )
  for (const hanger of ranked) {
    if (!hanger.label || kept.size >= most) continue
    const start = x(hanger.day) + 8
    const end = start + hanger.label.length * 6.4 + 6
    const marks = hangers.some(
      ({ key, day }) => key !== hanger.key && x(day) > start - 8 && x(day) < end && day !== hanger.day,
    )
    if (end > right || marks || taken.some(([a, b]) => start < b && end > a)) continue
    taken.push([start - 12, end])
    kept.add(hanger.key)
  }
  return kept
}
