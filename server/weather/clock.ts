import type { Day } from '#core/quantity/calendar'

/** Hours by which the clock of a time zone is ahead of the sun at a longitude, on a day. */
export function clockAheadH(timeZone: string, lonDeg: number, day: Day): number {
  const noon = new Date(`${day}T12:00:00Z`)
  const parts = Object.fromEntries(new Intl.DateTimeFormat('en-US', { timeZone, hourCycle: 'h23', year: 'numeric', month: 'numeric', day: 'numeric', hour: 'numeric', minute: 'numeric' }).formatToParts(noon).map(({ type, value }) => [type, Number(value)]))
  const local = Date.UTC(parts.year!, parts.month! - 1, parts.day!, parts.hour!, parts.minute!)
  return (local - noon.getTime()) / 3_600_000 - lonDeg / 15
}
