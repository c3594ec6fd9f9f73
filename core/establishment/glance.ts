import { daysBetween, type Day } from '../measure/calendar'
import type { Outlook } from './outlook'
import type { YearsOfTurf } from './lasting'
import type { SowingDay } from './sowingDay'
import type { DatedWindow } from './window'

/** What a plan needs to know of its season; small enough to come with a list. */
export interface Glance {
  years: number
  windows: DatedWindow[]
  growing: DatedWindow[]
  rainShare: number | null
  lasting?: YearsOfTurf | undefined
  band: { lowC: number; highC: number }
  /**
   * The sowing day asked for, with the ground where it is driest in the days of work before it; null when it lies
   * outside of what is shown.
   */
  sowing: {
    of100: number
    dormant: boolean
    mow: SowingDay['mow']
    up: SowingDay['mow']
    /** Days until the fourth mowing. */
    fourthMow: number | null
    soilC: number
    groundLeft: number
    /** What keeps the bed moist until nearly all is up; null where water is not followed. */
    water: SowingDay['water']
  } | null
}

/** An outlook without what only a chart shows: glances at any sowing day are made of it. A tenth of its size. */
export interface Brief extends Omit<Glance, 'sowing'> {
  first: Day
  /**
   * Good years of 100, 1 for dormant, soil, water in the ground, first mowing, emergence, fourth mowing, and mm and times of
   * water of each day.
   */
  days: [number, 0 | 1, number, number, Waits, Waits, number | null, [number, number] | null][]
}
/** Days in an early, a middle and a late year. */
type Waits = [number, number, number] | null

const toWaits = (waits: SowingDay['mow']): Waits => (waits ? [waits.early, waits.middle, waits.late] : null)
const fromWaits = (waits: Waits): SowingDay['mow'] =>
  waits ? { early: waits[0], middle: waits[1], late: waits[2] } : null

/**
 * Days until half of the seed is up, in an early, a middle and a late year; null where it is not up in half of them.
 */
const upOf = ({ up50, up50Early, up50Late }: SowingDay): SowingDay['mow'] =>
  up50 === null ? null : { early: up50Early ?? up50, middle: up50, late: up50Late ?? up50 + 14 }

/** Torn, cored and levelled within so many days before the seed. @source own */
const WORK_DAYS = 4

function dayOf({ sowing, soilC, groundLeft }: Outlook, i: number): Glance['sowing'] {
  const day = sowing[i]
  const driest = Math.min(...groundLeft.slice(Math.max(0, i - WORK_DAYS), i + 1))
  return day
    ? {
        of100: day.chance.of100,
        dormant: day.dormantGood !== null,
        mow: day.mow,
        up: upOf(day),
        fourthMow: day.fourthMow,
        soilC: soilC.median[i]!,
        groundLeft: driest,
        water: day.water,
      }
    : null
}

const whatLasts = ({ years, windows, growing, rainShare, band, lasting }: Omit<Glance, 'sowing'>) => ({
  years,
  ...(lasting ? { lasting } : {}),
  windows,
  growing,
  rainShare,
  band,
})

/** @param sowOn day asked for; none where none is chosen */
export const glanceOf = (outlook: Outlook, sowOn: Day | null): Glance => ({
  ...whatLasts(outlook),
  sowing: sowOn ? dayOf(outlook, daysBetween(outlook.first, sowOn)) : null,
})

export const briefOf = (outlook: Outlook): Brief => ({
  ...whatLasts(outlook),
  first: outlook.first,
  days: outlook.sowing.map((_, i) => {
    const { of100, dormant, soilC, groundLeft, mow, up, fourthMow, water } = dayOf(outlook, i)!
    const told: [number, number] | null = water && [water.mmADay, water.timesADay]
    return [of100, dormant ? 1 : 0, soilC, groundLeft, toWaits(mow), toWaits(up), fourthMow, told]
  }),
})

/** The same glance as of the outlook that the brief was made of. */
export function glanceOfBrief(brief: Brief, sowOn: Day | null): Glance {
  const day = sowOn ? brief.days[daysBetween(brief.first, sowOn)] : undefined
  if (!day) return { ...whatLasts(brief), sowing: null }
  const [of100, dormant, soilC, groundLeft, mow, up, fourthMow, water] = day
  return {
    ...whatLasts(brief),
    sowing: {
      of100,
      dormant: dormant === 1,
      soilC,
      groundLeft,
      mow: fromWaits(mow),
      up: fromWaits(up),
      fourthMow,
      water: water && { mmADay: water[0], timesADay: water[1] },
    },
  }
}
