import { SOILS, type Soil } from '../../materials/stock'
import { figure } from '../../measure/figure'
import type { Phrase } from '../../explain/phrase'
import type { Worked } from '../../explain/working'
import type { Survey } from '../../site/survey'
import { onTheDay, type Brief } from './brief'
import { coreSpacingMm, coringPasses, coreHolesPerM2 } from './coring'
import { addedHours, crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { soilOf, type Part } from '../parts'
import { sourceOf } from '../planningFigures'

const CORE_DEPTH_MM = 75
/** Share of the thatch a pass tears out, and how much it swells. @source own, reference §11 */
const TORN_A_PASS = 0.3
const SWELL = 3
/** Kept lower than this, cores come off. @source trade */
const LOW_CUT_MM = 25
/**
 * Blades reach so far into the soil, mm: they just bring up loose soil. @source own for the figure; common practice
 * for the sight
 */
const BLADES_IN_SOIL_MM = 3

/** Soil for levelling by the school, or by the soil that is there. @source practice §2 */
export function soilOfPlan({ schools, survey }: Part): Soil {
  if (schools.soil !== 'by texture') return schools.soil
  return survey.texture === 'sand' ? 'half organic' : survey.texture.includes('clay') ? 'topsoil' : 'sand'
}
export const soilName = (part: Part): string => SOILS[soilOfPlan(part)]

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

export function dethatch({ survey, programme: { dethatchPasses: passes }, planning }: Part): Brief {
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

export function core({ survey, programme, schools, planning }: Part): Brief {
  const off = schools.cores === 'remove' || survey.mowingHeightMm < LOW_CUT_MM
  const spacingMm = coreSpacingMm(survey, programme, planning)
  const passes = coringPasses(spacingMm, planning)
  const holes = coreHolesPerM2(passes.value, planning.corerAcross, planning.corerAlong)
  return {
    settings: [
      passes,
      passes.value > 1 ? ' passes in a grid, ' : ' pass, ',
      figure('depthMm', CORE_DEPTH_MM),
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

export function fork({ survey }: Part): Brief {
  return {
    settings: [
      'Fork ',
      figure('areaM2', survey.areaM2),
      ' by hand ',
      figure('depthMm', CORE_DEPTH_MM),
      ' deep and more, levered a little at each push.',
    ],
    gates: [onTheDay('soil moist, not wet')],
    hours: crewHours('Fork', survey.areaM2, [{ what: 'By fork', passes: 1, rateM2PerH: RATES.fork }]),
  }
}

/** Turf is cut this deep to come off and knit again, mm. @source own */
const SOD_MM = 40

export function relay(part: Part): Brief {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  return {
    settings: [
      'Cut the turf over the deep place ',
      figure('depthMm', SOD_MM),
      ' thick, roll it back, fill with ',
      figure('volumeM3', volumeM3),
      ` of ${soilName(part)} in firmed layers to `,
      figure('depthMm', deepestMm),
      ', relay, water.',
    ],
    gates: [],
    hours: addedHours(
      crewHours('Lift turf, fill, relay', overM2 / 2, [
        { what: 'Cutting and relaying', passes: 1, rateM2PerH: RATES.fork },
      ]),
      'Barrowing',
      volumeM3,
      RATES.barrowM3PerH,
    ),
  }
}

export function loosen({ survey }: Part): Brief {
  return {
    settings: [
      'Fork ',
      figure('areaM2', survey.areaM2),
      ' of bare ground ',
      figure('depthMm', 75),
      ' deep, stones and roots out, edges cut back to sound turf.',
    ],
    gates: [],
    hours: crewHours('Loosen', survey.areaM2, [{ what: 'By fork', passes: 1, rateM2PerH: RATES.fork }]),
  }
}
