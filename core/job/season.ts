import { glanceOf, type Glance } from '../establishment/glance'
import { indexOf, type Outlook } from '../establishment/outlook'
import { daysBetween, type Day } from '../measure/calendar'
import type { DryingSeries } from '../establishment/drying'
import type { SowingDay } from '../establishment/sowingDay'
import type { DryingMm } from '../water/programme'
import type { ForecastDay } from '../weather/weather'
import type { Sky } from './operations/weatherGates'

/** What a plan reads of seed sown on a day. */
export type Sown = Pick<SowingDay, 'up50' | 'up50Early' | 'up50Late' | 'dormantGood' | 'tall' | 'mow' | 'fourthMow'> &
  Partial<Pick<SowingDay, 'stand'>>

/** What is known of the season a job is planned in: nothing, a glance as in a list, or a whole outlook. */
export interface SeasonKnown extends Sky {
  /** The season in brief, at a sowing day; undefined while it is not worked out. */
  glance?: (sowOn: Day | null) => Glance | undefined
  /** Median soil at probe depth of a day, °C. */
  soilOn?: (day: Day) => number | undefined
  /** Water in the root zone of a day, 0-1. */
  groundOn?: (day: Day) => number | undefined
  /** What comes of seed sown on a day. */
  sownAt?: (day: Day) => Sown | undefined
  /** How fast the days from one on dry a bed. */
  dryingOver?: (from: Day, days: number) => DryingMm | undefined
}

/** Drying over days one after the other, mean of each; undefined for days that are not told. */
const overDays =
  (told: DryingSeries, at: (day: Day) => number): NonNullable<SeasonKnown['dryingOver']> =>
  (from, days) => {
    const i = at(from)
    const over = (series: readonly number[]) => {
      const some = series.slice(Math.max(0, i), Math.max(0, i) + Math.max(1, days))
      return some.reduce((sum, mm) => sum + mm, 0) / some.length
    }
    return told.usual[i] === undefined
      ? undefined
      : { usual: over(told.usual), dry: over(told.dry), hot: over(told.hot) }
  }

export const NO_SEASON: SeasonKnown = { forecast: [] }

/**
 * A season of which only a glance at the day the job grows from is at hand. What was sown lately can be watered by it.
 */
export function seasonOfGlance(glance: Glance | null | undefined): SeasonKnown {
  if (!glance) return NO_SEASON
  const { sowing, drying } = glance
  if (!sowing || !drying) return { forecast: [], glance: () => glance }
  const { up, dormant, ...told } = sowing
  const sown: Sown = {
    ...told,
    up50: up?.middle ?? null,
    up50Early: up?.early ?? null,
    up50Late: up?.late ?? null,
    dormantGood: dormant ? 0 : null,
  }
  return {
    forecast: [],
    glance: () => glance,
    sownAt: () => sown,
    fellOn: (day) => drying.rainMm[daysBetween(drying.from, day)],
    dryingOver: overDays(drying, (day) => daysBetween(drying.from, day)),
  }
}

/** A season with its outlook day by day. */
export function seasonOfOutlook(outlook: Outlook, forecast: readonly ForecastDay[]): SeasonKnown {
  const on =
    <T>(series: readonly T[]) =>
    (day: Day) =>
      series[indexOf(outlook, day)]
  return {
    forecast,
    glance: (sowOn) => glanceOf(outlook, sowOn),
    soilOn: on(outlook.soilC.median),
    groundOn: on(outlook.groundLeft),
    fellOn: on(outlook.rainMm),
    sownAt: on(outlook.sowing),
    dryingOver: overDays(outlook.et0Mm, (day) => indexOf(outlook, day)),
  }
}
