import OlMap from 'ol/Map'
import View from 'ol/View'
import { Draw, Modify, Snap } from 'ol/interaction'
import { defaults } from 'ol/interaction/defaults'
import VectorLayer from 'ol/layer/Vector'
import Projection from 'ol/proj/Projection'
import VectorSource from 'ol/source/Vector'
import { isEmpty } from 'ol/extent'
import type { FeatureLike } from 'ol/Feature'
import type { Style } from 'ol/style'
import type { PointM } from '#core/site/geometry'
import type { FeatureKind, Features } from '#core/site/sitePlan'
import { draftStyle } from '~/utils/planMap'
import { drawTypeOf, mapFeature, shapeOf } from '~/utils/planShapes'

/** How near a click has to come, px; a gloved finger is wider than a mouse. */
const NEAR_PX = 10
const REACH_M = 4000
/** The clicks that end a drawing choose nothing, though they are told a moment later. */
const QUIET_MS = 700

export interface PlanMapEvents {
  drawn: (shape: { points: PointM[]; holes: PointM[][] }) => void
  moved: (id: string, shape: { points: PointM[]; holes: PointM[][] }) => void
  clicked: (id: string | null) => void
  /** The view moved: left edge and metres a pixel. */
  viewed: (left: number, mPerPx: number, width: number) => void
  /** Length of the side being drawn, m; null when none is. */
  sketching: (metres: number | null) => void
}

/** OpenLayers on a plain ground in metres: what is on it is told from outside, what is done to it is told back. */
export function usePlanMap(events: PlanMapEvents, styleOf: (id: string) => Style[], isZone: (id: string) => boolean) {
  const projection = new Projection({ code: 'lawn', units: 'm', extent: [-REACH_M, -REACH_M, REACH_M, REACH_M] })
  const source = new VectorSource()
  const over = { source, updateWhileAnimating: true, updateWhileInteracting: true }
  // The first style of a zone is its ground: shade is hatched over that, and under all names and marks.
  const ground = new VectorLayer({
    ...over,
    zIndex: 1,
    style: (feature: FeatureLike) =>
      isZone(String(feature.getId())) ? styleOf(String(feature.getId())).slice(0, 1) : [],
  })
  const marks = new VectorLayer({
    ...over,
    zIndex: 3,
    style: (feature: FeatureLike) => styleOf(String(feature.getId())).slice(isZone(String(feature.getId())) ? 1 : 0),
  })
  const map = new OlMap({
    layers: [ground, marks],
    controls: [],
    interactions: defaults({ altShiftDragRotate: false, pinchRotate: false, doubleClickZoom: false }),
    view: new View({ projection, center: [10, 10], resolution: 0.08, minResolution: 0.005, maxResolution: 5 }),
  })
  const snap = new Snap({ source, pixelTolerance: NEAR_PX })
  let draw: Draw | undefined
  let quietUntil = 0

  const modifySource = new VectorSource()
  const modifySelected = new Modify({ source: modifySource, pixelTolerance: NEAR_PX, style: draftStyle() })
  map.addInteraction(modifySelected)
  map.addInteraction(snap)
  modifySelected.on('modifyend', ({ features }) => {
    for (const feature of features.getArray()) {
      const geometry = feature.getGeometry()
      if (geometry) events.moved(String(feature.getId()), shapeOf(geometry))
    }
  })
  map.on('singleclick', ({ pixel }) => {
    if (draw || performance.now() < quietUntil) return
    const hit = map.forEachFeatureAtPixel(pixel, (feature) => feature.getId(), { hitTolerance: 4 })
    events.clicked(hit === undefined ? null : String(hit))
  })
  map.on('postrender', () => {
    const [width] = map.getSize() ?? [0]
    const resolution = map.getView().getResolution() ?? 1
    events.viewed((map.getView().getCenter()?.[0] ?? 0) - ((width ?? 0) * resolution) / 2, resolution, width ?? 0)
  })

  function show(features: Features, selected: string | null): void {
    source.clear(true)
    source.addFeatures(Object.entries(features).map(([id, drawn]) => mapFeature(id, drawn)))
    modifySource.clear(true)
    const chosen = selected ? source.getFeatureById(selected) : null
    // Only what is chosen has corners to move; a zone is not bent by a slip of the finger.
    if (chosen) modifySource.addFeature(chosen)
  }

  function stopDrawing(): void {
    if (draw) map.removeInteraction(draw)
    draw = undefined
    events.sketching(null)
  }
  function startDrawing(kind: FeatureKind | 'line'): void {
    stopDrawing()
    draw = new Draw({
      type: kind === 'line' ? 'LineString' : drawTypeOf(kind),
      ...(kind === 'line' ? { maxPoints: 2 } : {}),
      style: draftStyle(),
      snapTolerance: NEAR_PX,
      stopClick: true,
    })
    draw.on('drawstart', ({ feature }) =>
      feature.getGeometry()?.on('change', (event) => {
        const { points } = shapeOf(event.target as never)
        const [from, to] = [points.at(-2), points.at(-1)]
        events.sketching(from && to ? Math.hypot(to[0] - from[0], to[1] - from[1]) : null)
      }),
    )
    draw.on('drawend', ({ feature }) => {
      quietUntil = performance.now() + QUIET_MS
      const geometry = feature.getGeometry()
      if (geometry) events.drawn(shapeOf(geometry))
      events.sketching(null)
    })
    map.addInteraction(draw)
    // Snapping has to come after drawing to be asked first.
    map.removeInteraction(snap)
    map.addInteraction(snap)
  }
  const undoPoint = () => draw?.removeLastPoint()

  function fit(): void {
    const extent = source.getExtent()
    const size = map.getSize()
    if (extent && !isEmpty(extent) && size)
      map.getView().fit(extent, { padding: [46, 56, 30, 46], size, maxZoom: 99, minResolution: 0.02 })
  }
  const zoom = (by: number) => map.getView().setResolution((map.getView().getResolution() ?? 1) * by)
  onUnmounted(() => map.setTarget(undefined))
  const redraw = () => source.changed()
  return { map, projection, redraw, show, startDrawing, stopDrawing, undoPoint, fit, zoom }
}
