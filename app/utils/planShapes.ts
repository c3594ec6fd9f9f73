import Feature from 'ol/Feature'
import { LineString, Point, Polygon, type Geometry } from 'ol/geom'
import { FEATURE_KINDS, type Feature as Drawn, type FeatureKind } from '#core/site/sitePlan'
import type { PointM, Ring } from '#core/site/geometry'

const numbers = (ring: Ring): number[][] => ring.map(([x, y]) => [x, y])

export function geometryOf({ kind, points, holes }: Pick<Drawn, 'kind' | 'points' | 'holes'>): Geometry {
  const shape = FEATURE_KINDS[kind]
  if (shape === 'area')
    return new Polygon([
      [...numbers(points), [...points[0]!]],
      ...holes.map((hole) => [...numbers(hole), [...hole[0]!]]),
    ])
  return shape === 'line' ? new LineString(numbers(points)) : new Point([...points[0]!])
}

const mm = (n: number) => Math.round(n * 1000) / 1000
const ringOf = (coordinates: number[][]): PointM[] => coordinates.map(([x, y]) => [mm(x!), mm(y!)])

/** What was drawn or moved, back as points of the plan. */
export function shapeOf(geometry: Geometry): { points: PointM[]; holes: PointM[][] } {
  if (geometry instanceof Polygon) {
    const [outer, ...holes] = geometry.getCoordinates().map((ring) => ringOf(ring.slice(0, -1)))
    return { points: outer!, holes }
  }
  if (geometry instanceof LineString) return { points: ringOf(geometry.getCoordinates()), holes: [] }
  return { points: ringOf([(geometry as Point).getCoordinates()]), holes: [] }
}

export function mapFeature(id: string, drawn: Drawn): Feature {
  const feature = new Feature(geometryOf(drawn))
  feature.setId(id)
  return feature
}

/** What OpenLayers calls the geometry that is drawn for a kind. */
export const drawTypeOf = (kind: FeatureKind): 'Polygon' | 'LineString' | 'Point' =>
  (({ area: 'Polygon', line: 'LineString', point: 'Point' }) as const)[FEATURE_KINDS[kind]]
export const MARKS: Record<FeatureKind, string> = {
  zone: 'i-lucide-land-plot',
  bed: 'i-lucide-flower',
  building: 'i-lucide-house',
  hollow: 'i-lucide-circle-dashed',
  bare: 'i-lucide-grip',
  fence: 'i-lucide-fence',
  path: 'i-lucide-minus',
  buried: 'i-lucide-cable',
  tree: 'i-lucide-tree-deciduous',
  head: 'i-lucide-shower-head',
  tap: 'i-lucide-droplet',
  tip: 'i-lucide-mountain',
}
