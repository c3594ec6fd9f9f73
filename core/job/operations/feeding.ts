import { say, type Message } from '../../explain/message'
import { analysisText, feedNeed, parseAnalysis } from '../../materials/feed'
import { feedMatter } from '../../materials/stock'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { Part } from '../parts'
import { yesOrNo } from './asked'
import { GRANULES, SPRAY } from './cautions'
import {
  onTheDay,
  operation,
  SEEDBEDS,
  SEEDED,
  type Brief,
  type LagPlan,
  type PlanAround,
  type Wanted,
} from './definition'
import { SEEDLING_SAFE } from './labels'
import { FED_ON_GRASS } from './questions'

/** Nitrogen of a light feed, g/m². @source own: a quarter of a pound on 1,000 ft² */
const LIGHT_N_G_PER_M2 = 1.2
/** Between two feedings of a sward for the winter, days. @source trade: monthly */
const WINTER_FEED_DAYS = 28
/** Mowings that a second feeding waits for, by practice. @source trade: the second week, about week eight, after the fourth */
const MOWINGS_BEFORE = { 'second week': 0, 'second mowing': 2, 'fourth mowing': 4 } as const
/** Soil at 50 mm under which roots take up no second feeding, °C. @source own */
const LEAST_FEED_SOIL_C = 8

const NO_FEED = say('operations.noFeedThatCan')

/** The starter of a plan, alone or with a seedling-safe pre-emergent on its granules. */
const starter =
  (preventer?: Message) =>
  ({ survey, settings, practices }: Part): Brief => {
    const analysis = parseAnalysis(settings.starterAnalysis)
    const passes = 2 - (practices.mixing === 'mixed' ? 1 : 0)
    const hours = crewHours(say('operations.feed'), survey.areaM2, [
      { what: say('operations.passes'), passes, rateM2PerH: RATES.broadcast },
    ])
    if (!analysis) return { settings: NO_FEED, gates: [], hours }
    const need = feedNeed(survey.areaM2, settings.starterNGPerM2, analysis)
    return {
      settings: say('operations.inTwoDirections', {
        starterAnalysis: settings.starterAnalysis,
        productRateGPerM2: figure('rateGPerM2', need.productRateGPerM2),
        product: need.product,
        preventer: preventer ?? '',
      }),
      gates: preventer
        ? [onTheDay(say('operations.theLabelNamesEvery')), onTheDay(say('operations.lowerOfTwoLimits'))]
        : [],
      hours,
    }
  }

const isCombined = ({ practices }: Part, { extent }: PlanAround): boolean =>
  practices.preventer === 'combined' && !extent.noSprays

function starterUsed({ survey, settings }: Part): Wanted[] {
  const analysis = parseAnalysis(settings.starterAnalysis)
  if (!analysis || !(settings.starterNGPerM2 > 0)) return []
  return [
    {
      matter: feedMatter(settings.starterAnalysis)!,
      words: say('operations.typed', { typed: settings.starterAnalysis }),
      amount: feedNeed(survey.areaM2, settings.starterNGPerM2, analysis).product.value,
    },
  ]
}

/** What is fed once seed is up, or where none is: the same without phosphorus. */
function laterAnalysis({ settings }: Part): string {
  const read = parseAnalysis(settings.starterAnalysis)
  if (!read?.p2o5Share) return settings.starterAnalysis
  return analysisText({ ...read, p2o5Share: 0 })
}

/** A feed of so much nitrogen, without phosphorus. */
export const fed =
  (title: Message, nGPerM2: (part: Part) => number) =>
  (part: Part): Brief => {
    const { survey } = part
    const told = laterAnalysis(part)
    const analysis = parseAnalysis(told)
    const hours = crewHours(title, survey.areaM2, [
      { what: say('operations.passes'), passes: 2, rateM2PerH: RATES.broadcast },
    ])
    if (!analysis) return { settings: NO_FEED, gates: [], hours }
    const need = feedNeed(survey.areaM2, nGPerM2(part), analysis)
    return {
      settings: say('operations.fedWith', {
        starterAnalysis: told,
        productRateGPerM2: figure('rateGPerM2', need.productRateGPerM2),
        product: need.product,
      }),
      gates: [],
      hours,
    }
  }

const afterMow = ({ practices, anchor }: LagPlan): boolean =>
  practices.feedWhen === 'after first mow' && anchor === 'seeding'

const begins = ({ settings, programme }: Part) => ({
  analysis: settings.starterAnalysis,
  nGPerM2: settings.starterNGPerM2,
  establishing: programme.anchor === 'seeding',
})
export const later = (nGPerM2: (part: Part) => number) => (part: Part) => ({
  analysis: laterAnalysis(part),
  nGPerM2: nGPerM2(part),
  establishing: false,
})
export const again = ({ settings }: Part): number => settings.starterNGPerM2 || LIGHT_N_G_PER_M2

const feed = operation({
  code: 'feed',
  order: 230,
  name: say('operations.feedName'),
  done: say('operations.feedDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.feedWhy'),
  check: say('operations.feedCheck'),
  caution: GRANULES,
  programmes: [...SEEDED, 'level'],
  records: ['passes'],
  setBy: 'starterNGPerM2',
  wanted: (part, around) => part.settings.starterNGPerM2 > 0 && !isCombined(part, around),
  wantsResults: true,
  day: ({ parts, anchor, mow }) =>
    parts[0]!.practices.feedWhen === 'after first mow' && anchor === 'seeding' ? mow + 1 : 0,
  lags: [
    {
      from: 'sow',
      to: 'feed',
      least: 0,
      most: 0,
      why: say('operations.onTheDayOf'),
      when: (plan) => plan.anchor === 'seeding' && !afterMow(plan),
    },
    {
      from: 'lift',
      to: 'feed',
      least: 0,
      most: 0,
      why: say('operations.onTheDayOf'),
      fromFirst: true,
      when: ({ anchor }) => anchor === 'dressing',
    },
    { from: 'mow', to: 'feed', least: 0, most: 10, why: say('operations.theFirmFeedsAfter'), when: afterMow },
  ],
  putsDown: 'granules',
  feeds: begins,
  uses: 'feed',
  demand: starterUsed,
  brief: starter(),
})

/** Starter and pre-emergent on one granule: the limits of both hold. */
const starterPreventer = operation({
  code: 'starterPreventer',
  order: 235,
  name: say('operations.starterPreventerName'),
  done: say('operations.starterPreventerDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.starterPreventerWhy'),
  check: say('operations.feedCheck'),
  caution: SPRAY,
  programmes: SEEDED,
  records: ['passes'],
  setBy: 'starterNGPerM2',
  wanted: (part, around) => part.settings.starterNGPerM2 > 0 && isCombined(part, around),
  wantsResults: true,
  lags: [{ from: 'sow', to: 'starterPreventer', least: 0, most: 7, why: say('operations.atSowingOrWithin') }],
  putsDown: 'granules',
  feeds: begins,
  preEmergent: true,
  keepsSeedOff: SEEDLING_SAFE,
  uses: 'feed',
  demand: starterUsed,
  brief: starter(say('operations.theStarterCarriesA')),
})

/** Ryegrass for the winter is fed once it is up: fed with the seed, the turf below grows against it. */
const winterFeed = operation({
  code: 'winterFeed',
  order: 315,
  name: say('operations.winterFeedName'),
  done: say('operations.winterFeedDone'),
  mark: 'machine',
  phase: 'after',
  preferredDay: 32,
  weight: 0.3,
  why: say('operations.winterFeedWhy'),
  check: say('operations.feedCheck'),
  caution: GRANULES,
  programmes: ['winter'],
  asks: FED_ON_GRASS,
  records: ['passes'],
  setBy: 'starterNGPerM2',
  wanted: ({ settings }) => settings.starterNGPerM2 > 0,
  day: ({ up }) => up + 24,
  after: ['green'],
  lags: [{ from: 'green', to: 'winterFeed', least: 21, most: 28, why: say('operations.threeToFourWeeks') }],
  putsDown: 'granules',
  feeds: later(again),
  uses: 'feed',
  brief: fed(say('operations.winterFeedName'), again),
})

const recoveryFeed = operation({
  code: 'recoveryFeed',
  order: 310,
  name: say('operations.recoveryFeedName'),
  done: say('operations.recoveryFeedDone'),
  mark: 'machine',
  phase: 'after',
  preferredDay: 14,
  weight: 0.1,
  why: say('operations.recoveryFeedWhy'),
  caution: GRANULES,
  programmes: ['level'],
  asks: FED_ON_GRASS,
  records: ['passes'],
  after: ['lift'],
  day: ({ dressingDays }) => dressingDays + 14,
  neverTooLate: true,
  lags: [{ from: 'lift', to: 'recoveryFeed', least: 7, most: 28, why: say('operations.growthHasToBegin') }],
  putsDown: 'granules',
  feeds: later(() => LIGHT_N_G_PER_M2),
  wantsGrowth: true,
  uses: 'feed',
  brief: fed(say('operations.recoveryFeedName'), () => LIGHT_N_G_PER_M2),
})

const feedAgain = operation({
  code: 'feedAgain',
  order: 360,
  name: say('operations.feedAgainName'),
  done: say('operations.feedAgainDone'),
  mark: 'machine',
  phase: 'after',
  preferredDay: 56,
  weight: 0.1,
  why: say('operations.feedAgainWhy'),
  caution: GRANULES,
  programmes: [...SEEDBEDS, 'winter'],
  addable: true,
  asks: [
    yesOrNo({
      code: 'used',
      asks: say('visits.feedUsed'),
      expects: say('visits.feedUsedExpects'),
      condition: say('visits.feedUsedCondition'),
      // Fed in the second week, it is not waited for.
      when: ({ practices }) => practices.feedAgain !== 'second week',
      right: true,
      otherwise: { state: 'hold', text: say('visits.feedUsedNot') },
    }),
    ...FED_ON_GRASS,
  ],
  records: ['passes'],
  day: ({ mow, fourthMow, up, parts }) => {
    const { feedAgain } = parts[0]!.practices
    return feedAgain === 'second week' ? up + 10 : feedAgain === 'second mowing' ? Math.max(56, mow) : fourthMow + 3
  },
  after: ['green'],
  wantsTurns: { of: 'mow', least: ({ feedAgain }) => MOWINGS_BEFORE[feedAgain], words: say('operations.mowings') },
  lags: [
    {
      from: 'sow',
      to: 'feedAgain',
      least: 28,
      why: say('operations.theFirstFeedIs'),
      when: ({ practices }) => practices.feedAgain !== 'second week',
    },
    {
      from: 'green',
      to: 'feedAgain',
      least: 7,
      most: 21,
      why: say('operations.theFirmFeedsInThe'),
      when: ({ practices }) => practices.feedAgain === 'second week',
    },
    { from: 'winterFeed', to: 'feedAgain', least: WINTER_FEED_DAYS, why: say('operations.theFirstFeedIs') },
    {
      from: 'mow',
      to: 'feedAgain',
      least: 7,
      most: 62,
      why: say('operations.itGoesOnGrass'),
      when: ({ practices }) => practices.feedAgain === 'second mowing',
    },
    {
      from: 'mow',
      to: 'feedAgain',
      least: 21,
      most: 90,
      why: say('operations.threeMoreMowingsAbout'),
      when: ({ practices }) => practices.feedAgain === 'fourth mowing',
    },
  ],
  putsDown: 'granules',
  feeds: later(again),
  leastSoilC: LEAST_FEED_SOIL_C,
  uses: 'feed',
  brief: fed(say('operations.feedAgainName'), again),
})

export const FEEDING = [feed, starterPreventer, winterFeed, recoveryFeed, feedAgain] as const
