import type { JudgedReading } from '../soil/probe'
import { usualWeekRainMm, usualWeeksRainMm, type Normals } from '../weather/normals'
import { mainOf, type Blend } from '../seed/blends'
import { germinationBand, grassByCode } from '../grass/grasses'
import { addDays, dayNumber, type Day } from '../measure/calendar'
import { dryingOf, rainOnRecord, type DryingSeries } from './drying'
import { judgedOf } from './judged'
import { causeOf, type Cause, type SeedbedRisk } from './sowing'
import { datedWindow, oddsByDay, sowingWindows, type DatedWindow } from './window'
import { growingRuns, growingYears } from './growing'
import { candidateDays } from './candidates'
import { bestDays, bestWithinSpring, dormantRun, type SeasonBest } from './bestDays'
import { sowingDay, type SowingDay } from './sowingDay'
import type { YearsOfTurf } from './lasting'
import type { Stand } from './stand'
import { quantile, quantiles, SOWN_AHEAD, type Season } from './season'
import { radiationOf } from '../weather/radiation'
import { sliceRun } from '../weather/weather'
import { followRootZone, ROOTS_MM } from '../water/rootZone'

/** Days ahead in which the next frost is looked for. */
const FROST_AHEAD = 150

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
  /** Reference evapotranspiration in the open, mm: of a usual day, of one in five and of one in fifty. */
  et0Mm: DryingSeries
  band: { lowC: number; highC: number }
  /** Runs of days, as indices, with the median inside the band. */
  insideBand: { from: number; to: number }[]
  frost: FrostOdds | null
  /** What the years do to turf that stands; not told where it was not asked. */
  lasting?: YearsOfTurf
  sowing: SowingDay[]
  windows: DatedWindow[]
  best: SeasonBest[]
  /**
   * Run of days for seed that lies until spring; null where soil never gets that cold, or the seed does not bear it.
   */
  dormant: DatedWindow | null
  /**
   * Runs of days in which warm-season turf grows fast enough to come through a dressing, and still has three weeks
   * after it.
   */
  growing: DatedWindow[]
  /** Years of all in which turf dressed on each day grows through. */
  growsThrough: number[]
  /** Rain of the last four weeks against the usual, 0-…; null where too little was observed. */
  rainShare: number | null
  /** Water in the root zone of the turf that stands there, 0-1, by day, of rain and irrigation; the middle year ahead. */
  groundLeft: number[]
  /**
   * One letter a day and year: g good, h heat, w washout, f frost, c cold, d dried out, n weeds; for the years behind the
   * counts.
   */
  grain: string[]
}

export interface FrostOdds {
  kind: 'first' | 'last'
  /** Day by which it has come in 10, 50 and 90 % of the years. */
  p10: Day
  p50: Day
  p90: Day
}

const GRAIN: Record<Cause, string> = {
  heat: 'h',
  washout: 'w',
  frost: 'f',
  cold: 'c',
  dry: 'd',
  weeds: 'n',
  birds: 'v',
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
  const horizon = season.todayIndex + FROST_AHEAD
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

/** Soil of each day at the depth of a probe, °C, over all years; behind today one and the same line. @param days from the first */
export function soilQuantiles(season: Season, days: number): Outlook['soilC'] {
  const soilC: Outlook['soilC'] = { p05: [], p25: [], median: [], p75: [], p95: [] }
  for (let i = 0; i < days; i++) {
    const values =
      i < season.todayIndex
        ? [season.years[0]!.soil.probeDailyC[i]!]
        : season.years.map((year) => year.soil.probeDailyC[i]!)
    const [p05, p25, median, p75, p95] = quantiles(values, [0.05, 0.25, 0.5, 0.75, 0.95]).map(
      (value) => Math.round(value * 100) / 100,
    )
    soilC.p05.push(p05!)
    soilC.p25.push(p25!)
    soilC.median.push(median!)
    soilC.p75.push(p75!)
    soilC.p95.push(p95!)
  }
  return soilC
}

/** Index of the day from which on standing turf is irrigated, a ban on watering over. */
export function sprinkledFrom({ first }: Season, { irrigated, bed }: SeedbedRisk): number {
  if (!irrigated) return Infinity
  const bannedUntil = bed?.watering.bannedUntil ?? null
  return bannedUntil === null ? 0 : dayNumber(bannedUntil) - dayNumber(first)
}

export function groundLeftOf(
  { years, ground }: Season,
  season: 'cool' | 'warm',
  days: number,
  irrigatedFrom: number,
): number[] {
  const raMJ = radiationOf(ground.latDeg, years[0]!.weather.first, days)
  const left = years.map(
    ({ weather }) =>
      followRootZone(
        sliceRun(weather, 0, days),
        ground,
        ROOTS_MM.standing,
        season,
        { sprinkledFrom: irrigatedFrom },
        raMJ,
      ).leftShare,
  )
  return Array.from(
    { length: days },
    (_, i) =>
      Math.round(
        quantile(
          left.map((year) => year[i]!),
          0.5,
        ) * 100,
      ) / 100,
  )
}

const RAIN_DAYS = 28
/** Fewer observed days than this tell nothing of a drought. */
const LEAST_OBSERVED = 21

export function rainShareOf(season: Season, normals: Normals): number | null {
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
 * @param asked.stand what stands there and what is sown, for the cover; not told where left out
 * @param asked.lasting of the same ground under standing turf
 * @param asked.everyDays of so many sowing days one is read closely, and stands for the others but for their odds; 1 where left out
 */
export function summarise(
  season: Season,
  blend: Blend,
  risk: SeedbedRisk,
  keptMm: number,
  normals: Normals,
  asked: { stand?: Stand | undefined; lasting?: YearsOfTurf | undefined; everyDays?: number } = {},
): Outlook {
  const { stand, lasting, everyDays = 1 } = asked
  const shown = season.todayIndex + SOWN_AHEAD
  const judged = judgedOf(season, blend, risk, keptMm, { stand })
  const years = judged.years.map(({ whole }) => whole)
  const odds = oddsByDay(years, shown)
  const soilC = soilQuantiles(season, shown)
  const band = germinationBand(grassByCode(mainOf(blend)))
  const turf = grassByCode(mainOf(blend)).season
  const start = dayNumber(season.first)
  const good = odds.map((day) => day.good)
  let near: SowingDay
  const sowing = odds.map((day, i): SowingDay => {
    const of = i % everyDays === 0 ? (near = sowingDay(judged, day, i)) : { ...near, ...day }
    const { dormantGood } = of
    // What lies until spring is no better than the best of that spring.
    return { ...of, dormantGood: dormantGood === null ? null : Math.min(dormantGood, bestWithinSpring(good, i)) }
  })
  const candidate = candidateDays(season, grassByCode(mainOf(blend)).season, risk.winterColour === true, shown)
  return {
    first: season.first,
    today: season.today,
    todayIndex: season.todayIndex,
    years: season.years.length,
    ownYears: season.ownYears,
    ...(lasting ? { lasting } : {}),
    soilC,
    correctionK: Array.from(season.correctionK.subarray(0, shown), (k) => Math.round(k * 100) / 100),
    readings: season.readings.map((reading) => ({
      ...reading,
      modelC: Math.round(reading.modelC * 100) / 100,
      surpriseK: Math.round(reading.surpriseK * 100) / 100,
    })),
    filled: Array.from(season.filled, Boolean),
    rainMm: rainOnRecord(season),
    usualWeekRainMm: usualWeeksRainMm(normals, start, shown).map(Math.round),
    et0Mm: dryingOf(season, shown),
    band: { lowC: band.lowC, highC: band.highC },
    insideBand: insideRuns(soilC.median, band.lowC, band.highC),
    frost: frostOdds(season),
    sowing,
    best: bestDays(season, odds, candidate),
    dormant: dormantRun(season, sowing),
    windows: sowingWindows(odds, candidate, season.todayIndex, shown - 1).map((window) => datedWindow(window, season)),
    growing: growingRuns(season, turf),
    growsThrough: growingYears(season, shown, turf),
    rainShare: rainShareOf(season, normals),
    groundLeft: groundLeftOf(season, turf, shown, sprinkledFrom(season, risk)),
    grain: years.map((year) =>
      Array.from({ length: shown }, (_, i) => {
        const cause = causeOf(year, i)
        return cause ? GRAIN[cause] : 'g'
      }).join(''),
    ),
  }
}

/** Index of a date in an outlook's series; may lie outside of them. */
export const indexOf = (outlook: Outlook, day: Day): number => dayNumber(day) - dayNumber(outlook.first)

/**
 * Where a reading stands beside the line of a piece of ground: its uncorrected day, moved as far as the reading is
 * off its model, °C.
 */
export function readingOnLine(outlook: Outlook, { at, tempC, modelC }: JudgedReading): number | undefined {
  const i = indexOf(outlook, at.slice(0, 10) as Day)
  const median = outlook.soilC.median[i]
  return median === undefined ? undefined : median - outlook.correctionK[i]! + tempC - modelC
}
