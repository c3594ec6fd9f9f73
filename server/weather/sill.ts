import { climateFromNormals, climateFromRecord, type Climate } from '#core/climate/normals'
import type { Ground } from '#core/climate/soilCourse'
import type { DailyWeather } from '#core/climate/weather'
import { buildSeason, DAYS_BEHIND, type Season } from '#core/establishment/season'
import { summarise, type Outlook } from '#core/establishment/outlook'
import type { SeedbedRisk } from '#core/establishment/sowing'
import { grassByCode, type Grass, type GrassCode } from '#core/grass/grasses'
import { addDays } from '#core/quantity/calendar'
import type { SillData } from '#contract/context'
import type { Lawn } from '#contract/lawn'
import { forecastOf, readingsBetween, stationById, stationsOf, weatherOf, weatherStamp, type StationRecord } from '../records/stations'
import { Refusal } from '../utils/refusal'
import type { AtWork } from '../records/firms'
import { collect, type Fetch } from './collect'

/** Weather years behind every count on the screen. */
export const WEATHER_YEARS = 30
const SEED = 20260908

/** What the season is computed for: a lawn, or the home station's own ground. */
interface Subject {
  place: string
  grass: Grass
  ground: Ground
  risk: SeedbedRisk
  mowingMm: number
}

export function subjectOf(lawn: Lawn, station: StationRecord): Subject {
  const grass = grassByCode(lawn.grass ?? 'TF')
  const covered = (lawn.plan.settings?.coverMm ?? 1) > 0
  const kept = lawn.mowingHeightMm ?? grass.mowingMm[0]
  return {
    place: lawn.client,
    grass,
    ground: {
      // A tenth of a degree is 11 km: the sun does not tell them apart.
      latDeg: Math.round(lawn.latDeg * 10) / 10, coastal: station.coastal, texture: lawn.texture, sun: lawn.sun ?? 'full',
      cover: (lawn.bareShare ?? 0) >= 0.5 ? 'bare' : 'thin turf',
    },
    risk: { covering: covered ? 'covered' : 'bare', slopeShare: lawn.slopeShare },
    mowingMm: Math.min(Math.max(kept, grass.mowingMm[0]), grass.mowingMm[1]),
  }
}

export function homeSubject(station: StationRecord, code: GrassCode): Subject {
  const grass = grassByCode(code)
  return {
    place: station.name, grass, mowingMm: grass.mowingMm[0], risk: { covering: 'covered', slopeShare: 0 },
    ground: { latDeg: station.latDeg, coastal: station.coastal, texture: 'loam', cover: 'thin turf', sun: 'full' },
  }
}

/** Climate behind the weather years, with its origin in words. */
function climateOf(station: StationRecord, record: readonly DailyWeather[], all: readonly StationRecord[]): { climate: Climate; from: string } {
  if (station.normals) return { climate: climateFromNormals(station.normals), from: `normals of ${station.name}` }
  const own = climateFromRecord(record)
  if (own) return { climate: own, from: `${(record.length / 365.25).toFixed(1)} years of ${station.name}` }
  const lender = all.find((other) => other.normals)
  if (lender) return { climate: climateFromNormals(lender.normals!), from: `normals of ${lender.name}, since ${station.name} has under a year` }
  throw new Refusal(409, 'weather', `${station.name} has ${record.length} days. Import a year at least: every month of the year with 20 days.`)
}

const MOST_OUTLOOKS = 200
/** A season weighs some megabytes; its lawns differ little, so a few serve many. */
const MOST_SEASONS = 8
const outlooks = new Map<string, Outlook>()
const seasons = new Map<string, Season>()

/** What is remembered depends on nothing but its key, so it is never stale; the longest unused goes first. */
function remembered<T>(store: Map<string, T>, most: number, key: string, compute: () => T): T {
  const value = store.get(key) ?? compute()
  store.delete(key)
  store.set(key, value)
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

/** Everything the sill shows of one subject, from one station. */
export async function sillData({ firm, today }: AtWork, station: StationRecord, subject: Subject, fetch: Fetch): Promise<SillData> {
  await collect(firm.id, station, today, fetch)
  const fresh = (await stationById(firm.id, station.id)) ?? station
  const forecast = await forecastOf(firm.id, station.id, today)
  const stamp = await weatherStamp(firm.id, station.id)
  const record = await weatherOf(firm.id, station.id)
  const { climate, from } = climateOf(fresh, record, await stationsOf(firm.id))
  const { grass, ground, risk, mowingMm } = subject
  const weather = [station.id, stamp, today, forecast, from]
  const outlook = remembered(outlooks, MOST_OUTLOOKS, JSON.stringify([weather, grass.code, ground, risk, mowingMm]), () => {
    const season = remembered(seasons, MOST_SEASONS, JSON.stringify([weather, ground]), () => {
      const observed = record.filter(({ day }) => day < today)
      return buildSeason({ today, observed, forecast, climate, ground, years: WEATHER_YEARS, seed: SEED })
    })
    return summarise(season, grass, risk, mowingMm, climate.normals)
  })
  return {
    place: subject.place, stationId: station.id, stationName: station.name, grassName: grass.name, grassSeason: grass.season,
    probe: await readingsBetween(firm.id, station.id, addDays(today, -DAYS_BEHIND), today),
    forecast, recordEnds: fresh.lastDay, yearsFrom: from, outlook,
  }
}

