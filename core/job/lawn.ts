import type { GrassCode } from '../grass/grasses'
import type { Day } from '../measure/calendar'
import { mainGrass, surveyOver, type Application, type Survey } from '../site/survey'
import { surveyOfZone, type Zone, type ZoneSurvey } from '../site/zone'
import type { Watering } from '../water/topLayer'
import { ROUNDS_A_DAY } from './decision/practiceFigures'
import type { Practices } from './decision/practices'
import { operationOf } from './operations/registry'
import type { Planning } from './planningFigures'
import type { LawnRecord, Mark } from './records'

const NOTHING_MEASURED = { areaM2: null, sunByMonthH: null }

/** Zones in the order of the list. */
export const zonesOf = ({ zones }: Pick<LawnRecord, 'zones'>): [id: string, zone: Zone][] =>
  Object.entries(zones).sort(([, a], [, b]) => a.order - b.order || (a.name < b.name ? -1 : 1))

/** Zones as the plan reads them on a day; those that still lack something are left out. */
export const zoneSurveysOf = (lawn: Pick<LawnRecord, 'zones' | 'measured'>, day: Day): ZoneSurvey[] =>
  zonesOf(lawn).flatMap(([id, zone]) => surveyOfZone(id, zone, lawn.measured[id] ?? NOTHING_MEASURED, day) ?? [])

/** The whole lawn as the plan reads it; undefined while something is missing. */
export function surveyOf(lawn: Pick<LawnRecord, 'zones' | 'measured' | 'texture'>, day: Day): Survey | undefined {
  const zones = zoneSurveysOf(lawn, day)
  return zones.length && zones.length === Object.keys(lawn.zones).length ? surveyOver(zones, lawn.texture) : undefined
}

/** The grass most of the lawn is to have; undefined while no zone says. */
export const grassOf = (lawn: Pick<LawnRecord, 'zones' | 'measured'>): GrassCode | undefined =>
  mainGrass(
    zonesOf(lawn).flatMap(([id, { grass }]) => (grass ? [{ grass, areaM2: lawn.measured[id]?.areaM2 ?? 1 }] : [])),
  )

/** A ban without an end is taken to last. */
const NO_END = '2199-12-31' as Day

/**
 * Times a day that somebody is there to water: as often as the client says they can, and as the firm comes by. Without
 * water nobody can; null where the client was not asked.
 */
export function timesWatered(
  { water }: Pick<LawnRecord, 'water'>,
  { wateringRounds }: Pick<Practices, 'wateringRounds'>,
): number | null {
  if (water.source === 'none') return 0
  return water.timesADay === null ? null : water.timesADay + ROUNDS_A_DAY[wateringRounds]
}

/** How the bed will be watered; as told where nobody asked who can. */
export const wateringOf = (
  lawn: Pick<LawnRecord, 'water'>,
  practices: Pick<Practices, 'wateringRounds'>,
): Watering => ({
  timesADay: timesWatered(lawn, practices) ?? 'as told',
  bannedUntil: lawn.water.restriction === 'ban' ? (lawn.water.restrictedUntil ?? NO_END) : null,
})

/** Whoever looked at the lawn found its lines marked: what was asked for, and what is drawn. */
export const isLocated = ({ access, features }: Pick<LawnRecord, 'access' | 'features'>): boolean =>
  access.services === 'located' && Object.values(features).every(({ kind, located }) => kind !== 'buried' || located)

export const isIrrigated = ({ water }: Pick<LawnRecord, 'water'>): boolean => water.source === 'sprinklers'

/** What marks of other jobs put down, with the wait that labels of its kind ask for. */
function appliedBy(marks: readonly Mark[], planning: Planning): Application[] {
  return marks.flatMap(({ key, doneOn }) => {
    const label = operationOf(key)?.keepsSeedOff
    if (!label) return []
    const { ingredient, waitDays } = label
    return [{ ingredient, appliedOn: doneOn, waitDays: typeof waitDays === 'number' ? waitDays : planning[waitDays] }]
  })
}

/** Everything put on the lawn that is known of, by whatever job or hand. */
export const putOn = (
  { applications, marksElsewhere }: Pick<LawnRecord, 'applications' | 'marksElsewhere'>,
  planning: Planning,
): Application[] => [...applications, ...appliedBy(marksElsewhere, planning)]
