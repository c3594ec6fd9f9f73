import type { UnitSystem } from '../quantity/figure'
import { finite, inMetres, parseQuantity, plain, splitUnit, type Parsed } from '../quantity/parse'
import { rectangleM2, triangleM2 } from './area'

const EXAMPLE = 'Sides such as 40x16 m, a triangle as 10x12x8 m, several as 60x40 ft + 20x10 ft.'

/** Two sides are a rectangle, three a triangle; a unit stands for the sides before it. */
function shapeM2(text: string, system: UnitSystem): number {
  const sides = text.split(/\s*x\s*/).map((side) => splitUnit(side))
  const lastUnit = sides.findLast((side) => side?.unit)?.unit ?? (system === 'us' ? 'ft' : 'm')
  const metres = sides.map((side) => (side ? inMetres[side.unit || lastUnit]?.(side.number) : undefined))
  const [a, b, c] = metres
  if (a === undefined || b === undefined || metres.includes(undefined) || metres.length > 3) throw new RangeError(`Not understood. ${EXAMPLE}`)
  return c === undefined ? rectangleM2(a, b) : triangleM2(a, b, c)
}

/**
 * An area as typed: one figure ("6,590 sq ft") or taped shapes by their sides, added up or cut out
 * ("40x16 m + 6x3 m - 2x2 m", a triangle as "10x12x8 m").
 * @returns m², or a sentence on what is wrong
 */
export function parseArea(typed: string, system: UnitSystem): Parsed {
  const text = plain(typed)
  if (!/\d\s*[a-z'"]*\s*x/.test(text)) return parseQuantity('areaM2', typed, system)
  const parts = text.split(/\s*([+-])\s*/)
  try {
    let totalM2 = 0
    for (let i = 0; i < parts.length; i += 2) totalM2 += (parts[i - 1] === '-' ? -1 : 1) * shapeM2(parts[i]!, system)
    return totalM2 > 0 ? finite(totalM2) : { ok: false, message: 'What is cut out is larger than the lawn.' }
  } catch (error) {
    return { ok: false, message: (error as RangeError).message }
  }
}
