import { planningOf } from '#core/job/planningFigures'
import { growsFrom } from '#core/job/states'
import { AS_TOLD } from '#core/water/topLayer'
import { oddsInputOf, oddsInputsByZone, type OddsInput } from '#core/job/oddsInput'
import { grassByCode, type GrassCode } from '#core/grass/grasses'
import { pureSeed } from '#core/seed/blends'
import type { Day } from '#core/measure/calendar'
import type { Ground } from '#core/soil/soilCourse'
import { groundOf as groundOfJob, jobOf, type Lawn } from '#contract/lawn'
import type { AtWork } from '../records/firms'
import type { StationRecord } from '../records/stations'

/** Cover of a bed that nothing is known of, mm. @source own */
const USUAL_COVER_MM = 5

/** What a season is computed for: a lawn, one of its zones, or the home station's own ground. */
export interface Subject extends OddsInput {
  place: string
  /** Above the sea, m; null where nobody said. */
  heightM: number | null
  /** Day that seed went down on, or is to; null for none. */
  sowOn: Day | null
}

/** The season of a lawn. */
export const subjectOf = (lawn: Lawn, { coastal }: StationRecord, { firm, today }: AtWork): Subject => ({
  place: lawn.client,
  heightM: lawn.heightM,
  sowOn: growsFrom(jobOf(lawn)),
  ...oddsInputOf(
    jobOf(lawn),
    groundOfJob(lawn),
    { today, practices: firm.practices, planning: planningOf(firm.planning), feedRules: firm.feedRules },
    coastal,
  ),
})

/** Each zone by itself, with its own grass and exposure, where there are several. */
export const zoneSubjects = (lawn: Lawn, { coastal }: StationRecord, { firm, today }: AtWork) =>
  oddsInputsByZone(
    jobOf(lawn),
    groundOfJob(lawn),
    { today, practices: firm.practices, planning: planningOf(firm.planning), feedRules: firm.feedRules },
    coastal,
  )

/** Ground that a station and its probe stand on. */
export const groundOf = ({ latDeg, coastal }: StationRecord): Ground => ({
  latDeg,
  coastal,
  texture: 'loam',
  cover: 'thin turf',
  sun: 'full',
})

export function homeSubject(station: StationRecord, code: GrassCode): Subject {
  return {
    place: station.name,
    seed: pureSeed(code),
    mowingMm: grassByCode(code).mowingMm[0],
    heightM: station.heightM,
    sowOn: null,
    stand: undefined,
    risk: { covering: 'covered', slopeShare: 0, bed: { cover: 'compost', coverMm: USUAL_COVER_MM, watering: AS_TOLD } },
    ground: groundOf(station),
  }
}
