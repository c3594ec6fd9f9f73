import { wateringNeed } from '../../materials/volume'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { onTheDay, operation, RENOVATIONS, SEEDED } from './definition'

/** Water of the first watering, mm: damp to an inch. @source own */
export const FIRST_WATERING_MM = 6.35
/** Water that softens ground for tines, mm. @source own */
const SOFTENING_MM = 20
const RESTRICTIONS = 'Local watering restrictions come first. Keep hoses off the path.'

const waterAhead = operation({
  code: 'waterAhead',
  order: 100,
  name: 'Pre-soak the soil',
  done: 'watered ahead',
  mark: 'visit',
  phase: 'work',
  preferredDay: -2,
  weight: 0.5,
  why: 'Tines bounce off dry ground. Deep, a day or more before, and again on the morning.',
  check: 'A plug comes out whole.',
  caution: RESTRICTIONS,
  programmes: [...RENOVATIONS, 'level'],
  addable: true,
  dispensable: true,
  wanted: (_, { extent, has }) => extent.dryGround && (has('core') || has('fork')),
  lags: [
    { from: 'waterAhead', to: 'core', least: 1, most: 3, why: 'water has to sink in before the tines' },
    { from: 'waterAhead', to: 'dethatch', least: 1, why: 'water has to sink in before the blades' },
    { from: 'waterAhead', to: 'fork', least: 1, most: 3, why: 'water has to sink in before the fork' },
  ],
  soaks: true,
  brief: ({ survey }) => ({
    settings: [
      figure('waterMm', SOFTENING_MM),
      ' in turns that do not puddle, the evening before at the latest, and a little on the morning.',
    ],
    gates: [],
    hours: crewHours('Pre-soak the soil', survey.areaM2, [
      { what: 'Setting out', passes: 1, rateM2PerH: RATES.broadcast },
    ]),
  }),
})

const water = operation({
  code: 'water',
  order: 260,
  name: 'Water in',
  done: 'watered in',
  mark: 'visit',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: 'Within the hour, fine and from above: swollen seed that dries once is dead.',
  check: 'Damp to an inch, no puddles.',
  caution: RESTRICTIONS,
  programmes: [...SEEDED, 'level', 'winter'],
  wanted: (_, { extent }) => !extent.dormant,
  after: ['cover', 'rake', 'sow', 'lift'],
  lags: [
    { from: 'sow', to: 'water', least: 0, most: 0, why: 'on the day of sowing' },
    { from: 'lift', to: 'water', least: 0, most: 0, why: 'watered in at once', fromFirst: true },
  ],
  brief: ({ survey }) => ({
    settings: [
      figure('waterMm', FIRST_WATERING_MM),
      ' within the hour, ',
      wateringNeed(survey.areaM2, FIRST_WATERING_MM),
      ', fine and from above, in turns that do not puddle.',
    ],
    gates: [onTheDay('water on site, sprinklers run once before sowing')],
    hours: crewHours('Water in', survey.areaM2, [{ what: 'Setting out', passes: 1, rateM2PerH: RATES.broadcast }]),
  }),
})

export const WATERING = [waterAhead, water] as const
