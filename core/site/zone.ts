import type { Sun } from '../soil/soilCourse'
import { grassByCode, type GrassCode } from '../grass/grasses'
import type { SwardCode } from '../grass/swards'
import { daysBetween, type Day } from '../measure/calendar'
import { measureHollow, type HollowSurvey } from './hollow'
import { sunOn } from './sunYear'

export const WEARS = ['none', 'some', 'heavy'] as const
export const DRAINAGES = ['free', 'slow', 'standing'] as const
/**
 * Grubs under lifted turf: none seen, fewer than about 6 a square foot (65 a m²), or as many and more.
 * @source turf handbooks: 5 to 10 a square foot
 */
export const GRUBS = ['none', 'few', 'many'] as const
/** Turf, or a place where something was taken out: a stump, a trench, a bed. */
export const GROUNDS = ['turf', 'cut-out'] as const
export const STONES = ['none', 'few', 'many'] as const
export type Grubs = (typeof GRUBS)[number]
export type Wear = (typeof WEARS)[number]
export type Drainage = (typeof DRAINAGES)[number]

/**
 * A part of a lawn that is treated by itself, as it was found. Null is "not looked at yet". Shares are 0-1 of its
 * area.
 */
export interface Zone {
  name: string
  /** Its place in the list. */
  order: number
  areaFrom: 'taped' | 'drawn'
  areaTyped: string
  tapedM2: number | null
  /** How far the measuring may be out, 0-0.3. */
  errorShare: number
  sward: SwardCode | null
  /** Wanted. */
  grass: GrassCode | null
  desirableShare: number | null
  weedShare: number | null
  coarseShare: number | null
  bareShare: number | null
  /** Points counted for the cover: wanted, weeds, coarse, bare; none for an estimate. */
  counted: number[]
  barePatchy: boolean | null
  plugsMm: number[]
  /** How deep a screwdriver goes into moist soil. */
  driverMm: number[]
  penetrometerKPa: number[]
  mowingHeightMm: number | null
  /** Height the grass is to be kept at. */
  keptMm: number | null
  /** Typed hours of direct sun; they override what the plan gives. */
  sunHours: number | null
  slopeShare: number | null
  wear: Wear | null
  drainage: Drainage | null
  grubs: Grubs | null
  ground: (typeof GROUNDS)[number]
  stones: (typeof STONES)[number] | null
  /** Loose topsoil at a spade cut. */
  topsoilMm: number | null
  /** A finger pushes through the thatch. */
  thatchSoft: boolean | null
  coredOn: Day | null
  /** Swards that stand there mixed, each with its share of the grass, 0-1; empty where one stands alone. */
  swardMix: { sward: SwardCode; share: number }[]
  /** No hollows is an answer too. */
  levelsSeen: boolean
  hollows: HollowSurvey[]
}

/** What is worked out of the plan when a survey is saved. */
export interface ZoneMeasure {
  /** The area in force, m²; null where none is known. */
  areaM2: number | null
  /** Hours of sun in the middle of each twelfth of the year, as drawn. */
  sunByMonthH: number[] | null
}

export const NEW_ZONE: Omit<Zone, 'name' | 'order'> = {
  areaFrom: 'taped',
  areaTyped: '',
  tapedM2: null,
  errorShare: 0.03,
  sward: null,
  grass: null,
  desirableShare: null,
  weedShare: null,
  coarseShare: null,
  bareShare: null,
  counted: [],
  barePatchy: null,
  plugsMm: [],
  driverMm: [],
  penetrometerKPa: [],
  mowingHeightMm: null,
  keptMm: null,
  sunHours: null,
  slopeShare: null,
  wear: null,
  drainage: null,
  grubs: null,
  ground: 'turf',
  stones: null,
  topsoilMm: null,
  thatchSoft: null,
  coredOn: null,
  swardMix: [],
  levelsSeen: false,
  hollows: [],
}

/** Measuring errors people know. @source own */
export const ERROR_SHARES = { tape: 0.03, paced: 0.1, drawn: 0.02, walked: 0.08 } as const

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length

/** Bare all over, or dug out: there is no thatch in it and nothing to mow. */
export const nothingStands = ({ bareShare, ground }: Pick<Zone, 'bareShare' | 'ground'>): boolean =>
  bareShare === 1 || ground === 'cut-out'

/** Mean of the plugs, mm; null while none is measured. */
export const thatchMm = (zone: Zone): number | null =>
  nothingStands(zone) ? 0 : zone.plugsMm.length ? mean(zone.plugsMm) : null

/** Height it is mown at, mm: where nothing stands yet, what it is to be kept at, or the middle of what the wanted grass bears. */
function mownMm(zone: Zone): number | null {
  if (zone.mowingHeightMm !== null || !nothingStands(zone) || zone.grass === null) return zone.mowingHeightMm
  const [low, high] = grassByCode(zone.grass).mowingMm
  return zone.keptMm ?? (low + high) / 2
}

/** Hours of direct sun on a day: typed, else drawn; null where neither is known. */
export function sunHoursOn(zone: Zone, measure: ZoneMeasure, day: Day): number | null {
  return zone.sunHours ?? (measure.sunByMonthH && sunOn(measure.sunByMonthH, day))
}

/** Hours between the classes. @source turf handbooks: below 3 h no turf lasts; most grasses are at ease from 6 h */
export const SUN_CLASSES = { dense: 3, part: 6 } as const
export const sunClass = (hours: number): Sun =>
  hours < SUN_CLASSES.dense ? 'dense' : hours < SUN_CLASSES.part ? 'part' : 'full'

/** A zone with everything answered that a plan cannot do without. */
export interface ZoneSurvey {
  id: string
  name: string
  areaM2: number
  errorShare: number
  sward: SwardCode | null
  grass: GrassCode
  desirableShare: number
  weedShare: number
  coarseShare: number
  bareShare: number
  barePatchy: boolean | null
  thatchMm: number
  driverMm: number | null
  penetrometerKPa: number | null
  mowingHeightMm: number
  keptMm: number | null
  sunHours: number
  slopeShare: number | null
  wear: Wear | null
  drainage: Drainage | null
  grubs: Grubs | null
  ground: Zone['ground']
  stones: Zone['stones']
  topsoilMm: number | null
  thatchSoft: boolean | null
  /** Cored within the year before. */
  coredLately: boolean
  deepestMm: number
  hollowM3: number
  /** Ground under the measured hollows, m². */
  hollowM2: number
  levelsSeen: boolean
}

/** @returns the zone as the plan reads it; undefined while something it needs is missing */
export function surveyOfZone(id: string, zone: Zone, measure: ZoneMeasure, day: Day): ZoneSurvey | undefined {
  const { desirableShare, weedShare, coarseShare, bareShare, grass, hollows, driverMm, penetrometerKPa } = zone
  const [areaM2, thatch, mowingHeightMm] = [measure.areaM2, thatchMm(zone), mownMm(zone)]
  const sunHours = sunHoursOn(zone, measure, day)
  if (grass === null || desirableShare === null || weedShare === null || coarseShare === null || bareShare === null)
    return undefined
  if (areaM2 === null || thatch === null || mowingHeightMm === null || sunHours === null) return undefined
  const measured = hollows.map(measureHollow)
  const { name, errorShare, sward, barePatchy, keptMm, slopeShare, wear, drainage, grubs, levelsSeen } = zone
  return {
    id,
    name,
    errorShare,
    sward,
    barePatchy,
    keptMm,
    slopeShare,
    wear,
    drainage,
    grubs,
    // Surveys of before these were asked say nothing of them.
    ground: zone.ground ?? 'turf',
    stones: zone.stones ?? null,
    topsoilMm: zone.topsoilMm ?? null,
    thatchSoft: zone.thatchSoft ?? null,
    coredLately: Boolean(zone.coredOn && daysBetween(zone.coredOn, day) < 365),
    levelsSeen,
    areaM2,
    sunHours,
    mowingHeightMm,
    grass,
    desirableShare,
    weedShare,
    coarseShare,
    bareShare,
    thatchMm: thatch,
    driverMm: driverMm.length ? mean(driverMm) : null,
    penetrometerKPa: penetrometerKPa.length ? mean(penetrometerKPa) : null,
    deepestMm: Math.max(0, ...measured.map(({ deepestMm }) => deepestMm)),
    hollowM3: measured.reduce((sum, { volume }) => sum + volume.value, 0),
    hollowM2: measured.reduce((sum, hollow) => sum + hollow.areaM2, 0),
  }
}
