import type { Cause } from '#core/establishment/sowing'

/** Causes of failure in the order of every table and layer: head of a column, and what is lost by it. */
export const CAUSES: readonly { code: Cause; head: string; lost: string }[] = [
  { code: 'washout', head: 'Washout', lost: 'washed out' },
  { code: 'dry', head: 'Dried out', lost: 'dried out' },
  { code: 'heat', head: 'Heat', lost: 'to heat' },
  { code: 'frost', head: 'Winter', lost: 'to winter' },
  { code: 'cold', head: 'Cold soil', lost: 'to cold soil' },
]
