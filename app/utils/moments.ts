import type { Day } from '#core/measure/calendar'
import { shortDay } from './days'
import { spoken, t } from './words'

const two = (n: number): string => String(n).padStart(2, '0')
const dayOf = (at: Date): Day => `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}` as Day

/** The time of day, by the clock of this browser: "6:40 AM", "06:40". */
export const clockWords = (at: Date): string =>
  at.toLocaleTimeString(spoken.value, { hour: 'numeric', minute: '2-digit' })

/** A moment as people say it, by the clock of their browser: "today at 6:40 AM", "Sep 18 at 6:40 AM". */
export function momentWords(iso: string, now = new Date()): string {
  const at = new Date(iso)
  const day = dayOf(at)
  return t('shell.at', { isToday: day === dayOf(now), day: shortDay(day), at: clockWords(at) })
}
