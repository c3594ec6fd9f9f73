import { SUN_WAVE, type Sun } from '../soil/soilCourse'
import { DRY_BELOW, evaporatedMm, exposureOf, shareOfDay, TOLD_BELOW, type TopLayer } from './topLayer'

/** The first of a day begins it full, where the evening before took so much. @source own, as practitioners do it */
const MORNING_BELOW = 0.5
/** Between waterings it is not let fall below this, where there is an hour to prevent it. @source own */
export const KEPT_ABOVE = 0.05

/** One watering of a day. */
export interface Cycle {
  /** Hour of the clock at which it begins. */
  hour: number
  /** What is missing then, or what goes in within the hour. */
  depthMm: number
}

/** The bed through one day that follows on many like it. */
export interface BedDay {
  cycles: Cycle[]
  /** Water left at the end of each hour, 0-1. */
  leftShare: Float64Array
  /** Hours of daylight at which it is too dry for what sprouts. */
  dryHours: number
  lowest: number
}

/** A bed and the day it is watered on. */
export interface BedAsked {
  layer: TopLayer
  sun: Sun
  /** Reference evapotranspiration of the day in the open, mm. */
  et0Mm: number
  /** Hours of the clock at which it may be watered, rising. */
  hours: readonly number[]
  /** Whole hours by which the clock is ahead of the sun. */
  aheadH: number
}

/** A bed under the sun of one day. */
type Drying = Pick<BedAsked, 'layer' | 'sun' | 'et0Mm' | 'aheadH'>

/** Hour of the sun at an hour of the clock. */
export const solar = ({ aheadH }: Pick<BedAsked, 'aheadH'>, hour: number): number => (((hour - aheadH) % 24) + 24) % 24

/** Too dry at an hour for what sprouts, by daylight. */
export const isDryHour = (asked: Pick<BedAsked, 'aheadH'>, leftShare: number, hour: number): boolean =>
  leftShare < DRY_BELOW && SUN_WAVE[solar(asked, hour)]! > 0

/** What an hour of the clock takes from the bed, mm. */
export const lossMm = (asked: Drying, depletedMm: number, hour: number): number =>
  evaporatedMm(asked.layer, depletedMm, asked.et0Mm * exposureOf(asked.sun) * shareOfDay(solar(asked, hour)))

/** Whether the bed stays moist from an hour on until it may be watered again, without being watered now. */
function lastsUntil(asked: BedAsked, depletedMm: number, from: number, until: number): boolean {
  let depleted = depletedMm
  for (let h = from; h < until; h++) {
    depleted += lossMm(asked, depleted, h)
    if (asked.layer.capacityMm - depleted < KEPT_ABOVE * asked.layer.capacityMm) return false
  }
  return true
}

type Decides = (hour: number, depletedMm: number) => boolean

/** A day by a rule of when to water, the last of some like it. */
function follow(asked: BedAsked, waters: Decides, turns = 3): BedDay {
  const { layer } = asked
  let depleted = 0
  let day: BedDay | undefined
  for (let turn = 0; turn < turns; turn++) {
    day = { cycles: [], leftShare: new Float64Array(24), dryHours: 0, lowest: 1 }
    for (let h = 0; h < 24; h++) {
      if (asked.hours.includes(h) && waters(h, depleted)) {
        const depthMm = Math.min(depleted, layer.infiltrationMmPerH)
        depleted -= depthMm
        if (depthMm > 0) day.cycles.push({ hour: h, depthMm })
      }
      depleted += lossMm(asked, depleted, h)
      const left = 1 - depleted / layer.capacityMm
      day.leftShare[h] = left
      if (left < day.lowest) day.lowest = left
      if (isDryHour(asked, left, h)) day.dryHours++
    }
  }
  return day!
}

/**
 * The waterings of a day that keep a bed moist, as few as will do: one is due once three quarters of what bed and cover
 * hold are gone, or where it would fall dry before it may be watered again; the first of a day fills it after the evening.
 * @throws RangeError where it may be watered at no hour
 * @source own, about what practitioners give; each as late as it can be
 */
export function fewestCycles(asked: BedAsked): BedDay {
  const { hours } = asked
  if (!hours.length) throw new RangeError('No hour is left to water at.')
  const due: Decides = (hour, depleted) => {
    const left = 1 - depleted / asked.layer.capacityMm
    if (left < (hour === hours[0] ? MORNING_BELOW : TOLD_BELOW)) return true
    return !lastsUntil(asked, depleted, hour, hours.find((h) => h > hour) ?? hours[0]! + 24)
  }
  // Days may take turns, one watered more than the next: every day is watered as the fuller one is.
  const days = [3, 4].map((turns) => follow(asked, due, turns))
  const fuller = days.reduce((most, day) => (day.cycles.length > most.cycles.length ? day : most))
  return cyclesAt(
    asked,
    fuller.cycles.map(({ hour }) => hour),
  )
}

/** The same day watered at given hours, as far as those are allowed, each time back to full. */
export const cyclesAt = (asked: BedAsked, hours: readonly number[]): BedDay => follow({ ...asked, hours }, () => true)

/** So many hours of those allowed, spread evenly from the first to the last. */
export function spreadHours(hours: readonly number[], times: number): number[] {
  if (times >= hours.length) return [...hours]
  if (times <= 1) return hours.slice(0, Math.max(0, times))
  const step = (hours.length - 1) / (times - 1)
  return Array.from({ length: times }, (_, i) => hours[Math.round(i * step)]!)
}
