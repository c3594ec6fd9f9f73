import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { yesOrNo } from './asked'
import { GRANULES, MOWER, SPRAY } from './cautions'
import { onTheDay, operation } from './definition'
import { again, fed, later } from './feeding'
import { LICENCE, sprayed } from './herbicide'

/**
 * Spring, when the warm-season turf below is to take over from the winter's ryegrass: mown low, opened, taken out where it
 * will not go, and fed once the turf is green. @source turf handbooks, from memory
 */

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
  asks: [
    yesOrNo({
      code: 'half',
      asks: say('visits.springHalf'),
      expects: say('visits.springHalfExpects'),
      condition: say('visits.springHalfCondition'),
      right: true,
      otherwise: { state: 'hold', text: say('visits.springHalfNot') },
    }),
  ],
  wantsDry: true,
  wantsGrowth: 'warm',
  brief: ({ survey }) => ({
    settings: say('operations.lowerTheMowerStep', { areaM2: figure('areaM2', survey.areaM2) }),
    gates: [],
    hours: crewHours(say('operations.springGreenUp'), survey.areaM2, [
      { what: say('operations.mowingLow'), passes: 2, rateM2PerH: RATES.scalp },
    ]),
  }),
})

const thinRyegrass = operation({
  code: 'thinRyegrass',
  order: 366,
  name: say('operations.thinRyegrassName'),
  done: say('operations.thinRyegrassDone'),
  mark: 'machine',
  phase: 'after',
  preferredDay: GREEN_UP_DAYS + 10,
  weight: 0.05,
  why: say('operations.thinRyegrassWhy'),
  check: say('operations.thinRyegrassCheck'),
  caution: MOWER,
  programmes: ['winter'],
  records: ['passes'],
  dispensable: true,
  machine: () => 'dethatcher',
  after: ['springGreenUp'],
  lags: [{ from: 'springGreenUp', to: 'thinRyegrass', least: 5, most: 28, why: say('operations.itIsMownLowFirst') }],
  wantsDry: true,
  wantsGrowth: 'warm',
  brief: ({ survey }) => ({
    settings: say('operations.bladesAboveTheSoil', { areaM2: figure('areaM2', survey.areaM2) }),
    gates: [],
    hours: crewHours(say('operations.thinRyegrassName'), survey.areaM2, [
      { what: say('operations.directions'), passes: 1, rateM2PerH: RATES.dethatch },
      { what: say('operations.clearingByMower'), passes: 1, rateM2PerH: RATES.scalp },
    ]),
  }),
})

const sprayRyegrass = operation({
  code: 'sprayRyegrass',
  order: 367,
  name: say('operations.sprayRyegrassName'),
  done: say('operations.sprayRyegrassDone'),
  mark: 'spray',
  phase: 'after',
  preferredDay: GREEN_UP_DAYS + 28,
  weight: 0.05,
  why: say('operations.sprayRyegrassWhy'),
  check: say('operations.sprayRyegrassCheck'),
  caution: SPRAY,
  programmes: [],
  addable: true,
  after: ['springGreenUp'],
  lags: [{ from: 'springGreenUp', to: 'sprayRyegrass', least: 14, why: say('operations.heatMayDoItAlone') }],
  putsDown: 'spray',
  wantsGrowth: 'warm',
  brief: (part) => ({
    settings: say('operations.selectiveOverRyegrass', { areaM2: figure('areaM2', part.survey.areaM2) }),
    gates: [onTheDay(say('operations.turfHalfGreenBelow')), onTheDay(say('operations.labelNamesThisTurf')), LICENCE],
    hours: sprayed(say('operations.sprayRyegrassName'), part),
  }),
})

const springFeed = operation({
  code: 'springFeed',
  order: 369,
  name: say('operations.springFeedName'),
  done: say('operations.springFeedDone'),
  mark: 'machine',
  phase: 'after',
  preferredDay: GREEN_UP_DAYS + 35,
  weight: 0.05,
  why: say('operations.springFeedWhy'),
  check: say('operations.feedCheck'),
  caution: GRANULES,
  programmes: ['winter'],
  records: ['passes'],
  wanted: ({ settings }) => settings.starterNGPerM2 > 0,
  after: ['springGreenUp'],
  lags: [
    { from: 'springGreenUp', to: 'springFeed', least: 21, most: 70, why: say('operations.nitrogenFeedsRyegrass') },
    { from: 'thinRyegrass', to: 'springFeed', least: 7, why: say('operations.openedTurfIsFed') },
  ],
  putsDown: 'granules',
  feeds: later(again),
  wantsGrowth: 'warm',
  uses: 'feed',
  brief: fed(say('operations.springFeedName'), again),
})

export const TRANSITION = [springGreenUp, thinRyegrass, sprayRyegrass, springFeed] as const
