import { keptMoistShare } from '../establishment/losses'
import { addDays, type Day } from '../measure/calendar'
import { isDryHour, lossMm } from './cycles'
import type { WateredBed } from './programme'
import { RAIN_FROM, RAIN_TO, topLayer } from './topLayer'

/** What a day did to a bed: how fast it dried it, and what rain fell. */
export interface LogDay {
  et0Mm: number
  rainMm: number
}

/** Waterings of one day that were written down, by hour of the clock. */
export interface Logged {
  missed: readonly number[]
  given: readonly number[]
}

/** What a bed has been through since it was sown. */
export interface BedLog {
  /** Hours of daylight, in all, at which it was too dry for what sprouts. */
  dryHours: number
  /** The same if nothing had been missed. */
  asPlannedHours: number
  /** Share of a stand lost to that, 0-1. */
  lostShare: number
  /** Waterings written down as missed. */
  missed: number
  /** Of those, yesterday and today. */
  missedLately: number
  /** Water left at the end of today, 0-1. */
  leftShare: number
  /** Hour of tomorrow at which it falls dry: watered as planned, and if nobody comes; null where it does not. */
  tomorrow: { asPlanned: number | null; unwatered: number | null }
}

export interface LogAsked {
  bed: WateredBed
  /** Hours of the clock at which it is to be watered. */
  hours: readonly number[]
  sowOn: Day
  today: Day
  dayOf: (day: Day) => LogDay
  loggedOn: (day: Day) => Logged
}

/** Hours of one day, one after the other. @returns what is gone at its end, hours too dry, and the first of them */
function throughDay(
  { bed }: Pick<LogAsked, 'bed'>,
  { et0Mm, rainMm }: LogDay,
  hours: readonly number[],
  depletedMm: number,
): { depletedMm: number; dryHours: number; dryAt: number | null } {
  const layer = topLayer(bed.texture, bed.cover, bed.coverMm, bed.slopeShare)
  const asked = { layer, sun: bed.sun, et0Mm, aheadH: bed.aheadH }
  const anHour = rainMm / (RAIN_TO - RAIN_FROM)
  let [depleted, dryHours, dryAt]: [number, number, number | null] = [depletedMm, 0, null]
  for (let h = 0; h < 24; h++) {
    if (hours.includes(h)) depleted -= Math.min(depleted, layer.infiltrationMmPerH)
    if (h >= RAIN_FROM && h < RAIN_TO) depleted = Math.max(0, depleted - Math.min(anHour, layer.infiltrationMmPerH))
    depleted += lossMm(asked, depleted, h)
    if (!isDryHour(asked, 1 - depleted / layer.capacityMm, h)) continue
    dryHours++
    dryAt ??= h
  }
  return { depletedMm: depleted, dryHours, dryAt }
}

/** Days that are followed at the most; by then roots reach below what dries. */
const MOST_DAYS = 70

/**
 * Follows a bed from sowing to today by what was really given, missed and rained, and tomorrow by a dry day. What nobody wrote
 * down was watered as planned. It begins full.
 * @source own, over FAO-56
 */
export function followLog(asked: LogAsked): BedLog {
  const { bed, hours, sowOn, today, dayOf, loggedOn } = asked
  const layer = topLayer(bed.texture, bed.cover, bed.coverMm, bed.slopeShare)
  let [depleted, planned, dryHours, asPlannedHours, missed, missedLately] = [0, 0, 0, 0, 0, 0]
  const lately = addDays(today, -1)
  for (let i = 0, day = sowOn; day <= today && i < MOST_DAYS; i++, day = addDays(day, 1)) {
    const logged = loggedOn(day)
    const really = [...hours.filter((hour) => !logged.missed.includes(hour)), ...logged.given]
    const as = throughDay(asked, dayOf(day), really, depleted)
    const would = throughDay(asked, dayOf(day), [...hours, ...logged.given], planned)
    ;[depleted, planned] = [as.depletedMm, would.depletedMm]
    dryHours += as.dryHours
    asPlannedHours += would.dryHours
    const missedOn = hours.filter((hour) => logged.missed.includes(hour)).length
    missed += missedOn
    if (day >= lately) missedLately += missedOn
  }
  const next = { ...dayOf(addDays(today, 1)), rainMm: 0 }
  return {
    dryHours,
    asPlannedHours,
    lostShare: 1 - keptMoistShare(dryHours, bed.cover !== 'none'),
    missed,
    missedLately,
    leftShare: 1 - depleted / layer.capacityMm,
    tomorrow: {
      asPlanned: throughDay(asked, next, hours, depleted).dryAt,
      unwatered: throughDay(asked, next, [], depleted).dryAt,
    },
  }
}
