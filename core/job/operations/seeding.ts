import type { Gate } from '../../explain/judgement'
import { seedMatter } from '../../materials/stock'
import { figure } from '../../measure/figure'
import { blendWords, depthLimitOf } from '../../seed/blends'
import { seedNeed } from '../../seed/liveSeed'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { depthGate, PLAN_RATE, seedOf, slitSeeded, type Part } from '../parts'
import { onTheDay, operation, RENOVATIONS, SEEDED, type Brief, type Wanted } from './definition'

const SLIT_MM = 6
/** From here on loose seed washes off. @source own: between 1 in 8 and 1 in 6 */
const STEEP_SHARE = 0.15
/** Share of a new stand that is seeded again where it stayed thin. @source own: told before anybody has seen it */
const WEAK_SHARE = 0.05

function slit(part: Part, need: NonNullable<ReturnType<typeof seedOf>>): Brief {
  return {
    name: 'Slit-seed',
    settings: [
      '2',
      ' directions at half rate, ',
      need.pass,
      ' each, ',
      need.product,
      ` of ${blendWords(part.seed)} in all, slits no deeper than `,
      figure('depthMm', Math.min(SLIT_MM, depthLimitOf(part.seed))),
      '. In place of dethatching, sowing and raking.',
    ],
    gates: [onTheDay('soil moist enough that slits open clean')],
    hours: crewHours('Slit-seed', part.survey.areaM2, [{ what: 'Directions', passes: 2, rateM2PerH: RATES.slit }]),
  }
}

function sown(part: Part): Brief {
  const { survey, practices } = part
  const need = seedOf(part)
  if (!need) return { settings: [], gates: [], hours: crewHours('Sow', survey.areaM2, []) }
  if (slitSeeded(part)) return slit(part, need)
  const steep: Gate[] =
    survey.slopeShare > STEEP_SHARE
      ? [{ state: 'risk', code: 'slope', text: ['steep: slit-seed, netting or fleece holds the seed'] }]
      : []
  return {
    settings: [
      '2',
      ' half-rate passes at right angles, ',
      need.pass,
      ' each, ',
      need.product,
      ` of ${blendWords(part.seed)} in all${practices.mixing === 'mixed' ? ', mixed by hand with the feed' : ''}.`,
      ' Start with the gate closed; edges by hand.',
    ],
    gates: [onTheDay('surface dry enough not to clog'), ...steep],
    hours: crewHours('Sow', survey.areaM2, [{ what: 'Passes', passes: 2, rateM2PerH: RATES.broadcast }]),
  }
}

function seedUsed(part: Part): Wanted[] {
  const need = seedOf(part)
  return need ? [{ matter: seedMatter(part.seed), words: blendWords(part.seed), amount: need.product.value }] : []
}

const sow = operation({
  code: 'sow',
  order: 200,
  name: 'Sow',
  done: 'sown',
  mark: 'sow',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: 'Half the seed one way, half at right angles: gaps of one pass are covered by the other.',
  check: 'Even; none on paving.',
  caution: 'Treated (coloured) seed: gloves, not for feed, keep animals off.',
  programmes: [...SEEDED, 'winter'],
  anchors: 'seeding',
  records: ['passes'],
  ledgeLabel: 'Sow',
  after: ['level', 'core', 'dethatch', 'clear', 'loosen', 'scalp'],
  putsDown: 'seed',
  pastSoaking: true,
  closesLawn: true,
  uses: 'seed',
  demand: seedUsed,
  brief: sown,
})

const rake = operation({
  code: 'rake',
  order: 210,
  name: 'Rake in',
  done: 'raked in',
  mark: 'cut',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: 'Seed has to touch soil, and no deeper than it can grow through.',
  check: 'Some seed still shows.',
  programmes: [...SEEDED, 'winter'],
  setBy: 'rakeMm',
  wanted: (part) => !slitSeeded(part),
  after: ['sow'],
  lags: [{ from: 'sow', to: 'rake', least: 0, most: 0, why: 'on the day of sowing' }],
  brief: (part) => ({
    settings:
      part.programme.code === 'winter'
        ? ['Shake the seed down with the back of a rake; the turf stays whole.']
        : ['To ', figure('depthMm', part.settings.rakeMm), ', backs of the tines, one way. Some seed still shows.'],
    gates: [depthGate(part)],
    hours: crewHours('Rake in', part.survey.areaM2, [{ what: 'Raking', passes: 1, rateM2PerH: RATES.rake }]),
  }),
})

const firm = operation({
  code: 'firm',
  order: 220,
  name: 'Firm',
  done: 'firmed',
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: 'A heel must not sink more than half an inch: loose ground dries and settles.',
  check: 'Footprint test.',
  programmes: SEEDED,
  records: ['passes'],
  wanted: ({ practices }, { has }) => practices.firming === 'firm' && (has('level') || has('loosen')),
  after: ['rake', 'sow'],
  lags: [{ from: 'sow', to: 'firm', least: 0, most: 0, why: 'on the day of sowing' }],
  brief: ({ survey }) => ({
    settings: ['Heel in, or a light roller one way. Footprints do not sink more than ½ in (12 mm).'],
    gates: [],
    hours: crewHours('Firm', survey.areaM2, [{ what: 'Rolling', passes: 1, rateM2PerH: RATES.roll }]),
  }),
})

const weak = operation({
  code: 'weak',
  order: 340,
  name: 'Reseed thin spots',
  done: 'reseeded',
  mark: 'visit',
  phase: 'after',
  preferredDay: 35,
  weight: 0.1,
  why:
    'Two to four weeks after it is up the weak spots show clearly. Those only are seeded again; short mowing ' +
    'intervals thicken the rest.',
  check: 'No gap larger than a hand.',
  programmes: RENOVATIONS,
  addable: true,
  day: ({ up, planning }) => up + Math.round((planning.weakFirst + planning.weakLast) / 2),
  after: ['green'],
  lags: [
    {
      from: 'green',
      to: 'weak',
      least: 'weakFirst',
      most: 'weakLast',
      why: 'weak spots show two to four weeks after it is up',
    },
  ],
  uses: 'seed',
  brief: (part) => {
    const { survey, settings } = part
    const need = seedNeed(survey.areaM2 * WEAK_SHARE, settings.seedRateGPerM2, settings.lot, PLAN_RATE)
    return {
      settings: [
        'Only where soil shows: about ',
        figure('massKg', need.product.value),
        ' kept back for ',
        figure('share', WEAK_SHARE, 1),
        ' of the ground, scratched in and kept moist.',
      ],
      gates: [],
      hours: crewHours('Reseed thin spots', survey.areaM2 * WEAK_SHARE, [
        { what: 'By hand', passes: 1, rateM2PerH: RATES.fork },
      ]),
    }
  },
})

export const SEEDING = [sow, rake, firm, weak] as const
