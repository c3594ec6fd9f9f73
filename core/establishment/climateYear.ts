import { grassByCode, type GrassCode } from '../grass/grasses'
import { addDays, toDay, type Day } from '../measure/calendar'
import { WEATHER_SEED } from '../weather/generator'
import { pureSeed } from '../seed/blends'
import { AS_TOLD } from '../water/topLayer'
import { climateFromNormals } from '../weather/climate'
import { type Normals } from '../weather/normals'
import { soilQuantiles, summarise } from './outlook'
import { buildSeason } from './season'
import type { DatedWindow } from './window'

/** The year of a place, from the first of January: what its climate makes of the soil, and when a grass takes in it. */
export interface ClimateYear {
  first: Day
  /** Soil at 50 mm under thin turf on loam by day, °C: the middle of the years, and where nine of ten lie. */
  soilC: { median: number[]; p05: number[]; p95: number[] }
  /** Years of all that are counted. */
  years: number
  windows: DatedWindow[]
}

const YEARS = 60
const DAYS = 365
/** Compost over the seed, mm. @source own */
const COVER_MM = 5

/**
 * Weather years of a climate and what they make of a usual seedbed: loam in full sun, covered, watered as told.
 * @param year whose days are told, such as 2026
 */
export function climateYear(
  normals: Normals,
  { latDeg, coastal }: { latDeg: number; coastal: boolean },
  grass: GrassCode,
  year: number,
): ClimateYear {
  const today = toDay(`${year}-01-01`)
  const season = buildSeason({
    today,
    observed: [],
    forecast: [],
    climate: climateFromNormals(normals),
    ground: { latDeg, coastal, texture: 'loam', cover: 'thin turf', sun: 'full' },
    years: YEARS,
    seed: WEATHER_SEED,
  })
  const bed = { cover: 'compost', coverMm: COVER_MM, watering: AS_TOLD } as const
  const risk = { covering: 'covered', slopeShare: 0, bed } as const
  const { windows } = summarise(season, pureSeed(grass), risk, grassByCode(grass).mowingMm[0], normals)
  const { median, p05, p95 } = soilQuantiles(season, season.todayIndex + DAYS)
  const ahead = (values: number[]) => values.slice(season.todayIndex)
  return {
    first: today,
    soilC: { median: ahead(median), p05: ahead(p05), p95: ahead(p95) },
    years: YEARS,
    windows: windows.filter(({ best }) => best < addDays(today, DAYS)),
  }
}
