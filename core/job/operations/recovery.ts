import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { yesOrNo } from './asked'
import { MOWER, SPRAY } from './cautions'
import { MOWN_FOUR_TIMES, onTheDay, operation, SEEDED } from './definition'
import { LICENCE, sprayed } from './herbicide'
import { HOLDS_AGAINST_A_TUG, noGaps, WASHED_IN } from './questions'

const clear = operation({
  code: 'clear',
  order: 120,
  name: say('operations.clearName'),
  done: say('operations.clearDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: say('operations.clearWhy'),
  check: say('operations.clearCheck'),
  programmes: ['winter'],
  records: ['passes'],
  after: ['scalp'],
  lags: [{ from: 'clear', to: 'sow', least: 0, most: 5, why: say('operations.leavesFallAgain') }],
  wantsDry: true,
  brief: ({ survey }) => ({
    settings: say('operations.leavesAndClippingsOff'),
    gates: [],
    hours: crewHours(say('operations.rakeOutLeaves'), survey.areaM2, [
      { what: say('operations.clearingByMower'), passes: 1, rateM2PerH: RATES.scalp },
    ]),
  }),
})

/** Days after sowing on which leaves first lie thick enough to come off. @source own: late October after September */
const LEAVES_DAYS = 35
const removeLeaves = operation({
  code: 'removeLeaves',
  order: 305,
  name: say('operations.removeLeavesName'),
  done: say('operations.removeLeavesDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: LEAVES_DAYS,
  weight: 0.1,
  why: say('operations.removeLeavesWhy'),
  check: say('operations.removeLeavesCheck'),
  caution: say('operations.removeLeavesCaution'),
  programmes: SEEDED,
  addable: true,
  asks: [
    yesOrNo({
      code: 'dry',
      asks: say('visits.leavesDry'),
      expects: say('visits.leavesDryExpects'),
      condition: say('visits.leavesDryCondition'),
      ofTheDay: true,
      right: true,
      otherwise: { state: 'hold', text: say('visits.leavesDryNot') },
    }),
    HOLDS_AGAINST_A_TUG,
  ],
  wanted: (_, { extent }) => extent.leavesFall,
  after: ['green'],
  neverTooLate: true,
  lags: [
    { from: 'sow', to: 'removeLeaves', least: 10, most: 75, why: say('operations.leavesDoNotLie') },
    { from: 'removeLeaves', to: 'close', least: 0, why: say('operations.theLastThingDone') },
  ],
  wantsDry: true,
  brief: ({ survey }) => ({
    settings: say('operations.blowerAtLowPower', { areaM2: figure('areaM2', survey.areaM2) }),
    gates: [],
    hours: crewHours(say('operations.removeLeaves'), survey.areaM2, [
      { what: say('operations.blowing'), passes: 1, rateM2PerH: RATES.inspect },
    ]),
  }),
})

/** Warm-season turf is mown so often a week for so many weeks, to spread instead of growing tall. @source trade: twice; own: four */
const [A_WEEK, WEEKS] = [2, 4]
const recoveryMow = operation({
  code: 'recoveryMow',
  order: 282,
  name: say('operations.recoveryMowName'),
  done: say('operations.recoveryMowDone'),
  mark: 'cut',
  phase: 'after',
  preferredDay: 12,
  weight: 0.1,
  why: say('operations.recoveryMowWhy'),
  check: say('operations.recoveryMowCheck'),
  caution: MOWER,
  programmes: ['level'],
  dispensable: true,
  mayBeLate: true,
  records: ['heightMm'],
  overDays: () => 7 * WEEKS,
  wanted: ({ grass }, { extent }) => grass.season === 'warm' && !extent.clientMows,
  after: ['nip'],
  day: ({ dressingDays }) => dressingDays + 12,
  lags: [
    { from: 'nip', to: 'recoveryMow', least: 3, most: 7, why: say('operations.twiceAWeekFromTheNip') },
    { from: 'recoveryMow', to: 'close', least: 21, why: say('operations.itHasToCloseFirst') },
  ],
  wantsDry: true,
  wantsGrowth: true,
  brief: ({ survey }) => ({
    settings: say('operations.recoveryMowSettings', {
      mowingHeightMm: figure('depthMm', survey.mowingHeightMm),
      times: A_WEEK,
      weeks: WEEKS,
    }),
    gates: [],
    hours: crewHours(say('operations.recoveryMowName'), survey.areaM2, [
      { what: say('operations.mowing'), passes: A_WEEK * WEEKS, rateM2PerH: RATES.scalp },
    ]),
  }),
})

/** Seedlings take a liquid feed from about ten days after they are up. @source trade: at cover off */
const LIQUID_AFTER_UP_DAYS = 10
const liquidFeed = operation({
  code: 'liquidFeed',
  order: 302,
  name: say('operations.liquidFeedName'),
  done: say('operations.liquidFeedDone'),
  mark: 'spray',
  phase: 'after',
  preferredDay: 20,
  weight: 0.1,
  why: say('operations.liquidFeedWhy'),
  caution: SPRAY,
  programmes: [],
  addable: true,
  asks: [
    yesOrNo({
      code: 'leaves',
      asks: say('visits.twoLeaves'),
      expects: say('visits.twoLeavesExpects'),
      condition: say('visits.twoLeavesCondition'),
      when: ({ programme }) => programme.anchor === 'seeding',
      right: true,
      otherwise: { state: 'hold', text: say('visits.twoLeavesNot') },
    }),
    yesOrNo({
      code: 'cycles',
      asks: say('visits.cyclesOff'),
      expects: say('visits.cyclesOffExpects'),
      condition: say('visits.cyclesOffCondition'),
      ofTheDay: true,
      right: true,
      otherwise: { state: 'hold', text: say('visits.cyclesOffNot') },
    }),
  ],
  after: ['green', 'nip'],
  day: ({ anchor, dressingDays, up }) => (anchor === 'dressing' ? dressingDays + 14 : up + LIQUID_AFTER_UP_DAYS),
  lags: [
    { from: 'green', to: 'liquidFeed', least: 5, why: say('operations.leavesHaveToTakeIt') },
    { from: 'nip', to: 'liquidFeed', least: 1, why: say('operations.leavesHaveToTakeIt') },
    { from: 'liquidFeed', to: 'wettingAgent', least: 2, why: say('operations.aDayOnTheLeaf') },
  ],
  putsDown: 'spray',
  wantsGrowth: true,
  brief: (part) => ({
    settings: say('operations.liquidFeedSettings', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [onTheDay(say('operations.labelNamesThisTurf'))],
    hours: sprayed(say('operations.liquidFeedName'), part),
  }),
})

const wettingAgent = operation({
  code: 'wettingAgent',
  order: 303,
  name: say('operations.wettingAgentName'),
  done: say('operations.wettingAgentDone'),
  mark: 'spray',
  phase: 'after',
  preferredDay: 21,
  weight: 0.1,
  why: say('operations.wettingAgentWhy'),
  check: say('operations.wettingAgentCheck'),
  caution: SPRAY,
  programmes: [],
  addable: true,
  asks: [WASHED_IN],
  after: ['green', 'nip'],
  day: ({ anchor, dressingDays, up }) => (anchor === 'dressing' ? dressingDays + 16 : up + LIQUID_AFTER_UP_DAYS + 2),
  lags: [
    { from: 'green', to: 'wettingAgent', least: 5, why: say('operations.leavesHaveToTakeIt') },
    { from: 'nip', to: 'wettingAgent', least: 1, why: say('operations.leavesHaveToTakeIt') },
  ],
  putsDown: 'soilSpray',
  brief: (part) => ({
    settings: say('operations.wettingAgentSettings', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [],
    hours: sprayed(say('operations.wettingAgentName'), part),
  }),
})

const regulator = operation({
  code: 'regulator',
  order: 330,
  name: say('operations.regulatorName'),
  done: say('operations.regulatorDone'),
  mark: 'spray',
  phase: 'after',
  preferredDay: 28,
  weight: 0.1,
  why: say('operations.regulatorWhy'),
  caution: SPRAY,
  programmes: [],
  addable: true,
  after: ['nip'],
  day: ({ anchor, dressingDays, fourthMow }) => (anchor === 'dressing' ? dressingDays + 28 : fourthMow + 7),
  asks: [noGaps('hold', say('visits.gapsRegulator'))],
  wantsTurns: MOWN_FOUR_TIMES,
  putsDown: 'spray',
  wantsGrowth: true,
  brief: (part) => ({
    settings: say('operations.overRateByThe', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [LICENCE],
    hours: sprayed(say('operations.regulatorName'), part),
  }),
})

export const RECOVERY = [clear, removeLeaves, recoveryMow, liquidFeed, wettingAgent, regulator] as const
