import type { Phrase } from '../../explain/phrase'
import type { Worked } from '../../explain/working'
import { figure } from '../../measure/figure'
import type { Survey } from '../../site/survey'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { slitSeeded, type Part } from '../parts'
import { sourceOf } from '../planningFigures'
import { operation, RENOVATIONS, type Brief } from './definition'

/** Share of the thatch a pass tears out, and how much it swells. @source own */
const TORN_A_PASS = 0.3
const SWELL = 3
/**
 * Blades reach so far into the soil, mm: they just bring up loose soil. @source own for the figure; common practice
 * for the sight
 */
const BLADES_IN_SOIL_MM = 3

function thatchDebris(survey: Survey, passes: number): Worked {
  const share = 1 - (1 - TORN_A_PASS) ** passes
  const value = survey.areaM2 * (survey.thatchMm / 1000) * share * SWELL
  return {
    value,
    working: {
      title: 'Thatch to haul off',
      result: figure('volumeM3', value, 2),
      formula: 'Area × layer × share torn out × swelling.',
      lines: [
        { what: 'Area', value: figure('areaM2', survey.areaM2), source: { kind: 'user', text: 'Look' } },
        {
          operator: '×',
          what: 'Thatch',
          value: figure('depthMm', survey.thatchMm),
          source: { kind: 'user', text: 'Look' },
        },
        {
          operator: '×',
          what: `Torn out in ${passes} passes`,
          value: figure('share', share),
          source: { kind: 'own', text: '30% of what is there, each pass' },
        },
        {
          operator: '×',
          what: 'Swelling, times',
          value: figure('count', SWELL),
          source: { kind: 'own', text: 'loose' },
        },
        { operator: '=', what: 'Thatch', value: figure('volumeM3', value, 2), subtotal: true },
      ],
    },
  }
}

const DIRECTIONS: Record<number, string> = {
  2: ' directions, the second across the first',
  4: ' directions: along, across and both ways aslant',
  5: ' directions, until the old sward is off',
}

/** How deep the blades are set on the last direction: through the thatch and a little into the soil. */
export function bladeDepth({ thatchMm }: Pick<Survey, 'thatchMm'>): Worked {
  const value = thatchMm + BLADES_IN_SOIL_MM
  return {
    value,
    working: {
      title: 'Depth of the blades',
      result: figure('depthMm', value),
      formula: 'Thatch, and a little of the soil under it.',
      lines: [
        { what: 'Thatch', value: figure('depthMm', thatchMm), source: { kind: 'user', text: 'Look' } },
        {
          operator: '+',
          what: 'Into the soil',
          value: figure('depthMm', BLADES_IN_SOIL_MM),
          source: { kind: 'own', text: 'blades just bring up loose soil' },
        },
        { operator: '=', what: 'Blades below the crowns', value: figure('depthMm', value), subtotal: true },
      ],
      fieldCheck: 'After a few steps: brown crumbs of soil on the thatch, no furrows.',
    },
  }
}

function dethatched({ survey, programme: { dethatchPasses: passes }, planning }: Part): Brief {
  const over = survey.thatchMm > planning.thatch
  const debris: Phrase = survey.thatchMm > 0 ? [' Haul off ', thatchDebris(survey, passes), '.'] : []
  return {
    settings: [
      figure('count', passes),
      DIRECTIONS[passes] ?? ' directions',
      '. Blades ',
      bladeDepth(survey),
      ' deep, so that they just bring up soil',
      over ? '; half of that on the first direction' : '',
      '. Clear with the mower, once more after the last.',
      ...debris,
    ],
    gates: [
      {
        state: 'met',
        text: over
          ? ['thatch over ', figure('depthMm', planning.thatch), ' at survey']
          : ['soil has to show for seed to touch it'],
        source: sourceOf('thatch', planning),
      },
    ],
    hours: crewHours('Dethatch', survey.areaM2, [
      { what: 'Directions', passes, rateM2PerH: RATES.dethatch },
      { what: 'Clearing by mower', passes: 1, rateM2PerH: RATES.scalp },
    ]),
  }
}

const dethatch = operation({
  code: 'dethatch',
  order: 130,
  name: 'Dethatch',
  done: 'dethatched',
  mark: 'machine',
  phase: 'work',
  preferredDay: -2,
  weight: 1,
  alsoCalled: 'scarify',
  why: 'Seed has to touch soil. Blades only just bring up soil.',
  check: 'Brown of soil shows all over.',
  caution:
    'Flag sprinkler heads and valve boxes. Isolate the machine before clearing blades. Dust: mask when it is dry.',
  programmes: RENOVATIONS,
  records: ['passes'],
  wanted: (part) => !slitSeeded(part),
  after: ['scalp'],
  lags: [
    { from: 'dethatch', to: 'sow', least: 0, most: 'tornOpen', why: 'torn ground does not lie open longer' },
    { from: 'dethatch', to: 'level', least: 0, why: 'soil is brought on clean ground' },
    { from: 'dethatch', to: 'delivery', least: 0, why: 'the ground is cleared before soil comes' },
  ],
  wantsDry: true,
  scorches: true,
  tearsTurf: true,
  wantsMoistGround: true,
  breaksGround: true,
  closesLawn: true,
  brief: dethatched,
})

export const DETHATCHING = [dethatch] as const
