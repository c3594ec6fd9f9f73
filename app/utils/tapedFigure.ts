import type { TapedShape } from '#core/site/typedArea'

export interface TapedFigure {
  path: string
  /** Lines inside of it, such as offsets. */
  inner?: string
  viewBox: string
}

type Point = readonly [number, number]
const closed = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join('L')}Z`

function arc(radius: number, fromDeg: number, toDeg: number): Point[] {
  const steps = Math.max(8, Math.ceil((toDeg - fromDeg) / 6))
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = ((fromDeg + ((toDeg - fromDeg) * i) / steps) * Math.PI) / 180
    return [radius * Math.cos(angle), -radius * Math.sin(angle)] as const
  })
}

function corners(shape: TapedShape): { outline: Point[]; lines?: [Point, Point][] } {
  const [a = 1, b = 1, c = 1] = shape.sidesM
  switch (shape.kind) {
    case 'rectangle':
      return {
        outline: [
          [0, 0],
          [a, 0],
          [a, -b],
          [0, -b],
        ],
      }
    case 'triangle': {
      // The first side as base; the corner where the other two meet.
      const x = (a * a + c * c - b * b) / (2 * a)
      return {
        outline: [
          [0, 0],
          [a, 0],
          [x, -Math.sqrt(Math.max(0, c * c - x * x))],
        ],
      }
    }
    case 'trapezoid':
      return {
        outline: [
          [0, 0],
          [a, 0],
          [(a + b) / 2, -c],
          [(a - b) / 2, -c],
        ],
      }
    case 'circle':
      return { outline: arc(a / 2, 0, 360) }
    case 'ellipse':
      return { outline: arc(1, 0, 360).map(([x, y]) => [(x * a) / 2, (y * b) / 2] as const) }
    case 'ring':
      return { outline: [...arc(a, 0, shape.angleDeg), ...arc(b, 0, shape.angleDeg).reverse()] }
    case 'offsets': {
      const tops = shape.sidesM.map((m, i): Point => [i * shape.spacingM, -m])
      return {
        outline: [[0, 0], ...tops, [(shape.sidesM.length - 1) * shape.spacingM, 0]],
        lines: tops.map(([x, y]) => [
          [x, 0],
          [x, y],
        ]),
      }
    }
  }
}

/** A taped shape as a small drawing that keeps its proportions. */
export function outlineOfShape(shape: TapedShape): TapedFigure {
  const { outline, lines } = corners(shape)
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y)]
  const [left, top, width, height] = [
    Math.min(...xs),
    Math.min(...ys),
    Math.max(...xs) - Math.min(...xs),
    Math.max(...ys) - Math.min(...ys),
  ]
  const edge = Math.max(width, height) * 0.04
  return {
    path: closed(outline),
    viewBox: [left - edge, top - edge, width + 2 * edge, height + 2 * edge].map((n) => n.toFixed(3)).join(' '),
    ...(lines
      ? {
          inner: lines
            .map(([from, to]) => `M${from.map((n) => n.toFixed(3)).join(' ')}L${to.map((n) => n.toFixed(3)).join(' ')}`)
            .join(''),
        }
      : {}),
  }
}
