import type { Worked } from '../../explain/working'
import { figure } from '../../measure/figure'
import { blendWords } from '../../seed/blends'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { seedOf, soilOf, type Part } from '../parts'
import { SERVICES } from './cautions'
import { operation, RENOVATIONS, SEEDED, type LagRule } from './definition'

const walked = (title: string, { survey }: Part): Worked =>
  crewHours(title, survey.areaM2, [{ what: 'Walking it', passes: 1, rateM2PerH: RATES.inspect }])
/** A quarter of an hour on the telephone. */
const called = (title: string): Worked => crewHours(title, 0, [])

const FINE_SEEDS_PER_G = 2000
/** Squares that hold 15 to 30 seedlings, mm. @source own*/
const squareMm = ({ grass }: Part): number => (grass.seedsPerG > FINE_SEEDS_PER_G ? 25 : 50)

const LABORATORY = 'the laboratory takes that long'
const soilTest = operation({
  code: 'soilTest',
  order: 30,
  name: 'Soil test',
  done: 'sampled',
  mark: 'visit',
  phase: 'before',
  preferredDay: -21,
  weight: 0.1,
  why:
    'Phosphorus and potassium go on only if the test asks; bare ground loses them most easily. Cores from ' +
    'many spots.',
  check: 'Mixed, labelled and sent off.',
  samples: true,
  programmes: [...RENOVATIONS, 'level'],
  addable: true,
  dispensable: true,
  wanted: (_, { extent }) => !extent.soilTested,
  lags: [
    { from: 'soilTest', to: 'sow', least: 'testLead', why: LABORATORY },
    { from: 'soilTest', to: 'lift', least: 'testLead', why: LABORATORY },
  ],
  brief: (part) => ({
    settings: [
      '15 to 20 plugs from all over, ',
      figure('depthMm', 101.6),
      ' deep, mixed dry in a clean bucket; sunny and shaded ground apart.',
    ],
    gates: [],
    hours: walked('Soil test', part),
  }),
})

const order = operation({
  code: 'order',
  order: 50,
  name: 'Order and hire',
  done: 'ordered',
  mark: 'call',
  phase: 'before',
  preferredDay: -14,
  weight: 0.1,
  why: 'Seed, soil and machines by their lead times. One hire serves several lawns in a day.',
  check: 'Everything confirmed, with a day.',
  programmes: ['spot', ...RENOVATIONS, 'level', 'winter'],
  orders: true,
  lags: [
    { from: 'order', to: 'sow', least: 'seedLead', why: 'seed takes that long to come' },
    { from: 'order', to: 'delivery', least: 'soilLead', why: 'soil takes that long to come' },
    { from: 'order', to: 'scalp', least: 'hireLead', why: 'machines are hired ahead' },
  ],
  brief: (part) => {
    const seed = seedOf(part)
    const { volumeM3 } = soilOf(part)
    return {
      settings: [
        ...(seed ? [figure('massKg', seed.product.value), ` of ${blendWords(part.seed)}`] : ['Materials']),
        ...(volumeM3 ? [', ', figure('volumeM3', volumeM3), ' of soil'] : []),
        '; feed and cover as in Bring; machines for the days below, one hire over several lawns where they meet.',
      ],
      gates: [],
      hours: called('Order and hire'),
    }
  },
})

const MACHINES = ['core', 'fork', 'loosen', 'relay', 'dethatch'] as const
const locate = operation({
  code: 'locate',
  order: 80,
  name: 'Locate services',
  done: 'located',
  mark: 'call',
  phase: 'before',
  preferredDay: -8,
  weight: 0.2,
  why: 'Cables, pipes, drains and pet fences are marked before any machine goes in; marks last two weeks.',
  check: 'Flags in, sprinkler heads and valve boxes too.',
  caution: SERVICES,
  programmes: ['spot', ...RENOVATIONS, 'level'],
  locates: true,
  wanted: (_, { has }) => MACHINES.some(has),
  lags: MACHINES.map((to): LagRule => ({
    from: 'locate',
    to,
    least: 'locateLead',
    most: 14,
    why: 'three working days for the locating service, local law first; marks fade after two weeks',
  })),
  brief: () => ({
    settings: ['Report the work and its days to the local service; flag heads, valve boxes and pet fences yourself.'],
    gates: [],
    hours: called('Locate services'),
  }),
})

const check = operation({
  code: 'check',
  order: 270,
  name: 'First check',
  done: 'checked',
  mark: 'visit',
  phase: 'after',
  preferredDay: 3,
  weight: 1,
  why: 'At the driest hour: is the top centimetre dark and moist? Washed seed, birds?',
  check: 'Dark and moist, seed where it was.',
  programmes: [...SEEDED, 'winter'],
  wanted: (_, { extent }) => !extent.dormant,
  after: ['sow'],
  lags: [
    {
      from: 'sow',
      to: 'check',
      least: 'checkFirst',
      most: 'checkLast',
      why: 'seed is swollen by then and can still be saved',
    },
  ],
  brief: (part) => ({
    settings: ['Early afternoon. Top ', figure('depthMm', 10), ' dark and moist? Washed seed, birds, dry corners.'],
    gates: [],
    hours: walked('First check', part),
  }),
})

const green = operation({
  code: 'green',
  order: 290,
  name: 'Germination check',
  done: 'counted',
  mark: 'visit',
  phase: 'after',
  preferredDay: 12,
  weight: 0.3,
  why: 'Seedlings counted in small squares, sun and shade apart. Shade lags; more seed now is never the answer.',
  check: 'Counts near what was to be expected.',
  programmes: [...SEEDED, 'winter'],
  addable: true,
  day: ({ up }) => Math.max(4, up),
  after: ['sow'],
  lags: [
    {
      from: 'sow',
      to: 'green',
      least: ({ firstGreen }) => firstGreen?.early ?? 4,
      most: ({ firstGreen }) => firstGreen && firstGreen.late + 7,
      why: 'seed has to come up',
    },
  ],
  brief: (part) => ({
    settings: [
      'Squares of ',
      figure('depthMm', squareMm(part)),
      ', five in the sun and five in the shade. Water, wait; no more seed.',
    ],
    gates: [],
    hours: walked('Germination check', part),
  }),
})

const close = operation({
  code: 'close',
  order: 370,
  name: 'Final inspection',
  done: 'closed',
  mark: 'visit',
  phase: 'after',
  preferredDay: 63,
  weight: 0.1,
  why: 'Weeks six to ten: mown as usual, no gaps. What stands is noted for next year.',
  check: 'A sward that wears.',
  programmes: ['spot', ...RENOVATIONS, 'level'],
  addable: true,
  day: ({ anchor, dressingDays, mow }) => (anchor === 'dressing' ? dressingDays + 42 : Math.max(63, mow + 30)),
  after: ['mow', 'nip'],
  lags: [{ from: 'sow', to: 'close', least: 42, why: 'six weeks at the least' }],
  brief: (part) => ({
    settings: ['Cover, gaps, colour and height noted; the client told how it is mown, fed and watered from here.'],
    gates: [],
    hours: walked('Final inspection', part),
  }),
})

const nextSeason = operation({
  code: 'nextSeason',
  order: 380,
  name: 'Next season’s count',
  done: 'counted',
  mark: 'visit',
  phase: 'after',
  preferredDay: 330,
  weight: 0.01,
  why: 'What stood the year and what thinned out decides the next overseeding.',
  programmes: RENOVATIONS,
  addable: true,
  after: ['close'],
  lags: [{ from: 'sow', to: 'nextSeason', least: 180, most: 400, why: 'it has to have stood a winter and a summer' }],
  brief: (part) => ({
    settings: ['Cover counted as in Look; where it thinned, and why, before anything is ordered.'],
    gates: [],
    hours: walked('Next season’s count', part),
  }),
})

export const VISITS = [soilTest, order, locate, check, green, close, nextSeason] as const
