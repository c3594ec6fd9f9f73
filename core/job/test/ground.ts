import type { Glance } from '../../establishment/glance'
import { planningOf } from '../planningFigures'
import { SHORT_WAY, type Way } from '../carrying'
import { partsOf, type Part } from '../parts'
import { grassByCode } from '../../grass/grasses'
import { defaultSettings, type PlanSettings } from '../settings'
import { PROGRAMMES, type ProgrammeCode } from '../decision/programmes'
import type { Practices } from '../decision/practices'
import { DEFAULT_PRACTICES } from '../decision/usualPractices'
import { decideZone, type LawnFindings, type ZoneDecision } from '../decision/decide'
import { toDay, type Day } from '../../measure/calendar'
import { LAGS, lagFor } from '../operations/lags'
import type { Lag } from '../schedule/network'
import type { ZoneSurvey } from '../../site/zone'
import { UNTOUCHED, type DoneWork, type ScheduleInput } from '../schedule/input'

/** A thin tall fescue lawn, as the tests find it unless they say otherwise. */
export const ZONE: ZoneSurvey = {
  id: 'z',
  name: 'Lawn',
  areaM2: 612,
  errorShare: 0.03,
  sward: 'TF',
  grass: 'TF',
  desirableShare: 0.56,
  weedShare: 0.33,
  coarseShare: 0.02,
  bareShare: 0.09,
  barePatchy: false,
  thatchMm: 18,
  driverMm: 60,
  penetrometerKPa: null,
  mowingHeightMm: 76,
  keptMm: null,
  sunHours: 8,
  slopeShare: 0,
  wear: 'none',
  drainage: 'free',
  grubs: null,
  ground: 'turf',
  stones: null,
  topsoilMm: null,
  thatchSoft: null,
  coredLately: false,
  deepestMm: 0,
  hollowM3: 0,
  hollowM2: 0,
  levelsSeen: true,
}
export const LAWN: LawnFindings = {
  ph: 6.4,
  timesADay: 3,
  irrigated: false,
  goal: 'thicker',
  noSprays: false,
  upkeep: null,
  mownBy: null,
  homeWhen: null,
  winterOpen: true,
  texture: 'loam',
}
export const PLANNING_FIGURES = planningOf()

export const decided = (
  zone: Partial<ZoneSurvey> = {},
  lawn: Partial<LawnFindings> = {},
  practices: Partial<Practices> = {},
  planning = PLANNING_FIGURES,
): ZoneDecision =>
  decideZone({ ...ZONE, ...zone }, { ...LAWN, ...lawn }, { ...DEFAULT_PRACTICES, ...practices }, planning)

export interface Planned {
  programme?: ProgrammeCode
  zone?: Partial<ZoneSurvey>
  settings?: Partial<PlanSettings>
  practices?: Partial<Practices>
  way?: Way
}

/** The parts of a plan for one zone. */
export function planned({
  programme = 'overseed',
  zone = {},
  settings = {},
  practices = {},
  way = SHORT_WAY,
}: Planned = {}): Part[] {
  const ground = { ...ZONE, ...zone }
  const all = { ...DEFAULT_PRACTICES, ...practices }
  const begun = defaultSettings({
    grass: grassByCode(PROGRAMMES[programme].seed?.(all) ?? ground.grass),
    desirableShare: ground.desirableShare,
    programme: PROGRAMMES[programme],
    practices: all,
  })
  return partsOf([{ zone: ground, programme }], { ...begun, ...settings }, { texture: 'loam', practices: all, way })
}

/** A season that is at its best on the eighteenth of September. */
export const GLANCE: Glance = {
  years: 30,
  band: { lowC: 10, highC: 18.3 },
  growing: [],
  rainShare: 1,
  sowing: {
    of100: 97,
    dormant: false,
    mow: { early: 26, middle: 30, late: 36 },
    up: { early: 7, middle: 9, late: 13 },
    fourthMow: 60,
    water: { mmADay: 4.2, timesADay: 2.8 },
    tall: null,
    groundLeft: 0.6,
    soilC: 20,
  },
  windows: [
    {
      from: toDay('2026-09-11'),
      to: toDay('2026-09-23'),
      best: toDay('2026-09-18'),
      chance: { of100: 97, low: 90, high: 99 },
      season: 'autumn',
      cut: false,
    },
  ],
}

export const TODAY = toDay('2026-09-08')
/** Work done and found as it should be. */
export const doneOn = (...work: [key: string, day: Day][]): Map<string, DoneWork> =>
  new Map(work.map(([key, day]) => [key, { day, passed: true }]))
/** Seed in the shed and lines known, so that tests of the work itself need no lead. */
const READY = { order: 'in the shed', locate: 'marked' }

/**
 * A plan to lay out: overseeding of the lawn above, sown in sixteen days, with seed in the shed and no lines in the
 * ground.
 */
export const scheduleInput = (change: Partial<ScheduleInput> = {}): ScheduleInput => ({
  ...UNTOUCHED,
  parts: planned(),
  planning: PLANNING_FIGURES,
  extent: { soilTested: true, dryGround: false, autumnAhead: false, dormant: false, leavesFall: false, added: [] },
  applications: [],
  sowOn: toDay('2026-09-24'),
  today: TODAY,
  firstMow: { early: 24, middle: 28, late: 34 },
  firstGreen: { early: 7, middle: 9, late: 13 },
  forecast: [],
  workingDays: [0, 1, 2, 3, 4, 5, 6],
  hoursADay: 99,
  done: new Map(),
  ...change,
  skipped: { ...READY, ...change.skipped },
})

/** Limits between operations as they hold for a plan with the usual practices and that season. */
export const lagsFor = (anchor: 'seeding' | 'dressing', { firstMow, firstGreen } = scheduleInput()): Lag[] =>
  LAGS.filter(
    ({ when }) => when?.({ practices: DEFAULT_PRACTICES, anchor, coarse: false, has: () => true }) ?? true,
  ).map((lag) => lagFor(lag, PLANNING_FIGURES, { firstMow, firstGreen }))
