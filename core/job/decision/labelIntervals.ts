import type { GrassCode } from '../../grass/grasses'

/** What to ask the label about: a usual wait from application to sowing, days, to be checked against the label. */
export interface UsualInterval {
  ingredient: string
  kind: 'pre-emergent' | 'weed killer' | 'non-selective'
  /** From the short to the long end. */
  days: readonly [number, number]
  /** Grasses that it injures as seed, and such as bear it only at the reduced rate. */
  injures?: readonly GrassCode[]
  reducedRate?: readonly GrassCode[]
}

const MONTH = 30.4
const months = (low: number, high: number): [number, number] => [Math.round(low * MONTH), Math.round(high * MONTH)]

/** @source turf handbooks; the label in hand always wins */
export const USUAL_INTERVALS: readonly UsualInterval[] = [
  { ingredient: 'prodiamine', kind: 'pre-emergent', days: months(4, 10) },
  { ingredient: 'dithiopyr', kind: 'pre-emergent', days: months(3, 4) },
  { ingredient: 'pendimethalin', kind: 'pre-emergent', days: months(3, 4) },
  { ingredient: 'oxadiazon', kind: 'pre-emergent', days: months(4, 4) },
  { ingredient: 'indaziflam', kind: 'pre-emergent', days: months(10, 24) },
  { ingredient: 'isoxaben', kind: 'pre-emergent', days: months(2, 4) },
  { ingredient: 'siduron', kind: 'pre-emergent', days: [0, 0], injures: ['BER'] },
  {
    ingredient: 'mesotrione',
    kind: 'pre-emergent',
    days: [0, 0],
    injures: ['CBG', 'BER', 'ZOY'],
    reducedRate: ['CRF', 'CHF', 'HF'],
  },
  { ingredient: '2,4-D, dicamba, MCPP or triclopyr', kind: 'weed killer', days: [21, 28] },
  { ingredient: 'quinclorac', kind: 'weed killer', days: [0, 7] },
  { ingredient: 'halosulfuron', kind: 'weed killer', days: [28, 28] },
  { ingredient: 'atrazine or simazine', kind: 'weed killer', days: months(4, 9) },
  { ingredient: 'pronamide', kind: 'weed killer', days: months(3, 6) },
  { ingredient: 'glyphosate', kind: 'non-selective', days: [3, 7] },
]

/** However it was typed. */
const rowOf = (ingredient: string): UsualInterval | undefined =>
  USUAL_INTERVALS.find((row) => row.ingredient.toLowerCase() === ingredient.trim().toLowerCase())

/** The cautious end of the usual wait, days; undefined for an ingredient that is not in the table. */
export const usualWaitDays = (ingredient: string): number | undefined => rowOf(ingredient)?.days[1]

/** What kind an ingredient is of; undefined where nothing is known of it. */
export const usualKind = (ingredient: string): UsualInterval['kind'] | undefined => rowOf(ingredient)?.kind

/** Grasses whose seed an ingredient injures, and those that bear it at the reduced rate alone; none where nothing is known. */
export function injuriesOf(ingredient: string): { injures: readonly GrassCode[]; reducedRate: readonly GrassCode[] } {
  const row = rowOf(ingredient)
  return { injures: row?.injures ?? [], reducedRate: row?.reducedRate ?? [] }
}
