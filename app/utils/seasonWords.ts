import type { SunSeason } from '#core/establishment/sunSeason'
import type { Chance, DatedWindow } from '#core/establishment/window'
import type { Day } from '#core/measure/calendar'

export const SEASON_NAMES: Record<SunSeason, string> = { spring: 'Spring', summer: 'Summer', autumn: 'Fall' }

/** Name of a window by its season; with the year where it is not this one. */
export function windowName({ season, best }: Pick<DatedWindow, 'season' | 'best'>, today: Day): string {
  const year = best.slice(0, 4)
  return year === today.slice(0, 4) ? SEASON_NAMES[season] : `${SEASON_NAMES[season]} ${year}`
}

/** A chance as everybody says it. */
export const of100Words = ({ of100 }: Pick<Chance, 'of100'>): string => `${of100} of 100`
