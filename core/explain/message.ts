import type { MessageKey } from '#words/message'
import type { Day } from '../measure/calendar'
import type { Figure } from '../measure/figure'
import type { Worked } from './working'

/** A day inside a message, and how it is to be said; with the year where it is not that of `near`. */
export interface SaidDay {
  day: Day
  as: 'short' | 'long' | 'weekday'
  near?: Day
}

/** A message inside another, that does not begin it. */
export interface Lowered {
  lowered: Message
}

/** Messages right after one another, as they stand. */
export interface Joined {
  joined: readonly MessageValue[]
}

/**
 * What a message is filled with: names that people typed, numbers and flags that choose a wording, figures, days, and
 * other messages; a list is told one after the other with commas between.
 */
export type MessageValue =
  | string
  | number
  | boolean
  | undefined
  | Figure
  | Worked
  | SaidDay
  | Lowered
  | Joined
  | Message
  | readonly MessageValue[]

/** A sentence of the core: its name in the catalogue of messages, and what it is filled with. */
export interface Message {
  key: MessageKey
  values?: Readonly<Record<string, MessageValue>>
}

export const say = (key: MessageKey, values?: Message['values']): Message => (values ? { key, values } : { key })

/** "Sep 24", and the year too when it is not the year of `near`. */
export const shortDay = (day: Day, near?: Day): SaidDay => (near ? { day, as: 'short', near } : { day, as: 'short' })
/** "Thursday, September 24". */
export const longDay = (day: Day): SaidDay => ({ day, as: 'long' })
/** "Thursday". */
export const weekdayName = (day: Day): SaidDay => ({ day, as: 'weekday' })

export const lowered = (message: Message): Lowered => ({ lowered: message })
export const joined = (parts: readonly MessageValue[]): Joined => ({ joined: parts })

/** A message with its figures, their workings left behind. */
export const withoutWorkings = ({ key, values }: Message): Message =>
  values
    ? { key, values: Object.fromEntries(Object.entries(values).map(([name, value]) => [name, inBrief(value)])) }
    : { key }

function inBrief(value: MessageValue): MessageValue {
  if (typeof value !== 'object') return value
  if (Array.isArray(value)) return value.map(inBrief)
  if ('working' in value) return value.working.result
  if ('key' in value) return withoutWorkings(value)
  if ('joined' in value) return joined(value.joined.map(inBrief))
  return 'lowered' in value ? lowered(withoutWorkings(value.lowered)) : value
}

/** What cannot be, and says why. */
export class SaidError extends RangeError {
  constructor(readonly said: Message) {
    super(said.key)
  }
}
