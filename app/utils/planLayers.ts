import ImageLayer from 'ol/layer/Image'
import ImageCanvas from 'ol/source/ImageCanvas'
import type Projection from 'ol/proj/Projection'
import { centreOf } from '#core/site/shade'
import { SUN_CLASSES, type Zone } from '#core/site/zone'
import type { SunMap } from '#core/site/sun'
import type { Underlay } from '#core/site/underlay'
import { t } from './words'

/** Overlays of the plan that are hatched rather than tinted, so that they print. */

function hatch(context: CanvasRenderingContext2D, gap: number, ratio: number): CanvasPattern | null {
  const size = gap * ratio
  const tile = document.createElement('canvas')
  tile.width = tile.height = size
  const ink = tile.getContext('2d')!
  ink.strokeStyle = 'rgba(23,32,25,0.75)'
  ink.lineWidth = 1.3 * ratio
  for (const shift of [-size, 0, size]) {
    ink.beginPath()
    ink.moveTo(shift, size)
    ink.lineTo(shift + size, 0)
    ink.stroke()
  }
  return context.createPattern(tile, 'repeat')
}

/**
 * What a layer is drawn with: its sheet, the place of its upper left corner on the plan, m, and sheet pixels a metre.
 */
interface Sheet {
  context: CanvasRenderingContext2D
  left: number
  top: number
  scale: number
  ratio: number
}

/** A layer of the plan that draws itself. */
const drawnLayer = (projection: Projection, zIndex: number, draw: (sheet: Sheet) => void): ImageLayer<ImageCanvas> =>
  new ImageLayer({
    zIndex,
    source: new ImageCanvas({
      projection,
      ratio: 1,
      canvasFunction(extent, resolution, ratio, size) {
        const canvas = document.createElement('canvas')
        canvas.width = Math.ceil(size[0]!)
        canvas.height = Math.ceil(size[1]!)
        draw({ context: canvas.getContext('2d')!, left: extent[0]!, top: extent[3]!, scale: ratio / resolution, ratio })
        return canvas
      },
    }),
  })

/** Shade as hatching: dense below 3 hours of sun, open to 6, a line where one becomes the other. */
export const sunLayer = (projection: Projection, map: () => SunMap | undefined): ImageLayer<ImageCanvas> =>
  drawnLayer(projection, 2, ({ context, left, top, scale, ratio }) => {
    const sun = map()
    if (!sun) return
    const cell = sun.grid.cellM * scale
    const drawn = new Set<number>()
    for (const [limit, gap] of [
      [SUN_CLASSES.dense, 5],
      [SUN_CLASSES.part, 11],
    ] as const) {
      context.beginPath()
      sun.grid.lawn.forEach((at, i) => {
        if (sun.hours[i]! >= limit || drawn.has(i)) return
        drawn.add(i)
        const [x, y] = centreOf(sun.grid, at)
        context.rect((x - left) * scale - cell / 2, (top - y) * scale - cell / 2, cell + 0.5, cell + 0.5)
      })
      context.fillStyle = hatch(context, gap, ratio) ?? 'rgba(0,0,0,0.2)'
      context.fill()
    }
  })

/** A picture under everything that is drawn, as it is placed, scaled and turned. */
export const pictureLayer = (
  projection: Projection,
  under: () => { image: CanvasImageSource; placed: Underlay } | undefined,
): ImageLayer<ImageCanvas> =>
  drawnLayer(projection, 0, ({ context, left, top, scale }) => {
    const lies = under()
    if (!lies) return
    const { at, mPerPx, turnDeg, widthPx, heightPx } = lies.placed
    context.translate((at[0] - left) * scale, (top - at[1]) * scale)
    context.rotate((turnDeg * Math.PI) / 180)
    context.scale(mPerPx * scale, mPerPx * scale)
    context.drawImage(lies.image, -widthPx / 2, -heightPx / 2, widthPx, heightPx)
  })

/** Cover of a zone as words on it, for the overlay of that name. */
export const coverWords = ({ desirableShare, weedShare, coarseShare, bareShare }: Zone): string =>
  desirableShare === null
    ? t('plan.notLookedAt')
    : t('plan.grassWeedsBare', {
        desirableShare: Math.round(desirableShare * 100),
        weedShare: Math.round(((weedShare ?? 0) + (coarseShare ?? 0)) * 100),
        bareShare: Math.round((bareShare ?? 0) * 100),
      })
