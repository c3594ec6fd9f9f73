import type { BedCover } from './topLayer'
import { topLayer } from './topLayer'
import type { Texture } from '../soil/soil'
import type { Sun } from '../soil/soilCourse'
import { keptMoistShare } from '../establishment/losses'
import { runMinutes } from './catchCans'
import { cyclesAt, fewestCycles, spreadHours, type BedAsked, type BedDay } from './cycles'
import { cycleAndSoak, type Run, type Supply } from './irrigation'
import { availableMm, ROOTS_MM as ROOTS, TURF } from './rootZone'

/** Reference evapotranspiration of the days of a phase, mm: of a usual day, of one in five, and of one in fifty. */
export interface DryingMm {
  usual: number
  dry: number
  hot: number
}

/** How the wet phase is watered, and how it is stepped down. */
export type WetBy = 'computed' | 'three' | 'six weeks'
export type StepDown = 'gradual' | 'deeper' | 'weekly'

/** The bed of an irrigation zone with who waters it. */
export interface WateredBed {
  id: string
  name: string
  areaM2: number
  texture: Texture
  sun: Sun
  cover: BedCover
  coverMm: number
  slopeShare: number
  supply: Supply | undefined
  /** Hours of the clock at which it may be watered and somebody or a timer can. */
  hours: readonly number[]
  /** Whole hours by which the clock is ahead of the sun. */
  aheadH: number
  /** Waterings a day that whoever is there can do; null where a timer does it, or nobody said. */
  mostTimes: number | null
}

export const PHASES = ['wet', 'seedling', 'rooting', 'established'] as const
export type PhaseCode = (typeof PHASES)[number]

/** A day of a phase in an early, a middle and a late year, in days after sowing. */
export interface Ending {
  early: number
  middle: number
  late: number
}

export interface ProgrammeAsked {
  beds: readonly WateredBed[]
  wetBy: WetBy
  stepDown: StepDown
  /** Days after sowing on which half is up, leaves stand at 25 mm, and the first and the fourth mowing are due. */
  up: Ending
  tall: Ending
  mow: Ending
  fourthMow: Ending
  /** Drying of each phase's days. */
  drying: Record<PhaseCode, DryingMm>
  season: 'cool' | 'warm'
}

/** What one zone is given in one phase. */
export interface ZoneWatering {
  id: string
  name: string
  /** Hours at which it is watered on a watering day, and what goes down at each, mm. */
  cycles: { hour: number; depthMm: number }[]
  /** Of the deepest of them; undefined where nobody waters it. */
  run: Run | undefined
  /** The same by the mean of the cans, for who trusts them more. */
  meanMinutes: number | undefined
  /** Of all the phase if no rain falls, L. */
  litres: number
}

export interface PhasePlan {
  code: PhaseCode
  /** First day after sowing, and the day it ends on; the last phase ends the season. */
  from: Ending
  to: Ending | null
  /** What is seen that ends it. */
  endedBy: 'leaf' | 'up' | 'six weeks' | 'mowing' | 'fourth mowing' | null
  /** Watered every so many days, so many times. */
  everyDays: number
  timesADay: number
  depthMm: number
  zones: ZoneWatering[]
  litres: number
}

/** The wet phase of one zone: what its programme holds, and what is left without. */
export interface WetZone {
  id: string
  name: string
  /** A dry day, one in five. */
  day: BedDay
  /** The same day with the middle cycle left out. */
  without: { hour: number; day: BedDay } | null
  /** Cycles that a hot day, one in fifty, wants besides. */
  hotDayExtra: number
  /** Cycles that would be wanted, where fewer can be done. */
  wants: number
  /** Share of a stand lost to drying by the programme, and without the cycle left out, 0-1. */
  lostShare: number
  lostWithout: number
}

export interface WateringProgramme {
  /** Days after sowing on which half is up, and on which the first and the fourth mowing are due. */
  up: Ending
  mow: Ending
  fourthMow: Ending
  phases: PhasePlan[]
  wet: WetZone[]
  /** Zone that dries first. */
  worst: string
}

/** Of the days of a phase one in five is dry and one in fifty hot. @source own, by the quantiles they stand for */
const DAYS = { usual: 0.78, dry: 0.2, hot: 0.02 } as const
/** Hours of the practice of three. @source trade */
const THREE = [6, 12, 18]
const MORNING = 6
/** Roots at the middle of each phase, mm. @source own, 2 mm a day in warm soil */
const ROOTS_OF = { seedling: 40, rooting: 100, established: ROOTS.standing } as const
/** Days between waterings at the least and the most. @source turf handbooks */
const EVERY_DAYS = { seedling: [1, 2], rooting: [2, 4], established: [4, 7] } as const
/** Of a week once it stands, mm, and no more than it uses. @source turf handbooks: an inch to an inch and a half */
const WEEKLY_MM = 25.4
/** What a deeper watering of seedlings puts down, mm. @source own */
const DEEPER_MM = 5
/** The established phase is told for so long. @source own */
const ESTABLISHED_DAYS = 28

const askedOf = ({ texture, cover, coverMm, slopeShare, sun, hours, aheadH }: WateredBed, et0Mm: number): BedAsked => ({
  layer: topLayer(texture, cover, coverMm, slopeShare),
  sun,
  et0Mm,
  hours,
  aheadH,
})

/** Waterings of a day by the practice, no more than can be done. */
function byPractice(bed: WateredBed, et0Mm: number, wetBy: WetBy): { day: BedDay; wants: number } {
  const asked = askedOf(bed, et0Mm)
  if (!bed.supply || !bed.hours.length)
    return { day: cyclesAt(asked, []), wants: bed.hours.length ? fewestCycles(asked).cycles.length : 0 }
  const allowed = (hours: readonly number[]) => hours.filter((hour) => bed.hours.includes(hour))
  if (wetBy === 'three') return { day: cyclesAt(asked, allowed(THREE)), wants: 3 }
  if (wetBy === 'six weeks') {
    const morning = allowed([MORNING])
    return { day: cyclesAt(asked, morning.length ? morning : bed.hours.slice(0, 1)), wants: 1 }
  }
  const best = fewestCycles(asked)
  const wants = best.cycles.length
  if (bed.mostTimes === null || wants <= bed.mostTimes) return { day: best, wants }
  return { day: cyclesAt(asked, spreadHours(bed.hours, Math.floor(bed.mostTimes))), wants }
}

/** Hours of drought over a wet phase of usual, dry and hot days that are watered at the hours of the dry one. */
function dryHoursOver(bed: WateredBed, hours: readonly number[], drying: DryingMm, days: number): number {
  const on = (et0Mm: number) => cyclesAt(askedOf(bed, et0Mm), hours).dryHours
  return days * (DAYS.usual * on(drying.usual) + DAYS.dry * on(drying.dry) + DAYS.hot * on(drying.hot))
}

function wetZone(bed: WateredBed, { wetBy, drying }: ProgrammeAsked, days: number): WetZone {
  const { day, wants } = byPractice(bed, drying.wet.dry, wetBy)
  const hours = day.cycles.map(({ hour }) => hour)
  const hot = bed.hours.length && bed.supply ? fewestCycles(askedOf(bed, drying.wet.hot)).cycles.length : 0
  const covered = bed.cover !== 'none'
  const lost = (at: readonly number[]) => 1 - keptMoistShare(dryHoursOver(bed, at, drying.wet, days), covered)
  const middle = hours[Math.floor(hours.length / 2)]
  const fewer = hours.filter((hour) => hour !== middle)
  return {
    id: bed.id,
    name: bed.name,
    day,
    without: middle === undefined ? null : { hour: middle, day: cyclesAt(askedOf(bed, drying.wet.dry), fewer) },
    hotDayExtra: Math.max(0, hot - hours.length),
    wants,
    lostShare: lost(hours),
    lostWithout: lost(fewer),
  }
}

/** Cycles of one zone with the minutes and the water they take. */
function zoneWatering(bed: WateredBed, cycles: ZoneWatering['cycles'], wateringDays: number): ZoneWatering {
  const { supply, id, name } = bed
  const deepest = Math.max(0, ...cycles.map(({ depthMm }) => depthMm))
  const minutes = supply && deepest > 0 ? runMinutes(deepest, supply) : undefined
  const { infiltrationMmPerH } = topLayer(bed.texture, bed.cover, bed.coverMm, bed.slopeShare)
  const dayMm = cycles.reduce((sum, { depthMm }) => sum + depthMm, 0)
  return {
    id,
    name,
    cycles,
    run: minutes && cycleAndSoak(minutes.lowQuarter, supply!.rateMmPerH, infiltrationMmPerH, bed.slopeShare),
    meanMinutes: minutes?.mean,
    litres: supply ? (dayMm / supply.uniformity) * bed.areaM2 * wateringDays : 0,
  }
}

const between = (from: Ending, to: Ending): number => Math.max(1, to.middle - from.middle)
const SOWN: Ending = { early: 0, middle: 0, late: 0 }
const SIX_WEEKS: Ending = { early: 42, middle: 42, late: 42 }

const ENDED_BY = { seedling: 'mowing', rooting: 'fourth mowing', established: null } as const

/** A phase after the wet one: deep and seldom, by roots and drying, once in the morning. */
function deepPhase(
  code: Exclude<PhaseCode, 'wet'>,
  asked: ProgrammeAsked,
  from: Ending,
  to: Ending,
  change: Partial<{ everyDays: number; timesADay: number; depthMm: number }> = {},
): PhasePlan {
  const { factor, readilyShare } = TURF[asked.season]
  const useMm = factor * asked.drying[code].usual
  const readily = Math.min(...asked.beds.map(({ texture }) => readilyShare * availableMm(texture, ROOTS_OF[code])))
  const [least, most] = EVERY_DAYS[code]
  const everyDays = change.everyDays ?? Math.min(most, Math.max(least, Math.floor(readily / Math.max(0.1, useMm))))
  const timesADay = change.timesADay ?? 1
  const depthMm = change.depthMm ?? everyDays * (code === 'established' ? Math.min(WEEKLY_MM / 7, useMm) : useMm)
  const days = code === 'established' ? ESTABLISHED_DAYS : between(from, to)
  const zones = asked.beds.map((bed) =>
    zoneWatering(
      bed,
      bed.supply && bed.hours.length
        ? spreadHours(bed.hours, timesADay).map((hour) => ({ hour, depthMm: depthMm / timesADay }))
        : [],
      Math.ceil(days / everyDays),
    ),
  )
  return {
    code,
    from,
    to: code === 'established' ? null : to,
    endedBy: ENDED_BY[code],
    everyDays,
    timesADay,
    depthMm: depthMm / timesADay,
    zones,
    litres: zones.reduce((sum, { litres }) => sum + litres, 0),
  }
}

/** The phase that a day after sowing is in; the first before it is sown. */
export const phaseAt = ({ phases }: Pick<WateringProgramme, 'phases'>, day: number): PhasePlan =>
  phases.findLast(({ from }) => Math.round(from.middle) <= day) ?? phases[0]!

/**
 * Waterings from sowing until the lawn stands, by phase: how often, at which hours, how many minutes a zone, and what that
 * holds. Each phase ends by what is seen, and is dated by the season with its spread.
 * @returns undefined where there is no zone
 * @source turf handbooks for the phases; seed zone and root zone after FAO-56; the rest own, named above
 */
export function wateringProgramme(asked: ProgrammeAsked): WateringProgramme | undefined {
  const { beds, wetBy, stepDown, up, tall, mow, fourthMow } = asked
  if (!beds.length) return undefined
  // Who steps down deeper does so from emergence on; six weeks of mornings are six weeks.
  const wetEnds: Ending = wetBy === 'six weeks' ? SIX_WEEKS : stepDown === 'deeper' ? up : tall
  const wet = beds.map((bed) => wetZone(bed, asked, wetEnds.middle))
  const wetZones = beds.map((bed, i) => zoneWatering(bed, wet[i]!.day.cycles, Math.max(1, wetEnds.middle)))
  const most = Math.max(...wet.map(({ day }) => day.cycles.length))
  const phases: PhasePlan[] = [
    {
      code: 'wet',
      from: SOWN,
      to: wetEnds,
      endedBy: wetBy === 'six weeks' ? 'six weeks' : stepDown === 'deeper' ? 'up' : 'leaf',
      everyDays: 1,
      timesADay: most,
      depthMm: Math.max(0, ...wetZones.flatMap(({ cycles }) => cycles.map(({ depthMm }) => depthMm))),
      zones: wetZones,
      litres: wetZones.reduce((sum, { litres }) => sum + litres, 0),
    },
  ]
  const follows = (ending: Ending) => (ending.middle > wetEnds.middle ? ending : undefined)
  if (stepDown === 'weekly') phases.push(deepPhase('established', asked, wetEnds, wetEnds))
  else {
    const seedlingEnds = follows(mow)
    if (seedlingEnds)
      phases.push(
        deepPhase(
          'seedling',
          asked,
          wetEnds,
          seedlingEnds,
          stepDown === 'deeper' ? { everyDays: 1, timesADay: 1, depthMm: DEEPER_MM } : {},
        ),
      )
    const rootingFrom = seedlingEnds ?? wetEnds
    const rootingEnds = follows(fourthMow)
    if (rootingEnds) phases.push(deepPhase('rooting', asked, rootingFrom, rootingEnds))
    phases.push(deepPhase('established', asked, rootingEnds ?? rootingFrom, rootingEnds ?? rootingFrom))
  }
  const worst = wet.reduce((dry, zone) => (zone.day.lowest < dry.day.lowest ? zone : dry))
  return { up, mow, fourthMow, phases, wet, worst: worst.id }
}
