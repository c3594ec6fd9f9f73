import { SaidError, say, type Message } from '../explain/message'
import type { UnitSystem } from '../measure/figure'
import { finite, inMetres, parseQuantity, plain, splitUnit, type Parsed } from '../measure/parse'
import { circleM2, ellipseM2, offsetM2, rectangleM2, ringSectorM2, trapezoidM2, triangleM2 } from './area'

/** A shape as taped, in metres, so that it can be drawn as well as counted. */
export type TapedShape =
  | { kind: 'rectangle' | 'triangle' | 'trapezoid' | 'circle' | 'ellipse'; sidesM: number[] }
  | { kind: 'ring'; sidesM: [outer: number, inner: number]; angleDeg: number }
  | { kind: 'offsets'; sidesM: number[]; spacingM: number }

/** A taped shape, added or cut out. */
export interface TapedPart {
  shape: TapedShape
  areaM2: number
  cutOut: boolean
}
export type ReadTaped = { ok: true; parts: TapedPart[]; areaM2: number } | { ok: false; message: Message }

/** How each shape is typed. */
export const SHAPE_EXAMPLES = {
  rectangle: '40x16 m',
  triangle: '10x12x8 m',
  trapezoid: 'trapezoid 10x8x6 m',
  circle: 'circle 5 m',
  ellipse: 'ellipse 8x5 m',
  ring: 'ring 8x5 m 90°',
  offsets: 'offsets 3 m: 0 4 7 8 7 4 0',
} as const satisfies Record<TapedShape['kind'], string>

const EXAMPLE = say('site.sidesSuchAs40x16')
const SIDES = { trapezoid: 3, circle: 1, ellipse: 2, ring: 2 } as const

/** @throws RangeError where the shape cannot be */
export function shapeM2(shape: TapedShape): number {
  const [a, b, c] = shape.sidesM as [number, number, number]
  switch (shape.kind) {
    case 'rectangle':
      return rectangleM2(a, b)
    case 'triangle':
      return triangleM2(a, b, c)
    case 'trapezoid':
      return trapezoidM2(a, b, c)
    case 'circle':
      return circleM2(a)
    case 'ellipse':
      return ellipseM2(a, b)
    case 'ring':
      return ringSectorM2(a, b, shape.angleDeg)
    case 'offsets':
      return offsetM2(shape.sidesM, shape.spacingM).bestM2
  }
}

/** "10x8 m" → [10, 8]: a unit stands for the sides before it. @throws RangeError where it is not understood */
function sidesM(text: string, system: UnitSystem): number[] {
  const sides = text.split(/\s*x\s*/).map((side) => splitUnit(side))
  const lastUnit = sides.findLast((side) => side?.unit)?.unit ?? (system === 'us' ? 'ft' : 'm')
  return sides.map((side) => {
    const metres = side && inMetres[side.unit || lastUnit]?.(side.number)
    if (metres === undefined) throw new SaidError(say('site.notUnderstood', { example: EXAMPLE }))
    return metres
  })
}

function readOffsets(text: string, system: UnitSystem): TapedShape {
  const [spacing, list, ...rest] = text.split(':')
  if (list === undefined || rest.length)
    throw new SaidError(say('site.offsetsSuchAs', { example: SHAPE_EXAMPLES.offsets }))
  const parsed = splitUnit(spacing!.trim())
  const unit = parsed?.unit || (system === 'us' ? 'ft' : 'm')
  const toMetres = inMetres[unit]
  if (!parsed || !toMetres) throw new SaidError(say('site.spacingNotUnderstood', { example: SHAPE_EXAMPLES.offsets }))
  const metres = list
    .trim()
    .split(/[\s;]+/)
    .map((one) => {
      const number = splitUnit(one)
      if (!number || (number.unit && number.unit !== unit))
        throw new SaidError(say('site.offsetNotUnderstood', { typed: one }))
      return toMetres(number.number)
    })
  return { kind: 'offsets', sidesM: metres, spacingM: toMetres(parsed.number) }
}

function readShape(text: string, system: UnitSystem): TapedShape {
  const [, word, rest] = /^(?:(trapezoid|circle|ellipse|ring|offsets)\s+)?(.*)$/s.exec(text)!
  if (word === 'offsets') return readOffsets(rest!, system)
  if (word === 'ring') {
    const found = /^(.*?)\s+(\d+(?:\.\d+)?)\s*(?:°|deg)$/.exec(rest!)
    const sides = found && sidesM(found[1]!, system)
    if (!found || sides?.length !== SIDES.ring)
      throw new SaidError(say('site.ringSuchAs', { example: SHAPE_EXAMPLES.ring }))
    return { kind: 'ring', sidesM: sides as [number, number], angleDeg: Number(found[2]) }
  }
  const sides = sidesM(rest!, system)
  if (word === undefined) {
    if (sides.length < 2 || sides.length > 3) throw new SaidError(say('site.notUnderstood', { example: EXAMPLE }))
    return { kind: sides.length === 2 ? 'rectangle' : 'triangle', sidesM: sides }
  }
  const kind = word as 'trapezoid' | 'circle' | 'ellipse'
  if (sides.length !== SIDES[kind])
    throw new SaidError(say('site.typeShapeSuchAs', { kind, example: SHAPE_EXAMPLES[kind] }))
  return { kind, sidesM: sides }
}

const isTaped = (text: string): boolean => /\d\s*[a-z'"]*\s*x|^(trapezoid|circle|ellipse|ring|offsets)\b/.test(text)

/**
 * Taped shapes by their sides, added up or cut out: "40x16 m + circle 6 m - 2x2 m", "offsets 3 m: 0 4 7 8 7 4 0".
 * @returns each shape in metres with its area, m², or a sentence on what is wrong; undefined where no shape was typed
 */
export function readTaped(typed: string, system: UnitSystem): ReadTaped | undefined {
  const text = plain(typed)
  if (!isTaped(text)) return undefined
  const pieces = text.split(/\s*([+-])\s*/)
  try {
    const parts: TapedPart[] = []
    for (let i = 0; i < pieces.length; i += 2) {
      const shape = readShape(pieces[i]!, system)
      parts.push({ shape, areaM2: shapeM2(shape), cutOut: pieces[i - 1] === '-' })
    }
    const areaM2 = parts.reduce((sum, part) => sum + (part.cutOut ? -part.areaM2 : part.areaM2), 0)
    return areaM2 > 0 ? { ok: true, parts, areaM2 } : { ok: false, message: say('site.whatIsCutOutIs') }
  } catch (error) {
    if (error instanceof SaidError) return { ok: false, message: error.said }
    throw error
  }
}

/**
 * An area as typed: one figure ("6,590 sq ft") or taped shapes.
 * @returns m², or a sentence on what is wrong
 */
export function parseArea(typed: string, system: UnitSystem): Parsed {
  const taped = readTaped(typed, system)
  if (!taped) return parseQuantity('areaM2', typed, system)
  return taped.ok ? finite(taped.areaM2) : taped
}
