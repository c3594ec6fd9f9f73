import { addDays, daysBetween, type Day } from '../measure/calendar'
import { germinationBand, grassByCode } from '../grass/grasses'
import { mainOf, type Blend } from '../seed/blends'
import type { Normals } from '../weather/normals'
import { candidateDays } from './candidates'
import { growingRuns } from './growing'
import { dryingAbout, dryingOf, rainOnRecord, sownLately, type DryingDays } from './drying'
import { judgedOf } from './judged'
import { groundLeftOf, rainShareOf, sprinkledFrom, type Outlook } from './outlook'
import { quantile, SOWN_AHEAD, type Season } from './season'
import type { SeedbedRisk } from './sowing'
import type { YearsOfTurf } from './lasting'
import { sownDay, WET_PHASE_DAYS, type SowingDay, type SownDay } from './sowingDay'
import { datedWindow, oddsByDay, sowingWindows, type DatedWindow } from './window'

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
    /** Days until leaves stand at 25 mm. */
    tall: SowingDay['mow']
  } | null
  /** How beds dry about today; told of what was sown lately alone. */
  drying?: DryingDays
}

const dryingIn = ({ first, todayIndex, rainMm, et0Mm: { usual, dry, hot } }: Outlook): DryingDays =>
  dryingAbout(first, todayIndex, rainMm, (from, to) => ({
    usual: usual.slice(from, to),
    dry: dry.slice(from, to),
    hot: hot.slice(from, to),
  }))

/** An outlook without what only a chart shows: glances at any sowing day are made of it. A tenth of its size. */
export interface Brief extends Omit<Glance, 'sowing'> {
  first: Day
  /**
   * Good years of 100, 1 for dormant, soil, water in the ground, first mowing, emergence, fourth mowing, mm and times of
   * water, and leaves of 25 mm of each day.
   */
  days: [number, 0 | 1, number, number, Waits, Waits, number | null, [number, number] | null, Waits][]
}
/** Days in an early, a middle and a late year. */
type Waits = [number, number, number] | null

const toWaits = (waits: SowingDay['mow']): Waits => (waits ? [waits.early, waits.middle, waits.late] : null)
const fromWaits = (waits: Waits): SowingDay['mow'] =>
  waits ? { early: waits[0], middle: waits[1], late: waits[2] } : null

/**
 * Days until half of the seed is up, in an early, a middle and a late year; null where it is not up in half of them.
 */
const upOf = ({ up50, up50Early, up50Late }: SownDay): SowingDay['mow'] =>
  up50 === null ? null : { early: up50Early ?? up50, middle: up50, late: up50Late ?? up50 + 14 }

/** Torn, cored and levelled within so many days before the seed. @source own */
const WORK_DAYS = 4

/** @param soilC of the day, in the middle year @param groundLeft days up to it that are looked at, the day last */
const toldDay = (day: SownDay, soilC: number, groundLeft: readonly number[]): NonNullable<Glance['sowing']> => ({
  of100: day.chance.of100,
  dormant: day.dormantGood !== null,
  mow: day.mow,
  up: upOf(day),
  fourthMow: day.fourthMow,
  soilC,
  groundLeft: Math.min(...groundLeft.slice(-1 - WORK_DAYS)),
  water: day.water,
  tall: day.tall,
})

function dayOf({ sowing, soilC, groundLeft }: Outlook, i: number): Glance['sowing'] {
  const day = sowing[i]
  return day ? toldDay(day, soilC.median[i]!, groundLeft.slice(0, i + 1)) : null
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
  ...(sownLately(sowOn, addDays(outlook.first, outlook.todayIndex)) ? { drying: dryingIn(outlook) } : {}),
  sowing: sowOn ? dayOf(outlook, daysBetween(outlook.first, sowOn)) : null,
})

const briefDay = (day: NonNullable<Glance['sowing']>): Brief['days'][number] => {
  const { of100, dormant, soilC, groundLeft, mow, up, fourthMow, water, tall } = day
  const told: [number, number] | null = water && [water.mmADay, water.timesADay]
  return [of100, dormant ? 1 : 0, soilC, groundLeft, toWaits(mow), toWaits(up), fourthMow, told, toWaits(tall)]
}

export const briefOf = (outlook: Outlook): Brief => ({
  ...whatLasts(outlook),
  drying: dryingIn(outlook),
  first: outlook.first,
  days: outlook.sowing.map((_, i) => briefDay(dayOf(outlook, i)!)),
})

/**
 * The brief of a season for one sowing day, or none: the same as of its whole outlook, with one day in it. What a list
 * asks of a lawn, in a half of the time.
 * @param keptMm height the grass will be kept at, for the first mowing
 * @param sowOn null where no day is chosen
 */
export function briefAt(
  season: Season,
  blend: Blend,
  risk: SeedbedRisk,
  keptMm: number,
  normals: Normals,
  sowOn: Day | null,
  lasting?: YearsOfTurf,
): Brief {
  const shown = season.todayIndex + SOWN_AHEAD
  const i = sowOn ? daysBetween(season.first, sowOn) : -1
  const asked = i >= 0 && i < shown
  const judged = judgedOf(season, blend, risk, keptMm, { dryHours: false, toldDays: asked ? i + WET_PHASE_DAYS : 1 })
  const odds = oddsByDay(
    judged.years.map(({ whole }) => whole),
    shown,
  )
  const turf = grassByCode(mainOf(blend))
  const { lowC, highC } = germinationBand(turf)
  const candidate = candidateDays(season, turf.season, risk.winterColour === true, shown)
  const soilC = () =>
    Math.round(
      quantile(
        season.years.map(({ soil }) => soil.probeDailyC[i]!),
        0.5,
      ) * 100,
    ) / 100
  return {
    years: season.years.length,
    ...(lasting ? { lasting } : {}),
    windows: sowingWindows(odds, candidate, season.todayIndex, shown - 1).map((window) => datedWindow(window, season)),
    growing: growingRuns(season, turf.season),
    rainShare: rainShareOf(season, normals),
    band: { lowC, highC },
    ...(sownLately(sowOn, addDays(season.first, season.todayIndex))
      ? {
          drying: dryingAbout(season.first, season.todayIndex, rainOnRecord(season), (from, to) =>
            dryingOf(season, to, from),
          ),
        }
      : {}),
    first: asked ? sowOn! : season.first,
    days: asked
      ? [
          briefDay(
            toldDay(
              sownDay(judged, odds[i]!, i),
              soilC(),
              groundLeftOf(season, turf.season, i + 1, sprinkledFrom(season, risk)),
            ),
          ),
        ]
      : [],
  }
}

/** The same glance as of the outlook that the brief was made of. */
export function glanceOfBrief(brief: Brief, sowOn: Day | null): Glance {
  const day = sowOn ? brief.days[daysBetween(brief.first, sowOn)] : undefined
  const lasts = {
    ...whatLasts(brief),
    ...(brief.drying && sownLately(sowOn, brief.drying.today) ? { drying: brief.drying } : {}),
  }
  if (!day) return { ...lasts, sowing: null }
  const [of100, dormant, soilC, groundLeft, mow, up, fourthMow, water, tall] = day
  return {
    ...lasts,
    sowing: {
      of100,
      dormant: dormant === 1,
      soilC,
      groundLeft,
      mow: fromWaits(mow),
      up: fromWaits(up),
      fourthMow,
      water: water && { mmADay: water[0], timesADay: water[1] },
      tall: fromWaits(tall),
    },
  }
}
