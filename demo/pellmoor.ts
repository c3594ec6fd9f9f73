import type { Normals } from '../core/weather/normals'
import { celsius, MM_PER_INCH } from '../core/measure/units'

/** The simulated station on the ridge above an invented valley near 37° N. */
export const PELLMOOR = {
  feedPath: '/standin/pellmoor-ridge',
  name: 'Pellmoor ridge',
  latDeg: 37.05,
  lonDeg: -79.4,
  heightM: 310,
  timeZone: 'America/New_York',
  seed: 15859,
  normals: {
    tmaxC: [47, 51, 60, 70, 78, 85, 89, 87, 81, 71, 60, 50].map(celsius),
    tminC: [27, 30, 37, 46, 55, 63, 67, 66, 59, 47, 37, 30].map(celsius),
    rainMm: [3.2, 3.0, 4.0, 3.6, 4.2, 3.7, 3.9, 3.3, 3.2, 2.9, 3.3, 3.5].map((inches) => inches * MM_PER_INCH),
    wetDays: [10, 9, 11, 10, 11, 10, 10, 9, 8, 8, 9, 10],
  } satisfies Normals,
} as const
