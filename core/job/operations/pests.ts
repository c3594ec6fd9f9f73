import { figure } from '../../measure/figure'
import { SPRAY } from './cautions'
import { onTheDay, operation, RENOVATIONS } from './definition'
import { LICENCE, sprayed } from './herbicide'

/** Water that takes a product down to the grubs, mm. @source labels, from memory: half an inch within a day */
const WATERED_IN_MM = 12.7

const insectTreatment = operation({
  code: 'insectTreatment',
  order: 15,
  name: 'Insect treatment',
  done: 'treated',
  mark: 'spray',
  phase: 'before',
  preferredDay: -21,
  weight: 0.2,
  why:
    'Grubs that eat the roots of the old sward eat those of the seedlings too. They are reached while they ' +
    'feed near the surface, spring to autumn.',
  check: 'Turf lifted in a few spots: grubs dead, or too few to count.',
  caution: SPRAY,
  programmes: [...RENOVATIONS, 'level'],
  addable: true,
  dispensable: true,
  wanted: ({ survey }) => survey.grubs,
  lags: [
    { from: 'insectTreatment', to: 'scalp', least: 2, why: 'it has to be watered in and left to work' },
    { from: 'insectTreatment', to: 'dethatch', least: 2, why: 'it has to be watered in and left to work' },
    { from: 'insectTreatment', to: 'sow', least: 7, why: 'the count after it shows whether it worked' },
  ],
  putsDown: 'granules',
  wantsGrowth: true,
  brief: (part) => ({
    settings: [
      'Over ',
      figure('areaM2', part.survey.areaM2),
      ', product and rate by the label, watered in at once with ',
      figure('waterMm', WATERED_IN_MM),
      '. Not on plants in flower: mow them off first.',
    ],
    gates: [LICENCE, onTheDay('the label allows seed after it')],
    hours: sprayed('Insect treatment', part),
  }),
})

export const PESTS = [insectTreatment] as const
