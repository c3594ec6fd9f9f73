import { surveyOver } from '../site/survey'
import type { ZoneSurvey } from '../site/zone'
import { clockAheadH } from '../measure/clock'
import { addDays, type Day } from '../measure/calendar'
import { NEW_IRRIGATION_ZONE, supplyOf, type IrrigationZone } from '../water/irrigation'
import {
  wateringProgramme,
  type Ending,
  type ProgrammeAsked,
  type WateredBed,
  type WateringProgramme,
} from '../water/programme'
import type { FirmRecord, LawnRecord } from './records'
import { ROUNDS_A_DAY } from './decision/practiceFigures'
import type { Practices } from './decision/practices'
import { timesWatered, zoneSurveysOf } from './lawn'
import { RELEASING_MOWINGS } from '../establishment/growth'
import { movedBy } from '../learning/height'
import type { SeasonKnown, Sown } from './season'
import type { SeenEnds } from './seenGrowth'
import type { PlanSettings } from './settings'

/** An irrigation zone as the programme goes by it. */
export interface WateredZone extends IrrigationZone {
  /** What it waters, m². */
  watersM2: number
  /** Nobody told of it: it stands for a zone of the lawn. */
  assumed: boolean
}

/** Hours of the clock at which seed is watered: none late in the evening. @source turf handbooks */
const FIRST_HOUR = { timer: 5, people: 6 } as const
const LAST_HOUR = { 'until late afternoon': 18, 'early evening too': 20 } as const
/** When somebody who is out by day is there. @source own */
const [LEAVES_AT, BACK_AT] = [8, 16]

const KIND_OF = { sprinklers: 'sprinklers', hose: 'hose', none: 'none' } as const

/** Irrigation zones of the ground of a job; one a zone of the lawn where nobody told of any. */
export function irrigationOf({ water }: Pick<LawnRecord, 'water'>, zones: readonly ZoneSurvey[]): WateredZone[] {
  const areaOf = (zoneId: string | null) =>
    zones.reduce((sum, { id, areaM2 }) => sum + (zoneId === null || id === zoneId ? areaM2 : 0), 0)
  const told = (water.irrigation ?? []).flatMap((zone): WateredZone[] => {
    const areaM2 = zone.areaM2 ?? areaOf(zone.zoneId)
    return areaM2 > 0 ? [{ ...zone, watersM2: areaM2, assumed: false }] : []
  })
  if (told.length) return told
  return zones.map(({ id, name, areaM2 }) => ({
    ...NEW_IRRIGATION_ZONE,
    id,
    name,
    kind: water.source === null ? 'hose' : KIND_OF[water.source],
    zoneId: id,
    watersM2: areaM2,
    assumed: true,
  }))
}

/** Hours of the clock at which a zone may be watered and somebody or a timer is there to do it. */
function hoursOf(
  { water }: LawnRecord,
  { timer }: WateredZone,
  { wateringHours, wateringRounds }: Practices,
  sowOn: Day,
): number[] {
  const banned = water.restriction === 'ban' && (water.restrictedUntil === null || water.restrictedUntil > sowOn)
  if (banned) return []
  const there = (hour: number) =>
    timer !== 'none' ||
    (ROUNDS_A_DAY[wateringRounds] > 0 && hour >= LEAVES_AT && hour < BACK_AT) ||
    (water.homeWhen === 'mornings and evenings'
      ? hour < LEAVES_AT || hour >= BACK_AT
      : water.homeWhen === 'seldom'
        ? hour < LEAVES_AT
        : true)
  const allowed = (hour: number) => !water.hours?.length || water.hours.some(([from, to]) => hour >= from && hour < to)
  return Array.from({ length: 24 }, (_, hour) => hour).filter(
    (hour) =>
      hour >= (timer === 'none' ? FIRST_HOUR.people : FIRST_HOUR.timer) &&
      hour <= LAST_HOUR[wateringHours] &&
      there(hour) &&
      allowed(hour),
  )
}

/** What is planned of a job's ground so far. */
export interface WateringGiven {
  lawn: LawnRecord
  firm: Pick<FirmRecord, 'timeZone'>
  practices: Practices
  settings: PlanSettings
  sowOn: Day
}

/** Clock hours ahead of the sun on a day, whole. */
const aheadOf = ({ timeZone }: Pick<FirmRecord, 'timeZone'>, { lonDeg }: LawnRecord, day: Day): number =>
  timeZone === undefined || lonDeg === undefined ? 0 : Math.round(clockAheadH(timeZone, lonDeg, day))

const daysOf = (wait: Ending | null, from: Ending, days: number): Ending =>
  wait ?? { early: from.early + days, middle: from.middle + days, late: from.late + days }

/** Days from emergence to 25 mm of leaf, and between mowings, where the season does not say. @source own */
const [TALL_AFTER, MOW_AFTER, FOURTH_AFTER] = [10, 14, 28]

/** The beds of the irrigation zones of what is sown, with who waters them. */
export function wateredBeds({ lawn, firm, practices, settings, sowOn }: WateringGiven): WateredBed[] {
  const zones = zoneSurveysOf(lawn, sowOn)
  const aheadH = aheadOf(firm, lawn, sowOn)
  const times = timesWatered(lawn, practices)
  return irrigationOf(lawn, zones).map((zone): WateredBed => {
    const over = zones.filter(({ id }) => zone.zoneId === null || id === zone.zoneId)
    const survey = surveyOver(over.length ? over : zones, lawn.texture)
    return {
      id: zone.id,
      name: zone.name,
      areaM2: zone.watersM2,
      texture: lawn.texture,
      sun: survey.sun,
      cover: settings.coverMm > 0 ? settings.coverMaterial : 'none',
      coverMm: settings.coverMm,
      slopeShare: survey.slopeShare ?? 0,
      supply: supplyOf(zone, zone.watersM2),
      hours: hoursOf(lawn, zone, practices, sowOn),
      aheadH,
      mostTimes: zone.timer === 'none' && times !== null ? Math.max(0, Math.floor(times)) : null,
    }
  })
}

const NOTHING_SEEN: SeenEnds = { shortDay: undefined, tallDay: undefined, lag: undefined, mowings: [] }
const seenOn = (day: number): Ending => ({ early: day, middle: day, late: day })
const each = ({ early, middle, late }: Ending, of: (day: number) => number): Ending => ({
  early: of(early),
  middle: of(middle),
  late: of(late),
})

/** Days on which phases end: by the season, until it is seen. */
function endsOf(sown: Sown, up: Ending, { shortDay = 0, tallDay, lag, mowings }: SeenEnds) {
  const bySeason = daysOf(sown.tall, up, TALL_AFTER)
  const moved = (of: Ending) => (lag ? movedBy(of, lag.days, lag.on) : of)
  // What was mown stood an inch and more.
  const [mown = Infinity] = mowings
  const tall =
    tallDay === undefined
      ? each(moved(bySeason), (day) => Math.min(day, mown))
      : seenOn(Math.min(tallDay, mown, Math.max(bySeason.middle, shortDay)))
  const mowBySeason = daysOf(sown.mow, bySeason, MOW_AFTER)
  const mow = mowings.length ? seenOn(mown) : each(moved(mowBySeason), (day) => Math.max(day, tall.middle))
  const after = sown.fourthMow === null ? FOURTH_AFTER : sown.fourthMow - mowBySeason.middle
  const fourth = mowings[RELEASING_MOWINGS - 1]
  return { bySeason, tall, mow, fourthMow: fourth === undefined ? daysOf(null, mow, after) : seenOn(fourth) }
}

/**
 * The watering programme of a sowing, in hours of the clock.
 * @param seen ends its phases before the season does
 * @returns undefined where the season is not worked out that far, or seed does not come up in half of the years
 */
export function wateringOfJob(
  given: WateringGiven,
  season: SeasonKnown,
  warm: boolean,
  seen: SeenEnds = NOTHING_SEEN,
): WateringProgramme | undefined {
  const { practices, sowOn } = given
  const sown = season.sownAt?.(sowOn)
  if (!sown || sown.up50 === null || sown.dormantGood !== null) return undefined
  const up: Ending = { early: sown.up50Early ?? sown.up50, middle: sown.up50, late: sown.up50Late ?? sown.up50 + 14 }
  const { bySeason, tall, mow, fourthMow } = endsOf(sown, up, seen)
  const drying = (from: Ending, to: Ending) =>
    season.dryingOver?.(addDays(sowOn, from.middle), Math.max(1, to.middle - from.middle))
  const days: Partial<Record<keyof ProgrammeAsked['drying'], ReturnType<typeof drying>>> = {
    // By what it was planned for, unless it lasts longer: a ruler laid in the grass changes no hour that was told the client.
    wet: drying(seenOn(0), bySeason.middle > tall.middle ? bySeason : tall),
    seedling: drying(tall, mow),
    rooting: drying(mow, fourthMow),
    established: drying(fourthMow, daysOf(null, fourthMow, FOURTH_AFTER)),
  }
  if (!days.wet) return undefined
  return wateringProgramme({
    beds: wateredBeds(given),
    wetBy: practices.wetBy,
    stepDown: practices.stepDown,
    up,
    tall,
    mow,
    fourthMow,
    drying: {
      wet: days.wet,
      seedling: days.seedling ?? days.wet,
      rooting: days.rooting ?? days.wet,
      established: days.established ?? days.wet,
    },
    season: warm ? 'warm' : 'cool',
  })
}
