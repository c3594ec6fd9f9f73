import type { Figure } from '../measure/figure'
import type { Worked } from './working'

/** A sentence with live numbers in it: words, figures, and figures that open their working. */
export type PhrasePart = string | Figure | Worked
export type Phrase = PhrasePart[]

export const isWorked = (part: PhrasePart): part is Worked => typeof part === 'object' && 'working' in part
