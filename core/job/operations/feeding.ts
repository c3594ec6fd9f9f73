import type { Gate } from '../../explain/judgement'
import { feedNeed, parseAnalysis } from '../../materials/feed'
import { feedMatter } from '../../materials/stock'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { Part } from '../parts'
import { GRANULES } from './cautions'
import { onTheDay, operation, RENOVATIONS, SEEDED, type Brief, type LagPlan, type Wanted } from './definition'

/** Nitrogen of a light feed, g/m². @source own: a quarter of a pound on 1,000 ft² */
const LIGHT_N_G_PER_M2 = 1.2
/** Days until the first feed of a sward for the winter is used up. @source own */
const WINTER_FEED_DAYS = 30

const PREVENTER: Record<Part['practices']['preventer'], string> = {
  none: '',
  apart: '',
  combined: ' The starter carries a seedling-safe preventer: the lower of feed limit and label rate holds.',
}
const NO_FEED = 'No feed that can be read: enter the analysis in Bring.'

function starter({ survey, settings, practices }: Part): Brief {
  const analysis = parseAnalysis(settings.starterAnalysis)
  const passes = 2 - (practices.mixing === 'mixed' ? 1 : 0)
  const hours = crewHours('Feed', survey.areaM2, [{ what: 'Passes', passes, rateM2PerH: RATES.broadcast }])
  if (!analysis) return { settings: [NO_FEED], gates: [], hours }
  const need = feedNeed(survey.areaM2, settings.starterNGPerM2, analysis)
  const gates: Gate[] =
    analysis.p2o5Share > 0 ? [onTheDay('phosphorus only where a soil test is short of it and local law allows')] : []
  return {
    settings: [
      `${settings.starterAnalysis}, `,
      figure('rateGPerM2', need.productRateGPerM2),
      ', ',
      need.product,
      ` in two directions.${PREVENTER[practices.preventer]}`,
    ],
    gates,
    hours,
  }
}

function starterUsed({ survey, settings }: Part): Wanted[] {
  const analysis = parseAnalysis(settings.starterAnalysis)
  if (!analysis || !(settings.starterNGPerM2 > 0)) return []
  return [
    {
      matter: feedMatter(settings.starterAnalysis)!,
      words: settings.starterAnalysis,
      amount: feedNeed(survey.areaM2, settings.starterNGPerM2, analysis).product.value,
    },
  ]
}

/** A feed of so much nitrogen, by the analysis of the plan or one without phosphorus. */
const fed =
  (title: string, nGPerM2: (part: Part) => number) =>
  (part: Part): Brief => {
    const { survey, settings } = part
    const analysis = parseAnalysis(settings.starterAnalysis)
    const hours = crewHours(title, survey.areaM2, [{ what: 'Passes', passes: 2, rateM2PerH: RATES.broadcast }])
    if (!analysis) return { settings: [NO_FEED], gates: [], hours }
    const need = feedNeed(survey.areaM2, nGPerM2(part), analysis)
    return {
      settings: [
        `${settings.starterAnalysis} or one without phosphorus, `,
        figure('rateGPerM2', need.productRateGPerM2),
        ', ',
        need.product,
        ' in two directions, watered in.',
      ],
      gates: [],
      hours,
    }
  }

const afterMow = ({ practices, anchor }: LagPlan): boolean =>
  practices.feedWhen === 'after first mow' && anchor === 'seeding'

const feed = operation({
  code: 'feed',
  order: 230,
  name: 'Feed',
  done: 'fed',
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why:
    'Nitrogen is nearly always short in a new seedbed. Phosphorus only where a soil test asks for it and ' +
    'local law allows.',
  check: 'What is left in the hopper agrees.',
  caution: GRANULES,
  programmes: [...SEEDED, 'level', 'winter'],
  records: ['passes'],
  setBy: 'starterNGPerM2',
  wanted: ({ settings }) => settings.starterNGPerM2 > 0,
  wantsResults: true,
  day: ({ parts, anchor, mow }) =>
    parts[0]!.practices.feedWhen === 'after first mow' && anchor === 'seeding' ? mow + 1 : 0,
  lags: [
    {
      from: 'sow',
      to: 'feed',
      least: 0,
      most: 0,
      why: 'on the day of sowing',
      when: (plan) => plan.anchor === 'seeding' && !afterMow(plan),
    },
    {
      from: 'lift',
      to: 'feed',
      least: 0,
      most: 0,
      why: 'on the day of sowing',
      fromFirst: true,
      when: ({ anchor }) => anchor === 'dressing',
    },
    { from: 'mow', to: 'feed', least: 0, most: 10, why: 'the firm feeds after the first mow', when: afterMow },
  ],
  putsDown: 'granules',
  uses: 'feed',
  demand: starterUsed,
  brief: starter,
})

const recoveryFeed = operation({
  code: 'recoveryFeed',
  order: 310,
  name: 'Recovery feed',
  done: 'fed',
  mark: 'machine',
  phase: 'after',
  preferredDay: 14,
  weight: 0.1,
  why:
    'Light and often while turf grows through: every two weeks, then monthly. Foliar feed stays on the leaf a' +
    ' day before it is watered in.',
  caution: GRANULES,
  programmes: ['level'],
  records: ['passes'],
  after: ['lift'],
  day: ({ dressingDays }) => dressingDays + 14,
  lags: [{ from: 'lift', to: 'recoveryFeed', least: 7, most: 28, why: 'growth has to begin' }],
  putsDown: 'granules',
  wantsGrowth: true,
  uses: 'feed',
  brief: fed('Recovery feed', () => LIGHT_N_G_PER_M2),
})

const feedAgain = operation({
  code: 'feedAgain',
  order: 360,
  name: 'Second feeding',
  done: 'fed again',
  mark: 'machine',
  phase: 'after',
  preferredDay: 56,
  weight: 0.1,
  why:
    'When the first feed is used up: about eight weeks, by its release up to ninety days. Never for more ' +
    'ground than was measured.',
  caution: GRANULES,
  programmes: [...RENOVATIONS, 'winter'],
  addable: true,
  records: ['passes'],
  day: ({ parts, mow }) =>
    Math.max(parts.every(({ programme }) => programme.code === 'winter') ? WINTER_FEED_DAYS : 56, mow),
  after: ['mow'],
  lags: [
    { from: 'sow', to: 'feedAgain', least: 28, why: 'the first feed is used up' },
    {
      from: 'mow',
      to: 'feedAgain',
      least: 0,
      most: 62,
      why: 'it goes on grass that has been mown, while the first feed is just used up',
    },
  ],
  putsDown: 'granules',
  wantsGrowth: true,
  uses: 'feed',
  brief: fed('Second feeding', ({ settings }) => settings.starterNGPerM2 || LIGHT_N_G_PER_M2),
})

export const FEEDING = [feed, recoveryFeed, feedAgain] as const
