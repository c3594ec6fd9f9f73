import type { Operation, OperationCode } from './operations'
import { AFTER } from './catalogueAfter'
import { BEFORE, KILLS } from './catalogueBefore'
import { BED } from './catalogueBed'
import { GROUND } from './catalogueGround'

const ALL = new Map([...BEFORE, ...KILLS, ...GROUND, ...BED, ...AFTER].map((operation) => [operation.code, operation]))
/** @throws RangeError for a code that is not in the catalogue */
export function operationByCode(code: OperationCode): Operation {
  const operation = ALL.get(code)
  if (!operation) throw new RangeError(`No operation ${code}.`)
  return operation
}

/** What a technician may add to any plan. */
export const ADDABLE = [
  'hardWeeds',
  'soilTest',
  'kill3',
  'waterAhead',
  'fork',
  'preventer',
  'green',
  'weak',
  'regulator',
  'weedControl',
  'feedAgain',
  'close',
  'nextSeason',
] as const satisfies readonly OperationCode[]
