import { planningOf } from '../planning'
import { partsOf, type Part } from '../parts'
import { grassByCode } from '../../grass/grasses'
import { defaultSettings, type PlanSettings } from '../plan'
import { PROGRAMMES, type ProgrammeCode } from '../programmes'
import { DEFAULT_SCHOOLS, type Schools } from '../schools'
import { decideZone, type LawnFindings, type ZoneDecision } from '../decide'
import type { ZoneSurvey } from '../../site/zone'

/** A thin tall fescue lawn, as the tests find it unless they say otherwise. */
export const ZONE: ZoneSurvey = {
  id: 'z', name: 'Lawn', areaM2: 612, errorShare: 0.03, sward: 'TF', grass: 'TF', desirableShare: 0.56, weedShare: 0.33, coarseShare: 0.02, bareShare: 0.09, barePatchy: false,
  thatchMm: 18, driverMm: 60, penetrometerKPa: null, mowingHeightMm: 76, keptMm: null, sunHours: 8, slopeShare: 0, wear: 'none', drainage: 'free', deepestMm: 0, hollowM3: 0, hollowM2: 0, levelsSeen: true,
}
export const LAWN: LawnFindings = { ph: 6.4, timesADay: 3, irrigated: false, goal: 'thicker', winterOpen: true }
export const PLANNING_FIGURES = planningOf()

export const decided = (zone: Partial<ZoneSurvey> = {}, lawn: Partial<LawnFindings> = {}, kill: Schools['kill'] = 'by survey', planning = PLANNING_FIGURES): ZoneDecision =>
  decideZone({ ...ZONE, ...zone }, { ...LAWN, ...lawn }, { kill }, planning)

export interface Planned {
  programme?: ProgrammeCode
  zone?: Partial<ZoneSurvey>
  settings?: Partial<PlanSettings>
  schools?: Partial<Schools>
}

/** The parts of a plan for one zone. */
export function planned({ programme = 'overseed', zone = {}, settings = {}, schools = {} }: Planned = {}): Part[] {
  const ground = { ...ZONE, ...zone }
  const all = { ...DEFAULT_SCHOOLS, ...schools }
  const begun = defaultSettings({ grass: grassByCode(PROGRAMMES[programme].seed ?? ground.grass), desirableShare: ground.desirableShare, programme: PROGRAMMES[programme], schools: all })
  return partsOf([{ zone: ground, programme }], 'loam', { ...begun, ...settings }, all)
}
