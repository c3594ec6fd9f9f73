import type { Cause } from '#core/establishment/sowing'

/** Causes of failure in the order of every table and layer: head of a column, and what it does to a stand. */
export const CAUSES: readonly { code: Cause; head: string; does: string }[] = [
  { code: 'washout', head: 'Washout', does: 'rain washes out' },
  { code: 'dry', head: 'Dried out', does: 'drought kills' },
  { code: 'heat', head: 'Heat', does: 'heat spoils' },
  { code: 'frost', head: 'Winter', does: 'frost takes' },
  { code: 'cold', head: 'Cold soil', does: 'cold stops' },
]
