import { say, type Message } from '../../explain/message'
import { wateringNeed } from '../../materials/volume'
import { figure } from '../../measure/figure'
import { ROUNDS_A_DAY } from '../decision/practiceFigures'
import { crewHours, visitHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { USUAL_WET_DAYS, type Part, type WetPhase } from '../parts'
import { isHard } from './coring'
import { onTheDay, operation, SEEDBEDS, SEEDED } from './definition'

/** Water of the first watering, mm: damp to an inch. @source own */
export const FIRST_WATERING_MM = 6.35
/** Water that softens ground for tines, mm. @source own */
const SOFTENING_MM = 20
/** Hard ground is watered on four days, each with less: three of the week before, and the day before. @source trade */
const [HARD_TURNS, HARD_TURN_MM, DAYS_BETWEEN] = [4, 8, 2]
const isHardIn = (parts: readonly Part[]): boolean => parts.some(({ survey, planning }) => isHard(survey, planning))
/** Days from the first soaking to the last. */
const soakSpanDays = (parts: readonly Part[]): number => (isHardIn(parts) ? (HARD_TURNS - 1) * DAYS_BETWEEN : 0)
/** Said where fewer days are left. */
const squeezed = (parts: readonly Part[], left: number): Message =>
  say('operations.soakingsWantDays', { turns: HARD_TURNS, days: soakSpanDays(parts), left })
/** What opens ground, which has to be neither dry nor wet for it. */
const OPENED = ['core', 'fork', 'loosen']
const RESTRICTIONS = say('operations.localWateringRestrictionsCome')

const waterAhead = operation({
  code: 'waterAhead',
  order: 100,
  name: say('operations.waterAheadName'),
  done: say('operations.waterAheadDone'),
  mark: 'visit',
  phase: 'work',
  preferredDay: -2,
  spread: { days: soakSpanDays, squeezed },
  weight: 0.5,
  why: say('operations.waterAheadWhy'),
  check: say('operations.waterAheadCheck'),
  caution: RESTRICTIONS,
  programmes: [...SEEDBEDS, 'level'],
  addable: true,
  dispensable: true,
  wanted: (_, { extent, has }) => extent.dryGround && OPENED.some(has),
  lags: [
    { from: 'waterAhead', to: 'core', least: 1, most: 3, why: say('operations.waterHasToSink') },
    { from: 'waterAhead', to: 'dethatch', least: 1, why: say('operations.waterHasToSinkIn') },
    { from: 'waterAhead', to: 'fork', least: 1, most: 3, why: say('operations.waterHasToSinkInBefore') },
    { from: 'waterAhead', to: 'loosen', least: 1, most: 3, why: say('operations.waterHasToSinkInBeforeLoosening') },
  ],
  soaks: true,
  brief: (part) => {
    const hard = isHardIn([part])
    return {
      settings: say('operations.inTurnsThatDo', {
        depth: figure('waterMm', hard ? HARD_TURN_MM : SOFTENING_MM),
        turns: hard ? HARD_TURNS : 1,
      }),
      gates: [],
      hours: crewHours(say('operations.preSoakTheSoil'), part.survey.areaM2, [
        { what: say('operations.settingOut'), passes: hard ? HARD_TURNS : 1, rateM2PerH: RATES.broadcast },
      ]),
    }
  },
})

/** The same figures as When tells for the day. */
const keptWet = ({ mmADay, timesADay, clientTimes }: WetPhase, rounds: number): Message =>
  say('operations.keptWetUntilUp', {
    depth: figure('waterMm', mmADay),
    times: Math.max(1, Math.round(timesADay)),
    client:
      clientTimes === null
        ? 'unasked'
        : clientTimes + rounds === 0
          ? 'nobody'
          : clientTimes + rounds + 0.5 < timesADay
            ? 'less'
            : 'enough',
    clientTimes: clientTimes ?? 0,
    rounds,
  })

const roundsOf = ({ practices }: Pick<Part, 'practices'>): number => ROUNDS_A_DAY[practices.wateringRounds]

const water = operation({
  code: 'water',
  order: 260,
  name: say('operations.waterName'),
  done: say('operations.waterDone'),
  mark: 'visit',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.waterWhy'),
  check: say('operations.waterCheck'),
  caution: RESTRICTIONS,
  programmes: [...SEEDED, 'level', 'winter'],
  wanted: (_, { extent }) => !extent.dormant,
  after: ['cover', 'rake', 'sow', 'lift'],
  lags: [
    { from: 'sow', to: 'water', least: 0, most: 0, why: say('operations.onTheDayOf') },
    { from: 'lift', to: 'water', least: 0, most: 0, why: say('operations.wateredInAtOnce'), fromFirst: true },
  ],
  brief: ({ survey, wet, practices }) => ({
    settings: say('operations.withinTheHourFine', {
      keptWet: wet ? keptWet(wet, roundsOf({ practices })) : '',
      FIRST_WATERING_MM: figure('waterMm', FIRST_WATERING_MM),
      areaM2: wateringNeed(survey.areaM2, FIRST_WATERING_MM),
    }),
    gates: [onTheDay(say('operations.waterOnSiteSprinklers'))],
    hours: crewHours(say('operations.waterIn'), survey.areaM2, [
      { what: say('operations.settingOut'), passes: 1, rateM2PerH: RATES.broadcast },
    ]),
  }),
})

/** Days on which a bed is kept wet. */
const wetDays = ({ wet }: Part): number => Math.round(wet?.days ?? USUAL_WET_DAYS)

/** What keeps the bed wet, besides the client: one line of the plan for all of its visits. */
const rounds = operation({
  code: 'waterRounds',
  order: 265,
  name: say('operations.waterRoundsName'),
  done: say('operations.waterRoundsDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 1,
  weight: 0.5,
  why: say('operations.waterRoundsWhy'),
  check: say('operations.waterRoundsCheck'),
  caution: RESTRICTIONS,
  programmes: [...SEEDED, 'winter'],
  dispensable: true,
  mayBeLate: true,
  partOfGround: true,
  overDays: (parts) => Math.max(...parts.map(wetDays)),
  wanted: (part, { extent }) => roundsOf(part) > 0 && !extent.dormant,
  after: ['water'],
  lags: [{ from: 'sow', to: 'waterRounds', least: 1, most: 4, why: say('operations.roundsBeginTheNextDay') }],
  brief: (part) => {
    const [aDay, days] = [roundsOf(part), wetDays(part)]
    return {
      settings: say('operations.roundsSettings', { times: aDay, days, visits: aDay * days }),
      gates: [],
      hours: visitHours(say('operations.waterRoundsName'), aDay * days, part.planning),
    }
  },
})

export const WATERING = [waterAhead, water, rounds] as const
