import { say } from '../../explain/message'
import { figure } from '../../measure/figure'
import { SPRAY } from './cautions'
import { onTheDay, operation, SEEDBEDS } from './definition'
import { LICENCE, sprayed } from './herbicide'

/** Water that takes a product down to the grubs, mm. @source labels, from memory: half an inch within a day */
const WATERED_IN_MM = 12.7

const insectTreatment = operation({
  code: 'insectTreatment',
  order: 15,
  name: say('operations.insectTreatmentName'),
  done: say('operations.insectTreatmentDone'),
  mark: 'spray',
  phase: 'before',
  preferredDay: -21,
  weight: 0.2,
  why: say('operations.insectTreatmentWhy'),
  check: say('operations.insectTreatmentCheck'),
  caution: SPRAY,
  programmes: [...SEEDBEDS, 'level'],
  addable: true,
  dispensable: true,
  wanted: ({ survey }) => survey.grubs,
  lags: [
    { from: 'insectTreatment', to: 'scalp', least: 2, why: say('operations.itHasToBe') },
    { from: 'insectTreatment', to: 'dethatch', least: 2, why: say('operations.itHasToBe') },
    { from: 'insectTreatment', to: 'sow', least: 7, why: say('operations.theCountAfterIt') },
  ],
  putsDown: 'granules',
  wantsGrowth: true,
  brief: (part) => ({
    settings: say('operations.overProductAndRate', {
      areaM2: figure('areaM2', part.survey.areaM2),
      WATERED_IN_MM: figure('waterMm', WATERED_IN_MM),
    }),
    gates: [LICENCE, onTheDay(say('operations.theLabelAllowsSeed'))],
    hours: sprayed(say('operations.insectTreatmentName'), part),
  }),
})

export const PESTS = [insectTreatment] as const
