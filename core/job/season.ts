import { glanceOf, type Glance } from '../establishment/glance'
import { indexOf, type Outlook } from '../establishment/outlook'
import type { Day } from '../measure/calendar'
import type { SowingDay } from '../establishment/sowingDay'
import type { DryingMm } from '../water/programme'
import type { ForecastDay } from '../weather/weather'
import type { Sky } from './operations/weatherGates'

/** What is known of the season a job is planned in: nothing, a glance as in a list, or a whole outlook. */
export interface SeasonKnown extends Sky {
  /** The season in brief, at a sowing day; undefined while it is not worked out. */
  glance?: (sowOn: Day | null) => Glance | undefined
  /** Median soil at probe depth of a day, °C. */
  soilOn?: (day: Day) => number | undefined
  /** Water in the root zone of a day, 0-1. */
  groundOn?: (day: Day) => number | undefined
  /** What comes of seed sown on a day. */
  sownAt?: (day: Day) => SowingDay | undefined
  /** How fast the days from one on dry a bed. */
  dryingOver?: (from: Day, days: number) => DryingMm | undefined
}

export const NO_SEASON: SeasonKnown = { forecast: [] }

/** A season of which only a glance at the job's own sowing day is at hand. */
export const seasonOfGlance = (glance: Glance | null | undefined): SeasonKnown =>
  glance ? { forecast: [], glance: () => glance } : NO_SEASON

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
    dryingOver: (from, days) => {
      const i = indexOf(outlook, from)
      const over = (series: readonly number[]) => {
        const some = series.slice(Math.max(0, i), Math.max(0, i) + Math.max(1, days))
        return some.reduce((sum, mm) => sum + mm, 0) / some.length
      }
      const { usual, dry, hot } = outlook.et0Mm
      return usual[i] === undefined ? undefined : { usual: over(usual), dry: over(dry), hot: over(hot) }
    },
  }
}
