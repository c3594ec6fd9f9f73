import type { SunSeason } from '#core/establishment/sunSeason'
import type { Chance, DatedWindow } from '#core/establishment/window'
import type { Day } from '#core/measure/calendar'
import type { MessageKey } from '#words/message'
import { t } from './words'

const SEASON_NAMES: Record<SunSeason, MessageKey> = {
  spring: 'sowingDay.spring',
  summer: 'sowingDay.summer',
  autumn: 'sowingDay.fall',
}
export const seasonName = (season: SunSeason): string => t(SEASON_NAMES[season])

/** Name of a window by its season; with the year where it is not this one. */
export function windowName({ season, best }: Pick<DatedWindow, 'season' | 'best'>, today: Day): string {
  const year = best.slice(0, 4)
  return year === today.slice(0, 4) ? seasonName(season) : `${seasonName(season)} ${year}`
}

/** A chance as everybody says it. */
export const of100Words = ({ of100 }: Pick<Chance, 'of100'>): string => t('sowingDay.of1003', { of100 })
