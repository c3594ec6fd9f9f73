import type { JudgedReading } from '../climate/probe'
import { usualWeekRainMm, type Normals } from '../climate/normals'
import { mainOf, type Blend } from '../grass/blends'
import { germinationBand, grassByCode, type GrassCode } from '../grass/grasses'
import { addDays, dayNumber, type Day } from '../quantity/calendar'
import { dayOfHeight, firstMowHeightMm } from './growth'
import { judgeBlend, type BlendYear } from './blendYear'
import type { Cause, SeedbedRisk, YearOutlook } from './sowing'
import { oddsByDay, sowingWindows, type DatedWindow, type DayOdds } from './window'
import { growingRuns, growingYears } from './growing'
import { bedWaters } from './moisture'
import { coverOf, oldMowIndex, type Stand } from './stand'
import { weedsByDay, type Weed } from './weeds'
import { fiveDayMean, quantile, type Season } from './season'
import { radiationOf } from '../climate/radiation'
import { runLength } from '../climate/weather'
import { followRootZone, ROOTS_MM } from '../watering/rootZone'
import { AS_TOLD, type TopLayerCourse } from '../watering/topLayer'

/** What a screen shows ahead of today, days. */
export const SHOWN_AHEAD = 150
/** Days ahead in which a sowing day is looked for. */
const SOWN_AHEAD = 365

/** Everything the sill and the When step read about one piece of ground and one grass. */
export interface Outlook {
  first: Day
  today: Day
  todayIndex: number
  years: number
  /** Years of the station itself instead of generated ones. */
  ownYears: boolean
  /** Daily mean at probe depth, °C; behind today all five are the same modelled line. */
  soilC: { p05: number[]; p25: number[]; median: number[]; p75: number[]; p95: number[] }
  /** K by which the probe moved each day of the line, fading ahead; all 0 where nothing was read. */
  correctionK: number[]
  /** Readings behind today as they were judged. */
  readings: JudgedReading[]
  /** Days behind today without an observation. */
  filled: boolean[]
  /** Rain that fell, mm; null where not observed. */
  rainMm: (number | null)[]
  /** Usual rain of the week that begins on each day, mm. */
  usualWeekRainMm: number[]
  band: { lowC: number; highC: number }
  /** Runs of days, as indices, with the median inside the band. */
  insideBand: { from: number; to: number }[]
  frost: FrostOdds | null
  sowing: SowingDay[]
  windows: DatedWindow[]
  /** Best day of the year ahead on rising soil and on falling soil, spring against autumn. */
  best: { rising: BestDay | null; falling: BestDay | null }
  /** Run of days for seed that lies until spring; null where soil never gets that cold, or the seed does not bear it. */
  dormant: DatedWindow | null
  /** Runs of days in which warm-season turf grows fast enough to come through a dressing, and still has three weeks after it. */
  growing: DatedWindow[]
  /** Years of all in which turf dressed on each day grows through. */
  growsThrough: number[]
  /** Rain of the last four weeks against the usual, 0-…; null where too little was observed. */
  rainShare: number | null
  /** Water in the root zone of the turf that stands there, 0-1, by day, rain alone; the middle year ahead. */
  groundLeft: number[]
  /** One letter a day and year: g good, h heat, w washout, f frost, c cold, d dried out; for the years behind the counts. */
  grain: string[]
}

export interface BestDay {
  day: Day
  good: number
}

export interface FrostOdds {
  kind: 'first' | 'last'
  /** Day by which it has come in 10, 50 and 90 % of the years. */
  p10: Day
  p50: Day
  p90: Day
}

/** Seed sown on one day, in days after sowing; null where it does not happen in half of the years. */
export interface SowingDay extends DayOdds {
  /** Mean of the day at seed depth (5 mm), middle of the years, °C. */
  seedbedC: number
  up05: number | null
  up50: number | null
  up95: number | null
  /** The same median in an early and a late year. */
  up50Early: number | null
  up50Late: number | null
  mow: { early: number; middle: number; late: number } | null
  /** What keeps the top layer moist from sowing until nearly all is up, a day in the middle year. */
  water: { mmADay: number; timesADay: number } | null
  /** Years of all in which seed that lies here until spring makes a stand; null where the soil is too warm for that. */
  dormantGood: number | null
  /** Ground covered six weeks after sowing, 0-1, and days until the old grass wants mowing, in the middle year; null where the stand is not known. */
  stand: { cover: number; oldMow: number | null } | null
  /** Weeds that sprout in its open bed within four weeks. */
  weeds: Weed[]
  /** Of a mixture, each seed by itself, in its order; empty for a single grass. */
  parts: { grass: GrassCode; good: number; up50: number | null }[]
}

const GRAIN: Record<Cause, string> = { heat: 'h', washout: 'w', frost: 'f', cold: 'c', dry: 'd' }

/** Nearest-rank quantile of waits of which some never end; null when it falls among those. */
function waitQuantile(waits: readonly number[], share: number): number | null {
  const wait = [...waits].sort((a, b) => a - b)[Math.round(share * (waits.length - 1))]!
  return Number.isFinite(wait) ? wait : null
}

function insideRuns(values: readonly number[], lowC: number, highC: number): { from: number; to: number }[] {
  const runs: { from: number; to: number }[] = []
  values.forEach((value, i) => {
    if (value < lowC || value > highC) return
    const last = runs.at(-1)
    if (last && i - last.to <= 3) last.to = i
    else runs.push({ from: i, to: i })
  })
  return runs.filter(({ from, to }) => to - from >= 4)
}

const FROST_C = 0

/** First frost ahead when nights are mild now, otherwise the last one of the coming half year. */
function frostOdds(season: Season): FrostOdds | null {
  const horizon = season.todayIndex + SHOWN_AHEAD
  const recent = season.years[0]!.weather.tminC.slice(season.todayIndex - 14, season.todayIndex)
  const mild = recent.reduce((sum, t) => sum + t, 0) / recent.length > 5
  const days = season.years.map(({ weather }) => {
    let found = Number.POSITIVE_INFINITY
    for (let i = season.todayIndex; i < horizon; i++) {
      if (weather.tminC[i]! > FROST_C) continue
      found = i
      if (mild) break
    }
    return found
  })
  const at = (share: number) => [...days].sort((a, b) => a - b)[Math.round(share * (days.length - 1))]!
  const [p10, p50, p90] = [at(0.1), at(0.5), at(0.9)]
  if (!Number.isFinite(p90)) return null
  const day = (i: number) => addDays(season.first, i)
  return { kind: mild ? 'first' : 'last', p10: day(p10), p50: day(p50), p90: day(p90) }
}

function dayMean(hourly: ArrayLike<number>, day: number): number {
  let sum = 0
  for (let h = day * 24; h < day * 24 + 24; h++) sum += hourly[h]!
  return sum / 24
}

/** Days of the wet phase that are looked at where seed does not come up within them. */
const WET_PHASE_DAYS = 28

/** Water that keeps a bed moist from a sowing day on, in the middle year. @param told courses of the years, watered as told */
function waterNeed(told: readonly TopLayerCourse[], years: readonly YearOutlook[], i: number): SowingDay['water'] {
  const needs = told.map(({ givenMm, times }, y) => {
    const until = Math.min(givenMm.length, Number.isFinite(years[y]!.up95[i]!) ? Math.max(i + 1, Math.min(years[y]!.up95[i]!, i + WET_PHASE_DAYS)) : i + WET_PHASE_DAYS)
    let [mm, count] = [0, 0]
    for (let d = i; d < until; d++) {
      mm += givenMm[d]!
      count += times[d]!
    }
    return { mm: mm / (until - i), times: count / (until - i) }
  })
  if (!needs.length) return null
  return { mmADay: Math.round(quantile(needs.map(({ mm }) => mm), 0.5) * 10) / 10, timesADay: Math.round(quantile(needs.map(({ times }) => times), 0.5) * 10) / 10 }
}

/** Seed that makes less of a mixture does not bring the first mowing. @source own */
const MOWN_FOR_SHARE = 0.1

/** What every sowing day is read from. */
interface Judged {
  season: Season
  blend: Blend
  years: readonly BlendYear[]
  told: readonly TopLayerCourse[]
  keptMm: number
  weeds: readonly Weed[][]
  stand: Stand | undefined
}

/** Days until the first of the mixture's seedlings want mowing in each year. */
function mowWaits({ season, blend, years, keptMm }: Judged, i: number): number[] {
  const seen = blend.flatMap(({ grass, massShare }, part) => (massShare >= MOWN_FOR_SHARE ? [{ part, grass: grassByCode(grass) }] : []))
  return years.map(({ parts }, y) => Math.min(...seen.map(({ part, grass }) => dayOfHeight(season.years[y]!, grass, parts[part]!.up50[i]!, firstMowHeightMm(keptMm)))) - i)
}

/** Years in which seed lies until spring and stands; null where most years are too warm for it. */
function dormantYears(years: readonly YearOutlook[], i: number): number | null {
  const lying = years.filter(({ dormant }) => dormant[i] !== undefined)
  return lying.length * 2 >= years.length ? lying.filter(({ dormant }) => dormant[i] === null).length : null
}

function standOn({ season, years, stand, keptMm }: Judged, i: number): SowingDay['stand'] {
  if (!stand) return null
  const cover = quantile(season.years.map((year, y) => coverOf(stand, year, i, years[y]!.whole.up50[i]!)), 0.5)
  return { cover: Math.round(cover * 100) / 100, oldMow: waitQuantile(season.years.map((year) => oldMowIndex(stand, year, i, keptMm) - i), 0.5) }
}

function sowingDay(judged: Judged, odds: DayOdds, i: number): SowingDay {
  const { season, blend, told } = judged
  const years = judged.years.map(({ whole }) => whole)
  const waits = (key: 'up05' | 'up50' | 'up95') => years.map((year) => year[key][i]! - i)
  const half = waits('up50')
  const mow = mowWaits(judged, i)
  const [early, middle, late] = [waitQuantile(mow, 0.1), waitQuantile(mow, 0.5), waitQuantile(mow, 0.9)]
  return {
    ...odds,
    seedbedC: Math.round(quantile(season.years.map(({ soil }) => dayMean(soil.seedbedHourlyC, i)), 0.5) * 100) / 100,
    up05: waitQuantile(waits('up05'), 0.5),
    up50: waitQuantile(half, 0.5),
    up95: waitQuantile(waits('up95'), 0.5),
    up50Early: waitQuantile(half, 0.05),
    up50Late: waitQuantile(half, 0.95),
    mow: early !== null && middle !== null ? { early, middle, late: late ?? middle + 28 } : null,
    water: waterNeed(told, years, i),
    dormantGood: dormantYears(years, i),
    weeds: judged.weeds[i]!,
    stand: standOn(judged, i),
    parts: blend.length < 2 ? [] : blend.map(({ grass }, part) => {
      const own = judged.years.map(({ parts }) => parts[part]!)
      return { grass, good: own.filter(({ cause }) => !cause[i]).length, up50: waitQuantile(own.map(({ up50 }) => up50[i]! - i), 0.5) }
    }),
  }
}

/** Days on either side by which soil is told to rise or to fall. @source own */
const TREND_DAYS = 20

/** The best day ahead of each half of the soil's year. */
function bestDays(season: Season, odds: readonly DayOdds[]): Outlook['best'] {
  const best: Outlook['best'] = { rising: null, falling: null }
  const middle = (i: number) => quantile(season.years.map(({ soil: { probeDailyC } }) => fiveDayMean(probeDailyC, i)), 0.5)
  for (let i = season.todayIndex; i < odds.length; i++) {
    const { good } = odds[i]!
    // Asked for only where it would be a new best: the soil of a day is dear.
    if (good === 0 || (good <= (best.rising?.good ?? 0) && good <= (best.falling?.good ?? 0))) continue
    const half = middle(i + TREND_DAYS) > middle(i - TREND_DAYS) ? 'rising' : 'falling'
    if (good > (best[half]?.good ?? 0)) best[half] = { day: addDays(season.first, i), good }
  }
  return best
}

/** The run of days about the one on which seed does best that is to lie until spring. */
function dormantRun(season: Season, days: readonly SowingDay[]): DatedWindow | null {
  const good = (i: number) => (i < season.todayIndex ? 0 : (days[i]?.dormantGood ?? 0))
  const best = days.reduce((top, _, i) => (good(i) > good(top) ? i : top), season.todayIndex)
  if (!good(best)) return null
  let [from, to] = [best, best]
  while (good(from - 1)) from--
  while (good(to + 1)) to++
  const dated = (i: number) => addDays(season.first, i)
  return { from: dated(from), to: dated(to), best: dated(best), bestGood: good(best) }
}

function soilQuantiles(season: Season, days: number): Outlook['soilC'] {
  const soilC: Outlook['soilC'] = { p05: [], p25: [], median: [], p75: [], p95: [] }
  for (let i = 0; i < days; i++) {
    const values = i < season.todayIndex ? [season.years[0]!.soil.probeDailyC[i]!] : season.years.map((year) => year.soil.probeDailyC[i]!)
    const at = (share: number) => Math.round(quantile(values, share) * 100) / 100
    soilC.p05.push(at(0.05))
    soilC.p25.push(at(0.25))
    soilC.median.push(at(0.5))
    soilC.p75.push(at(0.75))
    soilC.p95.push(at(0.95))
  }
  return soilC
}

function groundLeftOf({ years, ground }: Season, season: 'cool' | 'warm', days: number): number[] {
  const raMJ = radiationOf(ground.latDeg, years[0]!.weather.first, runLength(years[0]!.weather))
  const left = years.map(({ weather }) => followRootZone(weather, ground, ROOTS_MM.standing, season, undefined, raMJ).leftShare)
  return Array.from({ length: days }, (_, i) => Math.round(quantile(left.map((year) => year[i]!), 0.5) * 100) / 100)
}

const RAIN_DAYS = 28
/** Fewer observed days than this tell nothing of a drought. */
const LEAST_OBSERVED = 21

function rainShareOf(season: Season, normals: Normals): number | null {
  let [fell, usual, observed] = [0, 0, 0]
  for (let i = Math.max(0, season.todayIndex - RAIN_DAYS); i < season.todayIndex; i++) {
    if (season.filled[i]) continue
    observed++
    fell += season.years[0]!.weather.rainMm[i]!
    usual += usualWeekRainMm(normals, dayNumber(season.first) + i) / 7
  }
  return observed >= LEAST_OBSERVED && usual > 0 ? Math.round((fell / usual) * 100) / 100 : null
}

/**
 * Boils a season down to what is shown of it.
 * @param blend what is sown; one grass alone is a mixture of one
 * @param keptMm height the grass will be kept at, for the first mowing
 * @param stand what stands there and what is sown, for the cover; not told where left out
 */
export function summarise(season: Season, blend: Blend, risk: SeedbedRisk, keptMm: number, normals: Normals, stand?: Stand): Outlook {
  const { bed } = risk
  const weathers = season.years.map(({ weather }) => weather)
  const watered = bed && bedWaters(weathers, season.ground, risk.slopeShare, bed)
  const told = !bed ? [] : bed.watering.timesADay === 'as told' && !bed.watering.bannedUntil ? watered!.map(({ course }) => course)
    : bedWaters(weathers, season.ground, risk.slopeShare, { ...bed, watering: AS_TOLD }).map(({ course }) => course)
  const judged: Judged = { season, blend, told, keptMm, stand, weeds: weedsByDay(season, season.todayIndex + SHOWN_AHEAD), years: season.years.map((year, y) => judgeBlend(year, blend, risk, watered?.[y])) }
  const years = judged.years.map(({ whole }) => whole)
  const sowDays = season.todayIndex + SOWN_AHEAD
  const odds = oddsByDay(years, sowDays)
  const shown = season.todayIndex + SHOWN_AHEAD
  const soilC = soilQuantiles(season, shown)
  const band = germinationBand(grassByCode(mainOf(blend)))
  const start = dayNumber(season.first)
  const sowing = odds.slice(0, shown).map((day, i) => sowingDay(judged, day, i))
  const dated = (i: number) => addDays(season.first, i)
  return {
    first: season.first,
    today: season.today,
    todayIndex: season.todayIndex,
    years: season.years.length,
    ownYears: season.ownYears,
    soilC,
    correctionK: Array.from(season.correctionK.subarray(0, shown), (k) => Math.round(k * 100) / 100),
    readings: season.readings.map((reading) => ({ ...reading, modelC: Math.round(reading.modelC * 100) / 100, surpriseK: Math.round(reading.surpriseK * 100) / 100 })),
    filled: Array.from(season.filled, Boolean),
    rainMm: Array.from(season.filled, (filled, i) => (filled ? null : season.years[0]!.weather.rainMm[i]!)),
    usualWeekRainMm: Array.from({ length: shown }, (_, i) => Math.round(usualWeekRainMm(normals, start + i))),
    band: { lowC: band.lowC, highC: band.highC },
    insideBand: insideRuns(soilC.median, band.lowC, band.highC),
    frost: frostOdds(season),
    sowing,
    best: bestDays(season, odds),
    dormant: dormantRun(season, sowing),
    windows: sowingWindows(odds, years.length, season.todayIndex, sowDays - 1)
      // A window cut by the end of what was computed is not known yet.
      .filter(({ to }) => to < sowDays - 1)
      .map(({ from, to, best, bestGood }) => ({
        from: dated(from), to: dated(to), best: dated(best), bestGood,
      })),
    growing: growingRuns(season),
    growsThrough: growingYears(season, shown),
    rainShare: rainShareOf(season, normals),
    groundLeft: groundLeftOf(season, grassByCode(mainOf(blend)).season, shown),
    grain: years.map(({ cause }) => cause.slice(0, shown).map((c) => (c ? GRAIN[c] : 'g')).join('')),
  }
}

/** What a plan needs to know of its season; small enough to come with a list. */
export interface Glance {
  years: number
  windows: DatedWindow[]
  growing: DatedWindow[]
  rainShare: number | null
  band: { lowC: number; highC: number }
  /** The sowing day asked for; null when it lies outside of what is shown. */
  sowing: { good: number; mow: SowingDay['mow']; soilC: number; groundLeft: number } | null
}

export function glanceOf(outlook: Outlook, sowOn: Day | null): Glance {
  const i = sowOn ? indexOf(outlook, sowOn) : -1
  const day = outlook.sowing[i]
  return {
    years: outlook.years, windows: outlook.windows, growing: outlook.growing, rainShare: outlook.rainShare, band: outlook.band,
    sowing: day ? { good: day.good, mow: day.mow, soilC: outlook.soilC.median[i]!, groundLeft: outlook.groundLeft[i]! } : null,
  }
}

/** Index of a date in an outlook's series; may lie outside of them. */
export const indexOf = (outlook: Outlook, day: Day): number => dayNumber(day) - dayNumber(outlook.first)

/** Where a reading stands beside the line of a piece of ground: its uncorrected day, moved as far as the reading is off its model, °C. */
export function readingOnLine(outlook: Outlook, { at, tempC, modelC }: JudgedReading): number | undefined {
  const i = indexOf(outlook, at.slice(0, 10) as Day)
  const median = outlook.soilC.median[i]
  return median === undefined ? undefined : median - outlook.correctionK[i]! + tempC - modelC
}
