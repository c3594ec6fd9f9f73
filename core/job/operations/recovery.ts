import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { MOWER, SPRAY } from './cautions'
import { onTheDay, operation, SEEDED } from './definition'
import { LICENCE, sprayed } from './herbicide'

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
  wanted: (_, { extent }) => extent.leavesFall,
  after: ['green'],
  lags: [
    { from: 'sow', to: 'removeLeaves', least: 10, most: 75, why: say('operations.leavesDoNotLie') },
    { from: 'removeLeaves', to: 'close', least: 0, why: say('operations.theLastThingDone') },
  ],
  wantsDry: true,
  brief: ({ survey }) => ({
    settings: say('operations.blowerAtLowPower', { areaM2: figure('areaM2', survey.areaM2) }),
    gates: [onTheDay(say('operations.leavesDrySeedlingsHold'))],
    hours: crewHours(say('operations.removeLeaves'), survey.areaM2, [
      { what: say('operations.blowing'), passes: 1, rateM2PerH: RATES.inspect },
    ]),
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
  day: ({ dressingDays }) => dressingDays + 28,
  putsDown: 'spray',
  wantsGrowth: true,
  brief: (part) => ({
    settings: say('operations.overRateByThe', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [onTheDay(say('operations.noBarePatchLarger')), LICENCE],
    hours: sprayed(say('operations.regulatorName'), part),
  }),
})

/** Days from an autumn sowing to the spring in which warm-season turf greens up. @source own: October to May */
const GREEN_UP_DAYS = 210
const springGreenUp = operation({
  code: 'springGreenUp',
  order: 365,
  name: say('operations.springGreenUpName'),
  done: say('operations.springGreenUpDone'),
  mark: 'cut',
  phase: 'after',
  preferredDay: GREEN_UP_DAYS,
  weight: 0.05,
  why: say('operations.springGreenUpWhy'),
  check: say('operations.springGreenUpCheck'),
  caution: MOWER,
  programmes: ['winter'],
  records: ['heightMm'],
  lags: [
    { from: 'sow', to: 'springGreenUp', least: 120, most: 300, why: say('operations.aWinterLiesBetween') },
    { from: 'mow', to: 'springGreenUp', least: 60, why: say('operations.theWinterSwardHas') },
  ],
  wantsDry: true,
  wantsGrowth: 'warm',
  brief: ({ survey }) => ({
    settings: say('operations.lowerTheMowerStep', { areaM2: figure('areaM2', survey.areaM2) }),
    gates: [onTheDay(say('operations.whereItIsSprayed'))],
    hours: crewHours(say('operations.springGreenUp'), survey.areaM2, [
      { what: say('operations.mowingLow'), passes: 2, rateM2PerH: RATES.scalp },
    ]),
  }),
})

export const RECOVERY = [clear, removeLeaves, regulator, springGreenUp] as const
