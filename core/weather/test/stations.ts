import { celsius, MM_PER_INCH } from '../../measure/units'
import type { Normals } from '../normals'

/** Published 1991-2020 normals of two stations, recalled from memory, in the units they are published in. */
const normals = (maxF: number[], minF: number[], rainIn: number[], wetDays: number[]): Normals => ({
  tmaxC: maxF.map(celsius),
  tminC: minF.map(celsius),
  rainMm: rainIn.map((inches) => inches * MM_PER_INCH),
  wetDays,
})

export const COLUMBUS_LAT = 39.99
export const COLUMBUS = normals(
  [37.1, 41.1, 51.8, 64.9, 74.4, 82.6, 85.8, 84.6, 78.1, 66.0, 52.8, 41.7],
  [22.6, 24.7, 32.7, 43.2, 53.1, 62.0, 65.7, 64.3, 57.0, 45.5, 35.3, 27.5],
  [3.0, 2.41, 3.61, 3.92, 4.17, 4.35, 4.42, 3.74, 2.98, 2.81, 2.92, 3.01],
  [13, 11, 13, 13, 13, 12, 11, 10, 8, 9, 10, 12],
)

export const ATLANTA_LAT = 33.64
export const ATLANTA = normals(
  [54.0, 58.2, 65.9, 73.8, 81.1, 87.1, 90.1, 89.0, 83.9, 74.4, 64.1, 56.2],
  [35.6, 38.6, 45.0, 52.1, 60.7, 68.6, 71.8, 71.3, 65.9, 55.1, 44.5, 38.0],
  [4.56, 4.55, 4.68, 3.81, 3.56, 4.54, 4.75, 4.3, 3.82, 3.28, 3.98, 4.57],
  [11, 10, 10, 9, 9, 11, 12, 10, 8, 7, 8, 10],
)
