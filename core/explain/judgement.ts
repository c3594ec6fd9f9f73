import type { Day } from '../measure/calendar'
import type { Source } from './working'
import type { Message } from './message'

/** How a condition stands: met; not yet to be judged; costly if ignored; or stopping the work. */
export type GateState = 'met' | 'waiting' | 'risk' | 'hold'

/** One judged condition with its reason. */
export interface Gate {
  state: GateState
  text: Message
  source?: Source
  /** What it judges, in a word of its own: by it a note can overrule it. */
  code?: string
  /** Law or label: no note overrules it. */
  binding?: boolean
  /** When it is next looked at. */
  again?: Day
  /** The note by which it was overruled. */
  overruled?: string
}

/** How work stands by all of its gates: go, wait for something, or hold. */
export type Stand = 'go' | 'wait' | 'hold'

export const standOf = (gates: readonly Gate[]): Stand => {
  const open = gates.filter(({ overruled }) => overruled === undefined)
  if (open.some(({ state }) => state === 'hold')) return 'hold'
  return open.some(({ state }) => state === 'waiting') ? 'wait' : 'go'
}
