import { say, type Message } from '../../explain/message'
import { figure } from '../../measure/figure'
import type { Worked } from '../../explain/working'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { Part } from '../parts'
import { yesOrNo, type VisitQuestion } from './asked'
import { SPRAY } from './cautions'
import {
  MOWN_FOUR_TIMES,
  onTheDay,
  operation,
  SEEDBEDS,
  SEEDED,
  type Brief,
  type Charge,
  type Definition,
} from './definition'
import { NON_SELECTIVE, SEEDLING_SAFE, SELECTIVE } from './labels'

/** Hours of a spraying over a part. */
export const sprayed = (title: Message, { survey }: Part): Worked =>
  crewHours(title, survey.areaM2, [{ what: say('operations.spraying'), passes: 1, rateM2PerH: RATES.spray }])
export const LICENCE = onTheDay(say('operations.licenceOfWhoSprays'))

const LEAF_DRY = onTheDay(say('operations.leafDryWind2'))
const REGROWTH = onTheDay(say('operations.regrowthSeen'))

/** A non-selective herbicide over all of a part. */
const blanket =
  (title: Message, ...more: Brief['gates']) =>
  (part: Part): Brief => ({
    settings: say('operations.blanketOverGuideLines', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [LEAF_DRY, LICENCE, ...more],
    hours: sprayed(title, part),
  })

const herbicide = ({ name, groundM2 }: { name: Message; groundM2: number }): Charge[] => [
  { what: name, price: 'herbicide', amount: figure('areaM2', groundM2) },
]

/** What every application of a non-selective herbicide has in common. */
const KILL = {
  mark: 'spray',
  phase: 'work',
  caution: SPRAY,
  putsDown: 'spray',
  wantsGrowth: true,
  keepsSeedOff: NON_SELECTIVE,
  charges: herbicide,
} as const satisfies Partial<Definition>

const hardWeeds = operation({
  code: 'hardWeeds',
  order: 10,
  name: say('operations.hardWeedsName'),
  done: say('operations.hardWeedsDone'),
  mark: 'spray',
  phase: 'before',
  preferredDay: -35,
  weight: 0.2,
  check: say('operations.hardWeedsCheck'),
  why: say('operations.hardWeedsWhy'),
  caution: SPRAY,
  programmes: [],
  addable: true,
  dispensable: true,
  lags: [
    { from: 'hardWeeds', to: 'sow', least: 28, why: say('operations.theLabelKeepsSeed') },
    { from: 'hardWeeds', to: 'kill1', least: 0, why: say('operations.selectiveBeforeTheBlanket') },
  ],
  putsDown: 'spray',
  wantsGrowth: true,
  keepsSeedOff: SELECTIVE,
  brief: (part) => ({
    settings: say('operations.selectiveOverOrIn', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [LICENCE],
    hours: sprayed(say('operations.treatHardWeeds'), part),
  }),
})

const killAutumn = operation({
  ...KILL,
  code: 'killAutumn',
  order: 20,
  name: say('operations.killAutumnName'),
  done: say('operations.killAutumnDone'),
  preferredDay: -240,
  weight: 0.02,
  why: say('operations.killAutumnWhy'),
  check: say('operations.killAutumnCheck'),
  programmes: ['kill'],
  autumnBefore: true,
  mayBeLate: true,
  wanted: ({ grass }, { extent }) => grass.season === 'warm' && extent.autumnAhead,
  lags: [{ from: 'killAutumn', to: 'kill1', least: 90, most: 300, why: say('operations.aWinterLiesBetween') }],
  brief: blanket(say('operations.killAutumnName')),
})

const kill1 = operation({
  ...KILL,
  code: 'kill1',
  order: 40,
  name: say('operations.kill1Name'),
  done: say('operations.kill1Done'),
  preferredDay: -27,
  weight: 0.3,
  why: say('operations.kill1Why'),
  check: say('operations.kill1Check'),
  programmes: ['kill'],
  closesLawn: true,
  lags: [
    {
      from: 'kill1',
      to: 'kill2',
      least: 'killAgain',
      most: 35,
      why: say('operations.whatRegrowsHasTo'),
    },
  ],
  brief: blanket(say('operations.kill1Name')),
})

const AFTER_SPRAY = say('operations.theLabelIntervalAnd')
const kill2 = operation({
  ...KILL,
  code: 'kill2',
  order: 60,
  name: say('operations.kill2Name'),
  done: say('operations.kill2Done'),
  preferredDay: -12,
  weight: 0.3,
  why: say('operations.kill2Why'),
  check: say('operations.kill2Check'),
  programmes: ['kill'],
  dispensable: true,
  lags: [
    { from: 'kill2', to: 'kill3', least: 10, most: 28, why: say('operations.whatRegrowsAgainHas') },
    {
      from: 'kill2',
      to: 'scalp',
      least: 'labelWait',
      most: 21,
      why: AFTER_SPRAY,
      when: ({ has, coarse }) => !has('kill3') && !coarse,
    },
    {
      from: 'kill2',
      to: 'scalp',
      least: 'coarseWait',
      most: 31,
      why: say('operations.coarseGrassesDieSlowly'),
      when: ({ has, coarse }) => !has('kill3') && coarse,
    },
  ],
  brief: blanket(say('operations.kill2Name'), REGROWTH),
})

const kill3 = operation({
  ...KILL,
  code: 'kill3',
  order: 70,
  name: say('operations.kill3Name'),
  done: say('operations.kill3Done'),
  preferredDay: -11,
  weight: 0.3,
  why: say('operations.kill3Why'),
  check: say('operations.kill3Check'),
  programmes: [],
  addable: true,
  dispensable: true,
  lags: [{ from: 'kill3', to: 'scalp', least: 'labelWait', most: 21, why: AFTER_SPRAY }],
  brief: blanket(say('operations.kill3Name'), REGROWTH),
})

const preventer = operation({
  code: 'preventer',
  order: 240,
  name: say('operations.preventerName'),
  done: say('operations.preventerDone'),
  mark: 'spray',
  phase: 'work',
  preferredDay: 0,
  weight: 0.3,
  why: say('operations.preventerWhy'),
  caution: SPRAY,
  programmes: SEEDED,
  addable: true,
  wanted: ({ practices }) => practices.preventer === 'apart',
  lags: [{ from: 'sow', to: 'preventer', least: 0, most: 7, why: say('operations.atSowingOrWithin') }],
  putsDown: 'soilSpray',
  preEmergent: true,
  keepsSeedOff: SEEDLING_SAFE,
  brief: (part) => ({
    settings: say('operations.seedlingSafeMesotrioneOr', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [onTheDay(say('operations.theLabelNamesEvery'))],
    hours: sprayed(say('operations.preEmergentSafeOn'), part),
  }),
})

/** Weeds under this are no ground for a treatment. @source own: a weed in a hundred feet is dug out */
const NO_WEEDS = 0.005
/** Levelled turf is treated for weeds from so much of them on, so many days after the last dressing. @source own */
const [LEVEL_WEEDS, LEVEL_WEEDS_DAYS] = [0.02, 30]
/** Spots or all of it, and whether it takes. */
const JUDGED_BY_WEEDS: readonly VisitQuestion[] = [
  {
    code: 'weeds',
    asks: say('visits.weedShare'),
    expects: ({ planning }) => say('visits.weedShareExpects', { from: figure('share', planning.weedsAll, 2) }),
    condition: say('visits.weedShareCondition'),
    figure: { quantity: 'share', least: 0, most: 1 },
    judged(answer, { planning }) {
      const weeds = Number(answer)
      if (weeds < NO_WEEDS) return { state: 'hold', text: say('visits.weedShareNone') }
      const share = figure('share', weeds, 2)
      return {
        state: 'met',
        text:
          weeds < planning.weedsAll ? say('visits.weedShareSpots', { share }) : say('visits.weedShareAll', { share }),
      }
    },
  },
  yesOrNo({
    code: 'growing',
    asks: say('visits.weedGrowing'),
    expects: say('visits.weedGrowingExpects'),
    condition: say('visits.weedGrowingCondition'),
    ofTheDay: true,
    right: true,
    otherwise: { state: 'hold', text: say('visits.weedGrowingNot') },
  }),
]

const weedControl = operation({
  code: 'weedControl',
  order: 350,
  name: say('operations.weedControlName'),
  done: say('operations.weedControlDone'),
  mark: 'spray',
  phase: 'after',
  preferredDay: 55,
  weight: 0.1,
  why: say('operations.weedControlWhy'),
  caution: SPRAY,
  programmes: [...SEEDBEDS, 'level'],
  addable: true,
  // Where nothing is sown, only for weeds that are there.
  wanted: ({ programme, survey }) => programme.anchor === 'seeding' || survey.weedShare >= LEVEL_WEEDS,
  asks: JUDGED_BY_WEEDS,
  day: ({ anchor, dressingDays, fourthMow }) =>
    anchor === 'dressing' ? dressingDays + LEVEL_WEEDS_DAYS : fourthMow + 3,
  lags: [
    { from: 'mow', to: 'weedControl', least: 21, why: say('operations.threeMoreMowingsAbout') },
    { from: 'nip', to: 'weedControl', least: 14, why: say('operations.turfHasToStand') },
    { from: 'weedControl', to: 'close', least: 0, why: say('operations.theLastThingDone') },
  ],
  after: ['mow', 'nip'],
  wantsTurns: MOWN_FOUR_TIMES,
  putsDown: 'spray',
  wantsGrowth: true,
  keepsSeedOff: SELECTIVE,
  brief: (part) => ({
    settings: say('operations.selectiveByItsLabel'),
    gates: [LICENCE],
    hours: sprayed(say('operations.weedControlName'), part),
  }),
})

export const HERBICIDE = [hardWeeds, killAutumn, kill1, kill2, kill3, preventer, weedControl] as const
