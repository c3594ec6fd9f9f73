import type { WaitCode } from '../planningFigures'

/** What the label of a product asks before seed may follow it. */
export interface LabelWait {
  ingredient: string
  waitDays: number | WaitCode
}

/** Selective on broad-leaved weeds. @source labels, from memory: 21 to 28 days; the label in hand wins */
export const SELECTIVE: LabelWait = { ingredient: '2,4-D, dicamba, MCPP or triclopyr', waitDays: 28 }
/** Stops weed seed, and spares seed of the grasses on its label. @source labels, from memory */
export const SEEDLING_SAFE: LabelWait = { ingredient: 'mesotrione', waitDays: 0 }
/** Kills all that is green. @source labels, from memory: 3 to 7 days; the label in hand wins */
export const NON_SELECTIVE: LabelWait = { ingredient: 'glyphosate', waitDays: 'labelWait' }
