import type { Gate } from '../../explain/judgement'
import type { Phrase } from '../../explain/phrase'
import type { Worked } from '../../explain/working'

/** How an operation is set on some ground, and what it waits for on the day. */
export interface Brief {
  settings: Phrase
  gates: Gate[]
  hours: Worked
  /** Where it is done another way than its name says. */
  name?: string
}

/** Which of several an operation is. */
export interface Turn {
  number: number
  of: number
}

/** Seen on the day itself, by whoever stands there. */
export const onTheDay = (...text: Phrase): Gate => ({ state: 'waiting', text })
