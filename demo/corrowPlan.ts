import type { Feature } from '#core/site/sitePlan'
import { drawn } from './odellPlan'

/** The invented east lawn of Corrow Hall, in feet from its south-west corner: 2,500 ft² in the open, 840 under the yews. */
export const corrowPlan = (zones: { open: string; yews: string }): Feature[] => [
  drawn({
    kind: 'zone',
    zoneId: zones.open,
    feet: [
      [0, 0],
      [62.5, 0],
      [62.5, 40],
      [0, 40],
    ],
  }),
  drawn({
    kind: 'zone',
    zoneId: zones.yews,
    feet: [
      [63, 0],
      [84, 0],
      [84, 40],
      [63, 40],
    ],
  }),
]
