import { shortDay, type Day } from '#core/measure/calendar'

const two = (n: number): string => String(n).padStart(2, '0')
const dayOf = (at: Date): Day => `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}` as Day

/** The time of day, by the clock of this browser: "6:40 AM". */
export const clockWords = (at: Date): string => at.toLocaleTimeString('en-US', { hour: 'numeric', minute: '2-digit' })

/** A moment as people say it, by the clock of their browser: "today at 6:40 AM", "18 Sep at 6:40 AM". */
export function momentWords(iso: string, now = new Date()): string {
  const at = new Date(iso)
  return `${dayOf(at) === dayOf(now) ? 'today' : shortDay(dayOf(at))} at ${clockWords(at)}`
}
