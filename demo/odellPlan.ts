import { M_PER_FOOT } from '#core/measure/units'
import type { Feature, FeatureKind } from '#core/site/sitePlan'

type Feet = readonly [east: number, north: number]
const at = (points: readonly Feet[]) =>
  points.map(([x, y]): [number, number] => [
    Math.round(x * M_PER_FOOT * 1000) / 1000,
    Math.round(y * M_PER_FOOT * 1000) / 1000,
  ])
const oval = (x: number, y: number, across: number, up: number, corners = 18): Feet[] =>
  Array.from({ length: corners }, (_, i) => [
    x + across * Math.cos((2 * Math.PI * i) / corners),
    y + up * Math.sin((2 * Math.PI * i) / corners),
  ])

interface Drawn extends Partial<Omit<Feature, 'kind' | 'points' | 'heightM' | 'radiusM'>> {
  kind: FeatureKind
  feet: readonly Feet[]
  heightFt?: number
  radiusFt?: number
}
export const drawn = ({ feet, heightFt, radiusFt, ...rest }: Drawn): Feature => ({
  name: '',
  holes: [],
  zoneId: null,
  depthMm: null,
  located: false,
  ...rest,
  points: at(feet),
  heightM: heightFt === undefined ? null : heightFt * M_PER_FOOT,
  radiusM: radiusFt === undefined ? null : radiusFt * M_PER_FOOT,
})

/**
 * The invented garden of 4 Quarry Rise, in feet from its south-west corner. @param zones ids of front, slope and
 * strip
 */
export const odellPlan = (zones: { front: string; slope: string; strip: string }): Feature[] => [
  drawn({
    kind: 'zone',
    zoneId: zones.front,
    feet: [
      [0, 56],
      [36, 56],
      [36, 34],
      [84, 34],
      [84, 2],
      [0, 0],
    ],
  }),
  drawn({
    kind: 'zone',
    zoneId: zones.slope,
    feet: [
      [88, 76],
      [108, 76],
      [122, 2],
      [88, 2],
    ],
  }),
  drawn({
    kind: 'zone',
    zoneId: zones.strip,
    feet: [
      [0, 84],
      [84, 84],
      [84, 71],
      [0, 69],
    ],
  }),
  drawn({
    kind: 'building',
    name: 'House',
    heightFt: 24,
    feet: [
      [40, 66],
      [80, 66],
      [80, 39],
      [40, 39],
    ],
  }),
  drawn({
    kind: 'building',
    name: 'Garage',
    heightFt: 13,
    feet: [
      [3, 66],
      [33, 66],
      [33, 57],
      [3, 57],
    ],
  }),
  drawn({ kind: 'tree', name: 'maple', heightFt: 38, radiusFt: 12.5, feet: [[18, 78]] }),
  drawn({ kind: 'tree', name: 'ash', heightFt: 36, radiusFt: 10, feet: [[86, 64]] }),
  drawn({ kind: 'tree', name: 'birch', heightFt: 24, radiusFt: 7.5, feet: [[106, 38]] }),
  drawn({ kind: 'tree', name: 'plum', heightFt: 15, radiusFt: 6, feet: [[10, 14]] }),
  drawn({ kind: 'bed', name: 'roses', feet: oval(58, 18, 7.4, 4.1) }),
  drawn({ kind: 'bed', name: 'birch bed', feet: oval(106, 38, 6.4, 4.2) }),
  drawn({ kind: 'hollow', name: 'hollow', depthMm: 18, feet: oval(20, 33, 9, 7) }),
  drawn({
    kind: 'bare',
    feet: [
      [24, 11],
      [31, 13],
      [32, 9],
      [26, 8],
    ],
  }),
  drawn({
    kind: 'bare',
    feet: [
      [47, 79],
      [56, 80],
      [57, 75],
      [49, 74],
    ],
  }),
  drawn({
    kind: 'bare',
    feet: [
      [68, 80],
      [75, 80],
      [74, 75],
      [69, 76],
    ],
  }),
  drawn({
    kind: 'buried',
    name: 'cable',
    feet: [
      [80, 44],
      [84, 33],
      [92, 21],
      [94, 2],
    ],
  }),
  drawn({
    kind: 'path',
    name: 'path',
    feet: [
      [84, 34],
      [84, 2],
    ],
  }),
  drawn({ kind: 'tip', name: 'on the drive', feet: [[-7, 44]] }),
  drawn({ kind: 'tap', name: 'tap', feet: [[40, 48]] }),
  ...(
    [
      [3, 3],
      [28, 3],
      [56, 4],
      [82, 4],
      [3, 30],
      [34, 31],
      [60, 31],
      [90, 3],
      [118, 4],
      [90, 48],
      [109, 62],
      [6, 71],
      [40, 81],
      [68, 72],
    ] as const
  ).map((place) => drawn({ kind: 'head', radiusFt: 15, feet: [place] })),
]
