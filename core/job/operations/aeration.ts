import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { bringsLoam, type Part } from '../parts'
import { SERVICES } from './cautions'
import { coreHolesPerM2, coreSpacingMm, coringPasses } from './coring'
import { onTheDay, operation, RENOVATIONS, type Brief } from './definition'

/** Depth of tines, and of loosening by hand, mm. @source trade */
const TINES_MM = 75
/** Kept lower than this, cores come off. @source trade */
const LOW_CUT_MM = 25
/** Smaller ground is forked, not cored. @source own */
const FORK_BELOW_M2 = 20

const small = ({ survey }: Part): boolean => survey.areaM2 < FORK_BELOW_M2

function cored({ survey, programme, practices, planning }: Part): Brief {
  const off = practices.cores === 'remove' || survey.mowingHeightMm < LOW_CUT_MM
  const spacingMm = coreSpacingMm(survey, programme, planning)
  const passes = coringPasses(spacingMm, planning)
  const holes = coreHolesPerM2(passes.value, planning.corerAcross, planning.corerAlong)
  return {
    settings: [
      passes,
      passes.value > 1 ? ' passes in a grid, ' : ' pass, ',
      figure('depthMm', TINES_MM),
      ' deep, for holes ',
      figure('depthMm', spacingMm),
      ' apart: ',
      figure('holesPerM2', holes),
      off ? '. Rake the cores up and haul them off.' : '. Leave the cores and break them up.',
    ],
    gates: [onTheDay('soil moist, not wet, 3 in down')],
    hours: crewHours('Core aerate', survey.areaM2, [
      { what: 'Passes', passes: passes.value, rateM2PerH: RATES.core },
      ...(off ? [{ what: 'Cores off, with the mower’s bag', passes: 1, rateM2PerH: RATES.scalp }] : []),
    ]),
  }
}

const core = operation({
  code: 'core',
  order: 140,
  name: 'Core aerate',
  done: 'cored',
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  alsoCalled: 'hollow-tine',
  why: 'Opens hard ground to roots and water, and lays soil on the surface for the seed.',
  check: 'Holes counted in a square foot.',
  caution: SERVICES,
  programmes: [...RENOVATIONS, 'level'],
  records: ['passes'],
  dispensable: true,
  wanted: (part) => !bringsLoam(part) && !small(part),
  after: ['dethatch', 'scalp'],
  // Dethatching comes first in the order of the work; on one day the practice says which machine goes first.
  goesBefore: ({ coreOrder }) => (coreOrder === 'before' ? 'dethatch' : undefined),
  lags: [
    {
      from: 'dethatch',
      to: 'core',
      least: 0,
      why: 'coring comes after, so that the holes stay open',
      when: ({ practices }) => practices.coreOrder === 'after',
    },
    {
      from: 'core',
      to: 'dethatch',
      least: 0,
      why: 'the firm cores first, while the machine is there',
      when: ({ practices }) => practices.coreOrder === 'before',
    },
    { from: 'core', to: 'lift', least: 0, most: 'coreOpen', why: 'dressing falls into open holes' },
    { from: 'core', to: 'sow', least: 0, most: 'coreOpen', why: 'core holes close' },
    { from: 'core', to: 'level', least: 0, why: 'soil is dragged into the holes' },
  ],
  wantsMoistGround: true,
  breaksGround: true,
  pastSoaking: true,
  closesLawn: true,
  brief: cored,
})

const fork = operation({
  code: 'fork',
  order: 150,
  name: 'Fork',
  done: 'forked',
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: 'A small hard place is not worth the corer: a garden fork, levered a little.',
  check: 'Water runs in.',
  caution: SERVICES,
  programmes: [...RENOVATIONS, 'level'],
  addable: true,
  records: ['passes'],
  wanted: (part) => !bringsLoam(part) && small(part),
  lags: [
    { from: 'fork', to: 'lift', least: 0, most: 'coreOpen', why: 'dressing falls into open holes' },
    { from: 'fork', to: 'sow', least: 0, most: 'coreOpen', why: 'holes of the fork close' },
    { from: 'fork', to: 'level', least: 0, why: 'soil is dragged into the holes' },
  ],
  wantsMoistGround: true,
  breaksGround: true,
  pastSoaking: true,
  brief: ({ survey }) => ({
    settings: [
      'Fork ',
      figure('areaM2', survey.areaM2),
      ' by hand ',
      figure('depthMm', TINES_MM),
      ' deep and more, levered a little at each push.',
    ],
    gates: [onTheDay('soil moist, not wet')],
    hours: crewHours('Fork', survey.areaM2, [{ what: 'By fork', passes: 1, rateM2PerH: RATES.fork }]),
  }),
})

const loosen = operation({
  code: 'loosen',
  order: 160,
  name: 'Loosen bare ground',
  done: 'loosened',
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: 'Bare ground has set. Roots want 2 to 6 in (50 to 150 mm) of it loose, stones out.',
  check: 'A hand goes in; stones and roots are out.',
  caution: SERVICES,
  programmes: ['spot'],
  records: ['passes'],
  lags: [{ from: 'loosen', to: 'sow', least: 0, most: 7, why: 'loose ground sets again' }],
  wantsMoistGround: true,
  breaksGround: true,
  closesLawn: true,
  brief: ({ survey }) => ({
    settings: [
      'Fork ',
      figure('areaM2', survey.areaM2),
      ' of bare ground ',
      figure('depthMm', TINES_MM),
      ' deep, stones and roots out, edges cut back to sound turf.',
    ],
    gates: [],
    hours: crewHours('Loosen', survey.areaM2, [{ what: 'By fork', passes: 1, rateM2PerH: RATES.fork }]),
  }),
})

export const AERATION = [core, fork, loosen] as const
