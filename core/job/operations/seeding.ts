import { say } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { seedMatter } from '../../materials/stock'
import { figure } from '../../measure/figure'
import { blendWords, depthLimitOf } from '../../seed/blends'
import { seedNeed } from '../../seed/liveSeed'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { depthGate, dragsIn, madeOfBareSoil, PLAN_RATE, seedOf, slitSeeded, type Part } from '../parts'
import { yesOrNo } from './asked'
import { onTheDay, operation, SEEDBEDS, SEEDED, type Brief, type Wanted } from './definition'

const SLIT_MM = 6
/** From here on loose seed washes off. @source own: between 1 in 8 and 1 in 6 */
const STEEP_SHARE = 0.15
/** Share of a new stand that is seeded again where it stayed thin. @source own: told before anybody has seen it */
const WEAK_SHARE = 0.05

function slit(part: Part, need: NonNullable<ReturnType<typeof seedOf>>): Brief {
  return {
    name: say('operations.slitSeed'),
    settings: say('operations.n2DirectionsAtHalf', {
      pass: need.pass,
      product: need.product,
      seed: blendWords(part.seed),
      SLIT_MM: figure('depthMm', Math.min(SLIT_MM, depthLimitOf(part.seed))),
    }),
    gates: [onTheDay(say('operations.soilMoistEnoughThat'))],
    hours: crewHours(say('operations.slitSeed'), part.survey.areaM2, [
      { what: say('operations.directions'), passes: 2, rateM2PerH: RATES.slit },
    ]),
  }
}

/** Hybrid bermuda stands, which sets no seed: whatever is sown into it is another. */
const isHybrid = ({ programme, standing }: Part): boolean =>
  programme.code === 'warm' && standing.some(({ sward }) => sward === 'HBER')

function sown(part: Part): Brief {
  const { survey, practices } = part
  const need = seedOf(part)
  if (!need)
    return {
      settings: say('operations.nothing'),
      gates: [],
      hours: crewHours(say('operations.sow'), survey.areaM2, []),
    }
  if (slitSeeded(part)) return slit(part, need)
  const plug =
    practices.hybridBermuda === 'named seed' && isHybrid(part) ? [onTheDay(say('operations.comparedOnAPlug'))] : []
  const steep: Gate[] =
    survey.slopeShare > STEEP_SHARE ? [{ state: 'risk', code: 'slope', text: say('operations.slopeText') }] : []
  return {
    settings: say('operations.n2HalfRatePasses', {
      pass: need.pass,
      product: need.product,
      seed: blendWords(part.seed),
      mixing: practices.mixing,
    }),
    gates: [onTheDay(say('operations.surfaceDryEnoughNot')), ...plug, ...steep],
    hours: crewHours(say('operations.sow'), survey.areaM2, [
      { what: say('operations.passes'), passes: 2, rateM2PerH: RATES.broadcast },
    ]),
  }
}

function seedUsed(part: Part): Wanted[] {
  const need = seedOf(part)
  return need ? [{ matter: seedMatter(part.seed), words: blendWords(part.seed), amount: need.product.value }] : []
}

const sow = operation({
  code: 'sow',
  order: 200,
  name: say('operations.sowName'),
  done: say('operations.sowDone'),
  mark: 'sow',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.sowWhy'),
  check: say('operations.sowCheck'),
  caution: say('operations.sowCaution'),
  programmes: [...SEEDED, 'winter'],
  anchors: 'seeding',
  records: ['passes'],
  machine: (part) => (slitSeeded(part) ? 'slitSeeder' : undefined),
  ledgeLabel: say('operations.sowLedgeLabel'),
  after: ['level', 'core', 'dethatch', 'clear', 'loosen', 'scalp'],
  putsDown: 'seed',
  pastSoaking: true,
  closesLawn: true,
  uses: 'seed',
  demand: seedUsed,
  brief: sown,
})

/** Seed is dragged so deep into a topdressing at the most, mm. @source trade: 1.5 to 3 mm */
const DRAG_MM = 3

const rake = operation({
  code: 'rake',
  order: 210,
  name: say('operations.rakeName'),
  done: say('operations.rakeDone'),
  mark: 'cut',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.rakeWhy'),
  check: say('operations.rakeCheck'),
  programmes: [...SEEDED, 'winter'],
  setBy: 'rakeMm',
  wanted: (part) => !slitSeeded(part),
  after: ['sow'],
  lags: [{ from: 'sow', to: 'rake', least: 0, most: 0, why: say('operations.onTheDayOf') }],
  brief: (part) => ({
    settings:
      part.programme.code === 'winter'
        ? say('operations.shakeTheSeedDown')
        : dragsIn(part)
          ? say('operations.dragTheSeedIn', { rakeMm: figure('depthMm', Math.min(part.settings.rakeMm, DRAG_MM)) })
          : say(madeOfBareSoil(part) ? 'operations.rakeAcrossTheFurrows' : 'operations.toBacksOfThe', {
              rakeMm: figure('depthMm', part.settings.rakeMm),
            }),
    gates: [depthGate(part)],
    hours: crewHours(say('operations.rakeIn'), part.survey.areaM2, [
      { what: say('operations.raking'), passes: 1, rateM2PerH: RATES.rake },
    ]),
  }),
})

const firm = operation({
  code: 'firm',
  order: 220,
  name: say('operations.firmName'),
  done: say('operations.firmDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.firmWhy'),
  check: say('operations.firmCheck'),
  programmes: SEEDED,
  records: ['passes'],
  wanted: ({ practices }, { has }) => practices.firming === 'firm' && (has('level') || has('loosen')),
  after: ['rake', 'sow'],
  lags: [{ from: 'sow', to: 'firm', least: 0, most: 0, why: say('operations.onTheDayOf') }],
  brief: ({ survey }) => ({
    settings: say('operations.heelInOrA'),
    gates: [],
    hours: crewHours(say('operations.firm'), survey.areaM2, [
      { what: say('operations.rolling'), passes: 1, rateM2PerH: RATES.roll },
    ]),
  }),
})

/** Ground of a part to be sown again, as counted or as is usual, and its seed. */
function thinSeed({ survey, settings, thin }: Part): { areaM2: number; need: ReturnType<typeof seedNeed> } {
  const areaM2 = thin ? thin.areaM2 : survey.areaM2 * WEAK_SHARE
  const rate = settings.seedRateGPerM2 * (thin?.rateShare ?? 1)
  return { areaM2, need: seedNeed(areaM2, rate, settings.lot, PLAN_RATE) }
}

const weak = operation({
  code: 'weak',
  order: 340,
  name: say('operations.weakName'),
  done: say('operations.weakDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 35,
  weight: 0.1,
  why: say('operations.weakWhy'),
  check: say('operations.weakCheck'),
  programmes: SEEDBEDS,
  addable: true,
  wantsWindow: true,
  day: ({ up, planning }) => up + Math.round((planning.weakFirst + planning.weakLast) / 2),
  after: ['green'],
  lags: [
    {
      from: 'green',
      to: 'weak',
      least: 'weakFirst',
      most: 'weakLast',
      why: say('operations.weakSpotsShowTwo'),
    },
  ],
  uses: 'seed',
  reseeds: true,
  asks: [
    yesOrNo({
      code: 'thin',
      asks: say('visits.weakThin'),
      expects: say('visits.weakThinExpects'),
      condition: say('visits.weakThinCondition'),
      right: false,
      otherwise: { state: 'risk', text: say('visits.weakThinNot') },
    }),
    yesOrNo({
      code: 'crowd',
      asks: say('visits.weakCrowd'),
      expects: say('visits.weakCrowdExpects'),
      condition: say('visits.weakCrowdCondition'),
      right: false,
      otherwise: { state: 'risk', text: say('visits.weakCrowdNot') },
    }),
  ],
  // What is only guessed is not taken out of the shed.
  demand: (part) =>
    part.thin === null
      ? []
      : [{ matter: seedMatter(part.seed), words: blendWords(part.seed), amount: thinSeed(part).need.product.value }],
  brief: (part) => {
    const { areaM2, need } = thinSeed(part)
    const product = figure('massKg', need.product.value)
    return {
      settings:
        part.thin === null
          ? say('operations.onlyWhereSoilShows', { product, WEAK_SHARE: figure('share', WEAK_SHARE, 1) })
          : say('operations.whereCountsWereLow', { product, areaM2: figure('areaM2', areaM2) }),
      gates: [],
      hours: crewHours(say('operations.reseedThinSpots'), areaM2, [
        { what: say('operations.byHand'), passes: 1, rateM2PerH: RATES.fork },
      ]),
    }
  },
})

export const SEEDING = [sow, rake, firm, weak] as const
