import type { Part } from '../parts'
import type { Anchor, Definition, Extent } from './definition'
import { keyOf, operationByCode, OPERATIONS } from './registry'

const PLAIN: Extent = {
  soilTested: true,
  dryGround: false,
  autumnAhead: false,
  dormant: false,
  leavesFall: false,
  added: [],
}

/** An operation of a plan, with the parts of the lawn that have it. */
export interface PlannedOperation {
  key: string
  operation: Definition
  /** Which of several, 1 for the only one. */
  number: number
  of: number
  parts: Part[]
}

/** Does this part have this operation, as surveyed, by its practices and by what was added? */
function has(part: Part, code: string, extent: Extent): boolean {
  const { addable, programmes, wanted, putsDown, preEmergent } = operationByCode(code)
  if (extent.noSprays && (putsDown === 'spray' || preEmergent)) return false
  if (addable && extent.added.includes(code)) return true
  if (!programmes.includes(part.programme.code)) return false
  return wanted?.(part, { extent, has: (other) => has(part, other, extent) }) ?? true
}

/** Operations of a plan, in order, each with the parts that have it; those of several turns once for each. */
export const operationsOf = (all: readonly Part[], extent: Extent = PLAIN): PlannedOperation[] =>
  OPERATIONS.flatMap((operation) => {
    const parts = all.filter((part) => has(part, operation.code, extent))
    if (!parts.length) return []
    const of = operation.times?.(parts) ?? 1
    return Array.from({ length: of }, (_, i) => ({
      key: keyOf(operation.code, i + 1),
      operation,
      number: i + 1,
      of,
      parts,
    }))
  })

/** What has its day chosen: the first dressing only where nothing is sown. */
export const anchorOf = (parts: readonly Part[]): Anchor =>
  parts.some(({ programme }) => programme.anchor === 'seeding') ? 'seeding' : 'dressing'
