import { Circle as CircleGeometry, LineString, Point } from 'ol/geom'
import { Circle, Fill, RegularShape, Stroke, Style, Text } from 'ol/style'
import { CLAY, dots, font, FROST, INK, label, LOAM, MOSS, sideLabels } from './planInk'
import { FEATURE_KINDS, reachOf, type Feature as Drawn } from '#core/site/sitePlan'
import { distanceM, type PointM } from '#core/site/geometry'
import { tapeInches } from '#core/measure/figure'
import { t } from './words'

export interface ZoneLabel {
  name: string
  area: string
  /** Where it stands freest; in the middle where that is not known. */
  at: PointM | undefined
}
export interface DrawnAs {
  selected: boolean
  zone: ZoneLabel | undefined
  /** Lengths of the sides in words, for the selected. */
  sides: (metres: number) => string
  units: 'us' | 'metric'
  /** A picture lies under it and shows through. */
  over: boolean
}

const depthWords = (mm: number, units: 'us' | 'metric') =>
  units === 'us' ? t('plan.in', { mm: tapeInches(mm) ?? (mm / 25.4).toFixed(1) }) : t('plan.mm', { mm: Math.round(mm) })

function areaStyles(drawn: Drawn, { selected, zone, sides, units, over }: DrawnAs): Style[] {
  const stroke = (width: number, dash?: number[], color = INK) =>
    new Stroke({ color, width: selected ? width + 0.8 : width, ...(dash ? { lineDash: dash } : {}) })
  const named = (text: string) => label(text, 12)
  const edges = selected ? sideLabels(drawn.points, sides) : []
  switch (drawn.kind) {
    case 'zone': {
      const stands = zone?.at ? { geometry: new Point([...zone.at]) } : {}
      return [
        new Style({
          fill: new Fill({ color: `${selected ? '#f3e7bf' : '#dce5c6'}${over ? '66' : ''}` }),
          stroke: stroke(over ? 2.4 : 1.8),
          zIndex: 1,
        }),
        ...(zone
          ? [
              new Style({
                ...stands,
                text: new Text({
                  text: zone.name,
                  font: '650 14.5px "Besley Variable", serif',
                  fill: new Fill({ color: INK }),
                  stroke: new Stroke({ color: selected ? '#f3e7bf' : '#dce5c6', width: 5 }),
                  overflow: true,
                  offsetY: -8,
                }),
                zIndex: 20,
              }),
              new Style({
                ...stands,
                text: new Text({
                  text: zone.area,
                  font: font(13, 700),
                  fill: new Fill({ color: INK }),
                  stroke: new Stroke({ color: selected ? '#f3e7bf' : '#dce5c6', width: 5 }),
                  overflow: true,
                  offsetY: 9,
                }),
                zIndex: 20,
              }),
            ]
          : []),
        ...sideLabels(drawn.points, sides),
      ]
    }
    case 'bed':
      return [
        new Style({
          fill: new Fill({ color: '#fbfbf5' }),
          stroke: stroke(1.6, [5, 4]),
          text: named(drawn.name || 'bed'),
          zIndex: 3,
        }),
        ...edges,
      ]
    case 'building':
      return [
        new Style({
          fill: new Fill({ color: '#e5e6d8' }),
          stroke: stroke(1.8),
          text: named(`${drawn.name || 'building'}${drawn.heightM === null ? '' : `, ${sides(drawn.heightM)}`}`),
          zIndex: 4,
        }),
        ...edges,
      ]
    case 'hollow':
      return [
        new Style({
          fill: new Fill({ color: 'rgba(95,80,60,0.12)' }),
          stroke: new Stroke({ color: LOAM, width: selected ? 2.4 : 1.5, lineDash: [2, 3] }),
          text: label(
            `${drawn.name || 'hollow'}${drawn.depthMm === null ? '' : ` ${depthWords(drawn.depthMm, units)}`}`,
            12,
            { fill: new Fill({ color: LOAM }) },
          ),
          zIndex: 3,
        }),
        ...edges,
      ]
    default:
      return [
        new Style({ fill: new Fill({ color: dots() as unknown as string }), stroke: stroke(1.4, [2, 3]), zIndex: 3 }),
        ...edges,
      ]
  }
}

function lineStyles(drawn: Drawn, { selected, sides }: DrawnAs): Style[] {
  const color = drawn.kind === 'buried' ? CLAY : INK
  const base = new Style({
    stroke: new Stroke({
      color,
      width: (drawn.kind === 'fence' ? 3 : 2) + (selected ? 1 : 0),
      ...(drawn.kind === 'path' ? { lineDash: [8, 3] } : {}),
    }),
    zIndex: 5,
  })
  const words =
    drawn.kind === 'buried'
      ? `${drawn.name || t('plan.buriedLine')}${drawn.located ? '' : '?'}`
      : drawn.kind === 'fence'
        ? `${drawn.name || 'fence'}${drawn.heightM === null ? '' : ` ${sides(drawn.heightM)}`}`
        : drawn.name
  const styles = [
    base,
    new Style({
      text: label(words, 12, { placement: 'line', fill: new Fill({ color }), textBaseline: 'bottom' }),
      zIndex: 21,
    }),
  ]
  if (drawn.kind !== 'buried') return styles
  // Roots hang from a buried line, so that it is told from an edge without its colour.
  const roots = drawn.points.slice(1).flatMap((to, i) => {
    const from = drawn.points[i]!
    const [length, steps] = [distanceM(from, to), Math.max(1, Math.floor(distanceM(from, to) / 0.9))]
    const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
    return Array.from({ length: steps }, (_, k): [PointM, PointM] => {
      const at: PointM = [from[0] + ux * (k + 0.5) * (length / steps), from[1] + uy * (k + 0.5) * (length / steps)]
      return [at, [at[0] + uy * 0.4, at[1] - ux * 0.4]]
    })
  })
  return [
    ...styles,
    ...roots.map(
      (root) =>
        new Style({
          geometry: new LineString(root as unknown as number[][]),
          stroke: new Stroke({ color: CLAY, width: 1.5 }),
          zIndex: 5,
        }),
    ),
  ]
}

function pointStyles(drawn: Drawn, { selected, sides }: DrawnAs): Style[] {
  const at = drawn.points[0] as unknown as number[]
  const ring = selected
    ? [
        new Style({
          image: new Circle({
            radius: 12,
            stroke: new Stroke({ color: INK, width: 2.4 }),
            fill: new Fill({ color: 'rgba(228,191,82,0.35)' }),
          }),
          zIndex: 6,
        }),
      ]
    : []
  switch (drawn.kind) {
    case 'tree':
      return [
        ...ring,
        new Style({
          geometry: new CircleGeometry(at, reachOf(drawn)),
          stroke: new Stroke({ color: MOSS, width: 1.6, lineDash: [8, 3, 2, 3] }),
          zIndex: 6,
        }),
        new Style({
          image: new RegularShape({ points: 4, radius: 6, radius2: 0, stroke: new Stroke({ color: MOSS, width: 2 }) }),
          text: label(`${drawn.name || 'tree'}${drawn.heightM === null ? '' : ` ${sides(drawn.heightM)}`}`, 12, {
            offsetY: 15,
            fill: new Fill({ color: MOSS }),
          }),
          zIndex: 22,
        }),
      ]
    case 'head':
      return [
        ...ring,
        new Style({
          image: new Circle({
            radius: 4.5,
            fill: new Fill({ color: FROST }),
            stroke: new Stroke({ color: '#fbfbf5', width: 2 }),
          }),
          zIndex: 7,
        }),
      ]
    case 'tap':
      return [
        ...ring,
        new Style({
          image: new RegularShape({
            points: 3,
            radius: 7,
            fill: new Fill({ color: FROST }),
            stroke: new Stroke({ color: '#fbfbf5', width: 1.5 }),
          }),
          text: label(drawn.name || 'tap', 12, { offsetY: 15 }),
          zIndex: 7,
        }),
      ]
    default:
      return [
        ...ring,
        new Style({
          image: new RegularShape({
            points: 4,
            radius: 10,
            angle: Math.PI / 4,
            fill: new Fill({ color: '#fbfbf5' }),
            stroke: new Stroke({ color: INK, width: 1.6, lineDash: [4, 3] }),
          }),
          zIndex: 7,
        }),
        new Style({
          image: new RegularShape({ points: 3, radius: 5, fill: new Fill({ color: LOAM }) }),
          text: label(t('plan.tipHere', { hasName: Boolean(drawn.name), name: drawn.name }), 12, { offsetY: 18 }),
          zIndex: 8,
        }),
      ]
  }
}

export function stylesOf(drawn: Drawn, as: DrawnAs): Style[] {
  const shape = FEATURE_KINDS[drawn.kind]
  return shape === 'area' ? areaStyles(drawn, as) : shape === 'line' ? lineStyles(drawn, as) : pointStyles(drawn, as)
}

/** The throw of a head, shown when water is looked at. */
export const throwStyle = (drawn: Drawn): Style =>
  new Style({
    geometry: new CircleGeometry(drawn.points[0] as unknown as number[], reachOf(drawn)),
    fill: new Fill({ color: 'rgba(43,95,132,0.14)' }),
    stroke: new Stroke({ color: FROST, width: 1.2 }),
    zIndex: 9,
  })

/** Square handles of what is being drawn, the last one filled. */
export const draftStyle = (): Style[] => [
  new Style({ stroke: new Stroke({ color: INK, width: 2.2 }), fill: new Fill({ color: 'rgba(228,191,82,0.25)' }) }),
  new Style({
    image: new RegularShape({
      points: 4,
      angle: Math.PI / 4,
      radius: 6,
      fill: new Fill({ color: '#fbfbf5' }),
      stroke: new Stroke({ color: INK, width: 1.8 }),
    }),
  }),
]
