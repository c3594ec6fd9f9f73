import type { Source } from './working'
import type { Phrase } from './phrase'

/** How a condition stands: met; not yet to be judged; costly if ignored; or stopping the work. */
export type GateState = 'met' | 'waiting' | 'risk' | 'hold'

/** One judged condition with its reason. */
export interface Gate {
  state: GateState
  text: Phrase
  source?: Source
}
