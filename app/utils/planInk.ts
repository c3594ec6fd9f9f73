import { Point } from 'ol/geom'
import { Fill, Stroke, Style, Text } from 'ol/style'
import { distanceM, type Ring } from '#core/site/geometry'

/** How the plan is drawn: lime ground, moss-tint lawn, ink outlines, one straw selection. */
export const INK = '#172019'
export const MOSS = '#3c6326'
export const CLAY = '#9a3e1b'
export const FROST = '#2b5f84'
export const LOAM = '#5f503c'
export const font = (size: number, weight = 600) => `${weight} ${size}px "Archivo Variable", sans-serif`
const halo = (width = 4) => new Stroke({ color: '#fbfbf5', width })

/** A tile of a pattern, drawn once. */
function pattern(size: number, draw: (context: CanvasRenderingContext2D) => void): CanvasPattern | string {
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = size
  const context = canvas.getContext('2d')!
  draw(context)
  return context.createPattern(canvas, 'repeat') ?? 'transparent'
}
export const dots = () =>
  pattern(6, (c) => {
    c.fillStyle = '#fbfbf5'
    c.fillRect(0, 0, 6, 6)
    c.fillStyle = INK
    c.fillRect(1, 1, 1.6, 1.6)
    c.fillRect(4, 4, 1.6, 1.6)
  })

export const label = (text: string, size: number, options: ConstructorParameters<typeof Text>[0] = {}) =>
  new Text({ text, font: font(size), fill: new Fill({ color: INK }), stroke: halo(), overflow: true, ...options })

/** Lengths along the sides of a ring, each in its middle. */
export function sideLabels(ring: Ring, words: (metres: number) => string): Style[] {
  return ring.flatMap((from, i): Style[] => {
    const to = ring[(i + 1) % ring.length]!
    const metres = distanceM(from, to)
    if (metres < 1 || ring.length > 14) return []
    let angle = -Math.atan2(to[1] - from[1], to[0] - from[0])
    if (Math.abs(angle) > Math.PI / 2) angle += Math.PI
    return [
      new Style({
        geometry: new Point([(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]),
        text: label(words(metres), 12, { rotation: angle }),
        zIndex: 21,
      }),
    ]
  })
}
