import { summarise, type Outlook } from '../../establishment/outlook'
import { buildSeason, type Season } from '../../establishment/season'
import type { Day } from '../../measure/calendar'
import { pureSeed } from '../../seed/blends'
import { AS_TOLD } from '../../water/topLayer'
import { climateFromNormals } from '../../weather/climate'
import { COLUMBUS, COLUMBUS_LAT } from '../../weather/test/stations'

/** Loam in full sun under a compost cover, watered as told. */
export const BED = {
  covering: 'covered',
  slopeShare: 0,
  bed: { cover: 'compost', coverMm: 5, watering: AS_TOLD },
} as const

/** Weather years of Columbus as of a day, by its normals alone. */
export const columbusYears = (today: Day, years: number): Season =>
  buildSeason({
    today,
    observed: [],
    forecast: [],
    climate: climateFromNormals(COLUMBUS),
    ground: { latDeg: COLUMBUS_LAT, coastal: false, texture: 'loam', cover: 'thin turf', sun: 'full' },
    years,
    seed: 11,
  })

/** What tall fescue makes of them in that bed. */
export const columbusOutlook = (season: Season): Outlook => summarise(season, pureSeed('TF'), BED, 75, COLUMBUS)
