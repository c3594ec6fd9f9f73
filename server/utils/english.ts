import type { Message } from '#core/explain/message'
import { tellerOf } from '#words/teller'

const teller = tellerOf('en-US')
/** A message for who has no catalogue of his own: a log, a script, a command. */
export const english = ({ key, values }: Message): string => teller.text(key, values, 'us')

export const mapped = <A, B>(all: Readonly<Record<string, A>>, one: (value: A) => B): Record<string, B> =>
  Object.fromEntries(Object.entries(all).map(([name, value]) => [name, one(value)]))
