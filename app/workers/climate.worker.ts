import { climateYear, type ClimateYear } from '#core/establishment/climateYear'
import type { GrassCode } from '#core/grass/grasses'
import type { Normals } from '#core/weather/normals'

/** A climate whose year is asked for. */
export interface ClimateAsked {
  number: number
  normals: Normals
  place: { latDeg: number; coastal: boolean }
  grass: GrassCode
  year: number
}

self.onmessage = ({ data }: MessageEvent<ClimateAsked>) => {
  const year: ClimateYear = climateYear(data.normals, data.place, data.grass, data.year)
  self.postMessage({ number: data.number, year })
}
