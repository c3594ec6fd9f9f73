import { say, type Message } from '../../explain/message'
import type { Worked } from '../../explain/working'
import { figure } from '../../measure/figure'
import { blendWords } from '../../seed/blends'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { seedOf, soilOf, type Part } from '../parts'
import { yesOrNo } from './asked'
import { SERVICES } from './cautions'
import { operation, SEEDBEDS, SEEDED, type LagRule } from './definition'
import { noGaps } from './questions'

const walked = (title: Message, { survey }: Part): Worked =>
  crewHours(title, survey.areaM2, [{ what: say('operations.walkingIt'), passes: 1, rateM2PerH: RATES.inspect }])
/** A quarter of an hour on the telephone. */
const called = (title: Message): Worked => crewHours(title, 0, [])

const FINE_SEEDS_PER_G = 2000
/** Squares that hold 15 to 30 seedlings, mm. @source own*/
const squareMm = ({ grass }: Part): number => (grass.seedsPerG > FINE_SEEDS_PER_G ? 25 : 50)

const LABORATORY = say('operations.theLaboratoryTakesThat')
const soilTest = operation({
  code: 'soilTest',
  order: 30,
  name: say('operations.soilTestName'),
  done: say('operations.soilTestDone'),
  mark: 'visit',
  phase: 'before',
  preferredDay: -21,
  weight: 0.1,
  why: say('operations.soilTestWhy'),
  check: say('operations.soilTestCheck'),
  samples: true,
  programmes: [...SEEDBEDS, 'level'],
  addable: true,
  dispensable: true,
  wanted: (_, { extent }) => !extent.soilTested,
  lags: [
    { from: 'soilTest', to: 'sow', least: 'testLead', why: LABORATORY },
    { from: 'soilTest', to: 'lift', least: 'testLead', why: LABORATORY },
  ],
  brief: (part) => ({
    settings: say('operations.n15To20Plugs', { value: figure('depthMm', 101.6) }),
    gates: [],
    hours: walked(say('operations.soilTest'), part),
  }),
})

const order = operation({
  code: 'order',
  order: 50,
  name: say('operations.orderName'),
  done: say('operations.orderDone'),
  mark: 'call',
  phase: 'before',
  preferredDay: -14,
  weight: 0.1,
  why: say('operations.orderWhy'),
  check: say('operations.orderCheck'),
  programmes: [...SEEDED, 'level', 'winter'],
  orders: true,
  lags: [
    { from: 'order', to: 'sow', least: 'seedLead', why: say('operations.seedTakesThatLong') },
    { from: 'order', to: 'delivery', least: 'soilLead', why: say('operations.soilTakesThatLong') },
    { from: 'order', to: 'scalp', least: 'hireLead', why: say('operations.machinesAreHiredAhead') },
  ],
  brief: (part) => {
    const seed = seedOf(part)
    const { volumeM3 } = soilOf(part)
    return {
      settings: say('operations.orderSettings', {
        materials: seed
          ? say('operations.orderSeed', { seedKg: figure('massKg', seed.product.value), blend: blendWords(part.seed) })
          : say('operations.orderMaterials'),
        soil: volumeM3 ? say('operations.orderSoil', { volumeM3: figure('volumeM3', volumeM3) }) : '',
      }),
      gates: [],
      hours: called(say('operations.orderAndHire')),
    }
  },
})

const MACHINES = ['core', 'fork', 'loosen', 'relay', 'dethatch'] as const
const locate = operation({
  code: 'locate',
  order: 80,
  name: say('operations.locateName'),
  done: say('operations.locateDone'),
  mark: 'call',
  phase: 'before',
  preferredDay: -8,
  weight: 0.2,
  why: say('operations.locateWhy'),
  check: say('operations.locateCheck'),
  caution: SERVICES,
  programmes: [...SEEDED, 'level'],
  locates: true,
  wanted: (_, { has }) => MACHINES.some(has),
  lags: MACHINES.map((to): LagRule => ({
    from: 'locate',
    to,
    least: 'locateLead',
    most: 14,
    why: say('operations.threeWorkingDaysFor'),
  })),
  brief: () => ({
    settings: say('operations.reportTheWorkAnd'),
    gates: [],
    hours: called(say('operations.locateServices')),
  }),
})

const check = operation({
  code: 'check',
  order: 270,
  name: say('operations.checkName'),
  done: say('operations.checkDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 3,
  weight: 1,
  why: say('operations.checkWhy'),
  check: say('operations.checkCheck'),
  programmes: [...SEEDED, 'winter'],
  wanted: (_, { extent }) => !extent.dormant,
  watchesSeedlings: true,
  after: ['sow'],
  lags: [
    {
      from: 'sow',
      to: 'check',
      least: 'checkFirst',
      most: 'checkLast',
      why: say('operations.seedIsSwollenBy'),
    },
  ],
  brief: (part) => ({
    settings: say('operations.earlyAfternoonTopDark', { value: figure('depthMm', 10) }),
    gates: [],
    hours: walked(say('operations.firstCheck'), part),
  }),
})

const green = operation({
  code: 'green',
  order: 290,
  name: say('operations.greenName'),
  done: say('operations.greenDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 12,
  weight: 0.3,
  why: say('operations.greenWhy'),
  check: say('operations.greenCheck'),
  programmes: [...SEEDED, 'winter'],
  addable: true,
  day: ({ up }) => Math.max(4, up),
  seesEmergence: true,
  watchesSeedlings: true,
  after: ['sow'],
  lags: [
    {
      from: 'sow',
      to: 'green',
      least: ({ firstGreen }) => firstGreen?.early ?? 4,
      most: ({ firstGreen }) => firstGreen && firstGreen.late + 7,
      why: say('operations.seedHasToCome'),
    },
  ],
  brief: (part) => ({
    settings: say('operations.squaresOfFiveIn', { square: figure('depthMm', squareMm(part)) }),
    gates: [],
    hours: walked(say('operations.germinationCheck'), part),
  }),
})

const close = operation({
  code: 'close',
  inspects: true,
  order: 370,
  name: say('operations.closeName'),
  done: say('operations.closeDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 63,
  weight: 0.1,
  why: say('operations.closeWhy'),
  check: say('operations.closeCheck'),
  programmes: [...SEEDED, 'level'],
  addable: true,
  asks: [
    yesOrNo({
      code: 'pull',
      asks: say('visits.closeHold'),
      expects: say('visits.closeHoldExpects'),
      condition: say('visits.closeHoldCondition'),
      right: true,
      otherwise: { state: 'risk', text: say('visits.closeHoldNot') },
    }),
    noGaps('risk', say('visits.gapsClose')),
  ],
  day: ({ anchor, dressingDays, mow }) => (anchor === 'dressing' ? dressingDays + 42 : Math.max(63, mow + 30)),
  after: ['mow', 'nip'],
  lags: [{ from: 'sow', to: 'close', least: 42, why: say('operations.sixWeeksAtThe') }],
  brief: (part) => ({
    settings: say('operations.coverGapsColourAnd'),
    gates: [],
    hours: walked(say('operations.finalInspection'), part),
  }),
})

/** From a spring sowing to the first heat, days. @source own: April to July */
const TO_SUMMER_DAYS = 80
const summerCare = operation({
  code: 'summerCare',
  order: 368,
  name: say('operations.summerCareName'),
  done: say('operations.summerCareDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: TO_SUMMER_DAYS,
  weight: 0.05,
  why: say('operations.summerCareWhy'),
  check: say('operations.summerCareCheck'),
  programmes: SEEDED,
  wanted: ({ grass }, { extent }) => grass.season === 'cool' && extent.springSown === true,
  asks: [
    yesOrNo({
      code: 'noon',
      asks: say('visits.summerNoon'),
      expects: say('visits.summerNoonExpects'),
      condition: say('visits.summerNoonCondition'),
      ofTheDay: true,
      right: false,
      otherwise: { state: 'risk', text: say('visits.summerNoonNot') },
    }),
  ],
  watchesSeedlings: true,
  after: ['mow'],
  lags: [{ from: 'sow', to: 'summerCare', least: 50, most: 130, why: say('operations.rootsAreShort') }],
  brief: (part) => ({
    settings: say('operations.walkAtNoon', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [],
    hours: walked(say('operations.summerCareHours'), part),
  }),
})

const nextSeason = operation({
  code: 'nextSeason',
  order: 380,
  name: say('operations.nextSeasonName'),
  done: say('operations.nextSeasonDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 330,
  weight: 0.01,
  why: say('operations.nextSeasonWhy'),
  programmes: SEEDBEDS,
  addable: true,
  asks: [
    yesOrNo({
      code: 'thinned',
      asks: say('visits.nextThinned'),
      expects: say('visits.nextThinnedExpects'),
      condition: say('visits.nextThinnedCondition'),
      right: false,
      otherwise: { state: 'risk', text: say('visits.nextThinnedNot') },
    }),
  ],
  after: ['close'],
  lags: [{ from: 'sow', to: 'nextSeason', least: 180, most: 400, why: say('operations.itHasToHaveStood') }],
  brief: (part) => ({
    settings: say('operations.coverCountedAsIn'),
    gates: [],
    hours: walked(say('operations.nextSeasonsCount'), part),
  }),
})

export const VISITS = [soilTest, order, locate, check, green, summerCare, close, nextSeason] as const
