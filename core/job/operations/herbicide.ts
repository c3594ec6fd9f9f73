import { figure } from '../../measure/figure'
import type { Worked } from '../../explain/working'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { Part } from '../parts'
import { SPRAY } from './cautions'
import { onTheDay, operation, RENOVATIONS, SEEDED, type Brief, type Charge, type Definition } from './definition'
import { NON_SELECTIVE, SELECTIVE } from './labels'

/** Hours of a spraying over a part. */
export const sprayed = (title: string, { survey }: Part): Worked =>
  crewHours(title, survey.areaM2, [{ what: 'Spraying', passes: 1, rateM2PerH: RATES.spray }])
export const LICENCE = onTheDay('licence of who sprays')

const LEAF_DRY = onTheDay('leaf dry, wind 2 to 10 mph (3 to 16 km/h), no rain due by the label')
const REGROWTH = onTheDay('regrowth seen')

/** A non-selective herbicide over all of a part. */
const blanket =
  (title: string, ...more: Brief['gates']) =>
  (part: Part): Brief => ({
    settings: [
      'Blanket over ',
      figure('areaM2', part.survey.areaM2),
      ', guide lines first, edges and plants shielded. Rate and water by the label.',
    ],
    gates: [LEAF_DRY, LICENCE, ...more],
    hours: sprayed(title, part),
  })

const herbicide = ({ name, groundM2 }: { name: string; groundM2: number }): Charge[] => [
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
  name: 'Treat hard weeds',
  done: 'treated',
  mark: 'spray',
  phase: 'before',
  preferredDay: -35,
  weight: 0.2,
  check: 'Weeds gone, or twisted and yellow.',
  why: 'Broad-leaved weeds that outlive a renovation are taken out with a selective product while the grass stands.',
  caution: SPRAY,
  programmes: [],
  addable: true,
  dispensable: true,
  lags: [
    { from: 'hardWeeds', to: 'sow', least: 28, why: 'the label keeps seed off that long' },
    { from: 'hardWeeds', to: 'kill1', least: 0, why: 'selective before the blanket spray' },
  ],
  putsDown: 'spray',
  wantsGrowth: true,
  keepsSeedOff: SELECTIVE,
  brief: (part) => ({
    settings: [
      'Selective, over ',
      figure('areaM2', part.survey.areaM2),
      ' or in spots. Product and rate by the label; its wait before seed goes into Look.',
    ],
    gates: [LICENCE],
    hours: sprayed('Treat hard weeds', part),
  }),
})

const killAutumn = operation({
  ...KILL,
  code: 'killAutumn',
  order: 20,
  name: 'Kill, autumn before',
  done: 'sprayed in autumn',
  preferredDay: -240,
  weight: 0.02,
  why:
    'Ground cleared for bermuda is killed the autumn before and again in spring: what winters comes up with ' +
    'the seed.',
  check: 'All brown before winter.',
  programmes: ['kill'],
  autumnBefore: true,
  mayBeLate: true,
  wanted: ({ grass }, { extent }) => grass.season === 'warm' && extent.autumnAhead,
  lags: [{ from: 'killAutumn', to: 'kill1', least: 90, most: 300, why: 'a winter lies between' }],
  brief: blanket('Kill, autumn before'),
})

const kill1 = operation({
  ...KILL,
  code: 'kill1',
  order: 40,
  name: 'Kill, first',
  done: 'sprayed',
  preferredDay: -27,
  weight: 0.3,
  why: 'Ends weed grasses that survive everything else. It has to be growing, the leaf dry, little wind, no rain due.',
  check: 'All brown; coarse grasses take up to 10 days longer.',
  programmes: ['kill'],
  closesLawn: true,
  lags: [
    {
      from: 'kill1',
      to: 'kill2',
      least: 'killAgain',
      most: 35,
      why: 'what regrows has to be seen before it is killed',
    },
  ],
  brief: blanket('Kill, first'),
})

const AFTER_SPRAY = 'the label interval, and brown all over'
const kill2 = operation({
  ...KILL,
  code: 'kill2',
  order: 60,
  name: 'Kill, again',
  done: 'sprayed again',
  preferredDay: -12,
  weight: 0.3,
  why: 'What greens up again after two weeks is what would have come through.',
  check: 'Brown all over, nothing greens up.',
  programmes: ['kill'],
  dispensable: true,
  lags: [
    { from: 'kill2', to: 'kill3', least: 10, most: 28, why: 'what regrows again has to be seen' },
    {
      from: 'kill2',
      to: 'scalp',
      least: 'labelWait',
      most: 21,
      why: AFTER_SPRAY,
      when: ({ has }) => !has('kill3'),
    },
  ],
  brief: blanket('Kill, again', REGROWTH),
})

const kill3 = operation({
  ...KILL,
  code: 'kill3',
  order: 70,
  name: 'Kill, third',
  done: 'sprayed a third time',
  preferredDay: -11,
  weight: 0.3,
  why: 'Regrowth after the second: roots of coarse grasses that had not all leafed out.',
  check: 'Brown all over, nothing greens up.',
  programmes: [],
  addable: true,
  dispensable: true,
  lags: [{ from: 'kill3', to: 'scalp', least: 'labelWait', most: 21, why: AFTER_SPRAY }],
  brief: blanket('Kill, third', REGROWTH),
})

const preventer = operation({
  code: 'preventer',
  order: 240,
  name: 'Pre-emergent safe on seedlings',
  done: 'put down',
  mark: 'spray',
  phase: 'work',
  preferredDay: 0,
  weight: 0.3,
  why: 'Of the seedling-safe kind only: it stops weed seed and spares the grass named on its label.',
  caution: SPRAY,
  programmes: SEEDED,
  addable: true,
  wanted: ({ practices }) => practices.preventer === 'apart',
  lags: [{ from: 'sow', to: 'preventer', least: 0, most: 7, why: 'at sowing or within a week, by the label' }],
  putsDown: 'spray',
  brief: (part) => ({
    settings: [
      'Seedling-safe (mesotrione or siduron type) over ',
      figure('areaM2', part.survey.areaM2),
      ', where species, label and law allow. Rate by the label.',
    ],
    gates: [onTheDay('the label names every grass that was sown')],
    hours: sprayed('Pre-emergent safe on seedlings', part),
  }),
})

const weedControl = operation({
  code: 'weedControl',
  order: 350,
  name: 'Weed control',
  done: 'treated',
  mark: 'spray',
  phase: 'after',
  preferredDay: 55,
  weight: 0.1,
  why: 'After the fourth mowing, or as the label says. Before that coarse grasses are dug out or wiped leaf by leaf.',
  caution: SPRAY,
  programmes: RENOVATIONS,
  addable: true,
  day: ({ mow }) => mow + 24,
  lags: [
    { from: 'mow', to: 'weedControl', least: 21, why: 'three more mowings, about a week apart' },
    { from: 'weedControl', to: 'close', least: 0, why: 'the last thing done is looked at' },
  ],
  after: ['mow'],
  wantsTurns: { of: 'mow', least: 4, words: 'mowings' },
  putsDown: 'spray',
  wantsGrowth: true,
  keepsSeedOff: SELECTIVE,
  brief: (part) => ({
    settings: [
      'Selective, by its label for new grass, where weeds are still more than a few. Coarse grasses are dug out.',
    ],
    gates: [LICENCE],
    hours: sprayed('Weed control', part),
  }),
})

export const HERBICIDE = [hardWeeds, killAutumn, kill1, kill2, kill3, preventer, weedControl] as const
