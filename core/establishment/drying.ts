import { addDays, type Day } from '../measure/calendar'
import type { DryingMm } from '../water/programme'
import { hargreavesEt0Mm, radiationOf } from '../weather/radiation'
import { quantiles, type Season } from './season'

/** Reference evapotranspiration in the open of days one after the other, mm: each as in `DryingMm`. */
export type DryingSeries = Record<keyof DryingMm, number[]>

/** Drying of each day over the years. @param to index after the last @param from index of the first */
export function dryingOf({ years, ground }: Season, to: number, from = 0): DryingSeries {
  const raMJ = radiationOf(ground.latDeg, years[0]!.weather.first, to)
  const out: DryingSeries = { usual: [], dry: [], hot: [] }
  for (let i = from; i < to; i++) {
    const values = years.map(({ weather }) => hargreavesEt0Mm(weather.tmaxC[i]!, weather.tminC[i]!, raMJ[i]!))
    const [usual, dry, hot] = quantiles(values, [0.5, 0.8, 0.98]).map((mm) => Math.max(0, Math.round(mm * 10) / 10))
    out.usual.push(usual!)
    out.dry.push(dry!)
    out.hot.push(hot!)
  }
  return out
}

/** Rain of the days behind, mm; null where none is on record. */
export const rainOnRecord = ({ filled, years }: Season): (number | null)[] =>
  Array.from(filled, (gap, i) => (gap ? null : years[0]!.weather.rainMm[i]!))

/** Drying and rain of the days about today, in their order. */
export interface DryingDays extends DryingSeries {
  from: Day
  today: Day
  /** Of days on record, mm. */
  rainMm: (number | null)[]
}
/** Days behind and ahead that they are told of: as long as seed is kept wet. @source own */
const [DRYING_BEHIND, DRYING_AHEAD] = [45, 40]

/** What a list follows the beds of what was sown lately by. */
export function dryingAbout(
  first: Day,
  todayIndex: number,
  rainMm: readonly (number | null)[],
  over: (from: number, to: number) => DryingSeries,
): DryingDays {
  const from = Math.max(0, todayIndex - DRYING_BEHIND)
  return {
    from: addDays(first, from),
    today: addDays(first, todayIndex),
    ...over(from, todayIndex + DRYING_AHEAD),
    rainMm: rainMm.slice(from),
  }
}
/** Sown so lately that its bed is followed. */
export const sownLately = (sowOn: Day | null, today: Day): boolean =>
  sowOn !== null && sowOn <= today && sowOn >= addDays(today, -DRYING_BEHIND)
