import { createHash } from 'node:crypto'
import { climateFromNormals, climateFromRecord, type Climate, type Normals } from '#core/climate/normals'
import type { Ground } from '#core/climate/soilCourse'
import type { DailyWeather } from '#core/climate/weather'
import { buildSeason, DAYS_BEHIND, DAYS_READ, type Season, type SeasonInput } from '#core/establishment/season'
import { summarise } from '#core/establishment/outlook'
import { coveringOf, type SeedbedRisk } from '#core/establishment/sowing'
import { grassByCode, type Grass, type GrassCode } from '#core/grass/grasses'
import { addDays, type Day } from '#core/quantity/calendar'
import type { SeasonTold, SillData } from '#contract/context'
import { grassOf, wateringOf, zoneSurveysOf, type Lawn } from '#contract/lawn'
import { AS_TOLD } from '#core/watering/topLayer'
import { surveyOver } from '#core/site/survey'
import { keepOutlook, keptOutlook, type KeptOutlook } from '../records/outlooks'
import { stationsOf, weatherNow, weatherOf, type StationRecord, type WeatherNow } from '../records/stations'
import type { AtWork } from '../records/firms'
import { log } from '../utils/log'
import { Refusal } from '../utils/refusal'
import { engine } from '../utils/engine'
import { clockAheadH } from './clock'

/** Weather years behind every count on the screen. */
export const WEATHER_YEARS = 30
const SEED = 20260908
/** Cover of a bed that nothing is settled for yet, mm. */
const USUAL_COVER_MM = 5

/** What the season is computed for: a lawn, or the home station's own ground. */
interface Subject {
  place: string
  grass: Grass
  ground: Ground
  risk: SeedbedRisk
  mowingMm: number
}

/** The season is that of the grass and the ground most of the lawn has, as far as it is surveyed. */
export function subjectOf(lawn: Lawn, station: StationRecord, today: Day): Subject {
  const zones = zoneSurveysOf(lawn, lawn.plan.sowOn ?? today)
  const survey = zones.length ? surveyOver(zones, lawn.texture) : undefined
  const { plan, wishes } = lawn
  const coverMm = plan.settings?.coverMm ?? USUAL_COVER_MM
  const cover = coverMm > 0 ? (plan.settings?.coverMaterial ?? 'compost') : 'none'
  const winterColour = plan.programme === 'winter' || (!plan.programme && wishes.goal === 'winter')
  const grass = grassByCode(winterColour ? 'ARG' : (survey?.grass ?? grassOf(lawn) ?? 'TF'))
  const kept = survey?.mowingHeightMm ?? grass.mowingMm[0]
  return {
    place: lawn.client,
    grass,
    ground: {
      // A tenth of a degree is 11 km: the sun does not tell them apart.
      latDeg: Math.round(lawn.latDeg * 10) / 10, coastal: station.coastal, texture: lawn.texture, sun: survey?.sun ?? 'full',
      cover: (survey?.bareShare ?? 0) >= 0.5 ? 'bare' : 'thin turf',
    },
    risk: {
      covering: coveringOf(cover), slopeShare: survey?.slopeShare ?? 0, ...(winterColour ? { winterColour } : {}), bed: { cover, coverMm, watering: wateringOf(lawn) },
    },
    mowingMm: Math.min(Math.max(kept, grass.mowingMm[0]), grass.mowingMm[1]),
  }
}

/** Ground that a station and its probe stand on. */
const groundOf = ({ latDeg, coastal }: StationRecord): Ground => ({ latDeg, coastal, texture: 'loam', cover: 'thin turf', sun: 'full' })

export function homeSubject(station: StationRecord, code: GrassCode): Subject {
  const grass = grassByCode(code)
  return {
    place: station.name, grass, mowingMm: grass.mowingMm[0], risk: { covering: 'covered', slopeShare: 0, bed: { cover: 'compost', coverMm: USUAL_COVER_MM, watering: AS_TOLD } },
    ground: groundOf(station),
  }
}

interface Lender {
  name: string
  normals: Normals
}

/** Whose normals stand in where a station has none of its own. */
async function lendersOf(firmId: string, station: StationRecord): Promise<Lender | undefined> {
  const all = station.normals ? [station] : await stationsOf(firmId)
  const lender = all.find((other) => other.normals)
  return lender && { name: lender.name, normals: lender.normals! }
}

/** Climate behind the weather years, with its origin in words. */
function climateOf(station: StationRecord, record: readonly DailyWeather[], lender: Lender | undefined): { climate: Climate; from: string } {
  if (lender && lender.name === station.name) return { climate: climateFromNormals(lender.normals), from: `normals of ${station.name}` }
  const own = climateFromRecord(record)
  if (own) return { climate: own, from: `${(record.length / 365.25).toFixed(1)} years of ${station.name}` }
  if (lender) return { climate: climateFromNormals(lender.normals), from: `normals of ${lender.name}, since ${station.name} has under a year` }
  throw new Refusal(409, 'weather', `${station.name} has ${record.length} days. Import a year at least: every month of the year with 20 days.`)
}

const MOST_OUTLOOKS = 200
/** A season weighs some megabytes; its lawns differ little, so a few serve many. */
const MOST_SEASONS = 8
const outlooks = new Map<string, Promise<KeptOutlook>>()
const seasons = new Map<string, Promise<{ season: Season; grounds: Grounds }>>()

/**
 * What is remembered depends on nothing but its key, so it is never stale; the longest unused goes first. Asked for again
 * while it is still worked out, it is worked out once.
 */
function remembered<T>(store: Map<string, Promise<T>>, most: number, key: string, compute: () => Promise<T>): Promise<T> {
  const value = store.get(key) ?? compute()
  store.delete(key)
  store.set(key, value)
  // A failure is not remembered.
  value.catch(() => { if (store.get(key) === value) store.delete(key) })
  if (store.size > most) store.delete(store.keys().next().value!)
  return value
}

const near = (a: { latDeg: number; lonDeg: number }, b: { latDeg: number; lonDeg: number }) =>
  (a.latDeg - b.latDeg) ** 2 + ((a.lonDeg - b.lonDeg) * Math.cos((a.latDeg * Math.PI) / 180)) ** 2

/** The station a lawn reads: the one chosen, else the nearest that has days, or delivers them by itself. */
export function stationOf(lawn: Lawn, stations: readonly StationRecord[]): StationRecord | undefined {
  const chosen = stations.find((station) => station.id === lawn.stationId)
  const telling = stations.filter(({ days, feedPath }) => days > 0 || feedPath)
  return chosen ?? telling.sort((a, b) => near(a, lawn) - near(b, lawn))[0]
}

/** All that a season is computed from, so that it can be computed anywhere. */
interface Grounds {
  input: SeasonInput
  /** How the weather years were made, in words. */
  yearsFrom: string
}

/** What a season is computed from, with a key that changes when any of it does; the long record is read only where it is wanted. */
async function groundsOf({ firm, today }: AtWork, station: StationRecord, ground: Ground): Promise<{ key: string; now: WeatherNow; read: () => Promise<Grounds> }> {
  const now = await weatherNow(firm.id, station.id, today, addDays(today, -DAYS_BEHIND))
  const normals = await lendersOf(firm.id, station)
  const ahead = clockAheadH(firm.timeZone, station.lonDeg, today)
  return {
    now, key: JSON.stringify([station.id, now.stamp, today, now.forecast, normals, now.probe, ahead, ground]),
    async read() {
      const record = await weatherOf(firm.id, station.id)
      const { climate, from } = climateOf(station, record, normals)
      const observed = record.filter(({ day }) => day < today && day >= addDays(today, -DAYS_READ))
      return {
        yearsFrom: from,
        input: { today, observed, forecast: now.forecast, climate, ground, years: WEATHER_YEARS, seed: SEED, probe: { readings: now.probe, ground: groundOf(station), clockAheadH: ahead } },
      }
    },
  }
}

/** An outlook from the database by the hash of its ingredients, or worked out and kept there for every server. */
async function keptOrMade(firmId: string, ingredients: string, make: () => Promise<KeptOutlook>): Promise<KeptOutlook> {
  const hash = createHash('sha256').update(ingredients).digest('hex')
  const kept = await keptOutlook(firmId, hash)
  if (kept) return kept
  const made = await make()
  // Not kept is worked out again; nobody has to be told.
  await keepOutlook(firmId, hash, made).catch((error: unknown) => { log.warn({ reason: String(error) }, 'a season was not kept') })
  return made
}

/** Everything the sill shows of one subject, from one station. */
export async function sillData(work: AtWork, station: StationRecord, subject: Subject): Promise<SillData> {
  const { grass, ground, risk, mowingMm } = subject
  const { key, now, read } = await groundsOf(work, station, ground)
  const whole = JSON.stringify([engine(), key, grass.code, risk, mowingMm])
  const { outlook, yearsFrom } = await remembered(outlooks, MOST_OUTLOOKS, whole, () => keptOrMade(work.firm.id, whole, async () => {
    const { season, grounds } = await remembered(seasons, MOST_SEASONS, key, async () => {
      const grounds = await read()
      return { season: buildSeason(grounds.input), grounds }
    })
    return { outlook: summarise(season, grass, risk, mowingMm, grounds.input.climate.normals), yearsFrom: grounds.yearsFrom }
  }))
  return {
    place: subject.place, stationId: station.id, stationName: station.name, grassName: grass.name, grassSeason: grass.season,
    forecast: now.forecast, recordEnds: now.lastDay, yearsFrom, outlook,
  }
}

/** The same season as its ingredients, for what is tried out in a browser. */
export async function seasonTold(work: AtWork, station: StationRecord, { grass, ground, risk }: Subject): Promise<SeasonTold> {
  const { read } = await groundsOf(work, station, ground)
  return { input: (await read()).input, grass: grass.code, risk }
}
