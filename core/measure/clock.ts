import { toDay, type Day } from './calendar'

/**
 * Where days and zones are worked out: here and nowhere else. A zone that this machine does not know reads as UTC, so
 * that nobody is shut out by it.
 */
const formats = new Map<string, Intl.DateTimeFormat>()

function formatOf(timeZone: string): Intl.DateTimeFormat {
  const known = formats.get(timeZone)
  if (known) return known
  const options = {
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  } as const
  let format: Intl.DateTimeFormat
  try {
    format = new Intl.DateTimeFormat('en-US', { ...options, timeZone })
  } catch {
    format = new Intl.DateTimeFormat('en-US', { ...options, timeZone: 'UTC' })
  }
  formats.set(timeZone, format)
  return format
}

/** What the clock of a zone shows at a moment. */
const shown = (timeZone: string, moment: Date): Record<string, string> =>
  Object.fromEntries(
    formatOf(timeZone)
      .formatToParts(moment)
      .map(({ type, value }) => [type, value]),
  )

/** The day it is in a zone at a moment. @throws RangeError for a moment outside the calendar */
export function dayIn(timeZone: string, moment: Date): Day {
  const { year, month, day } = shown(timeZone, moment)
  return toDay(`${year}-${month}-${day}`)
}

/** By how much the clock of a zone is ahead of UTC at a moment, ms. */
function aheadMs(timeZone: string, moment: Date): number {
  const at = shown(timeZone, moment)
  return (
    Date.UTC(Number(at.year), Number(at.month) - 1, Number(at.day), Number(at.hour), Number(at.minute)) -
    Math.floor(moment.getTime() / 60_000) * 60_000
  )
}

/** The moment some days on at which the clock of a zone shows the same, over changes of summer time too. */
export function daysLater(timeZone: string, moment: Date, days: number): Date {
  const same = new Date(moment.getTime() + days * 86_400_000)
  return new Date(same.getTime() + aheadMs(timeZone, moment) - aheadMs(timeZone, same))
}

/** Hours by which the clock of a time zone is ahead of the sun at a longitude, on a day. */
export function clockAheadH(timeZone: string, lonDeg: number, day: Day): number {
  return aheadMs(timeZone, new Date(`${day}T12:00:00Z`)) / 3_600_000 - lonDeg / 15
}
