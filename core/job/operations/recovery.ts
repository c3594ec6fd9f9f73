import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { SPRAY } from './cautions'
import { MOWN_FOUR_TIMES, onTheDay, operation, SEEDED } from './definition'
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
  day: ({ anchor, dressingDays, fourthMow }) => (anchor === 'dressing' ? dressingDays + 28 : fourthMow + 7),
  wantsTurns: MOWN_FOUR_TIMES,
  putsDown: 'spray',
  wantsGrowth: true,
  brief: (part) => ({
    settings: say('operations.overRateByThe', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [onTheDay(say('operations.noBarePatchLarger')), LICENCE],
    hours: sprayed(say('operations.regulatorName'), part),
  }),
})

export const RECOVERY = [clear, removeLeaves, regulator] as const
