import { blendWords, depthLimitOf } from '../../seed/blends'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { seedOf, slitSeeded, type Part } from '../parts'
import { buriedMm } from '../settings'
import { onTheDay, type Brief } from './brief'

const SLIT_MM = 6

export function sow(part: Part): Brief {
  const { survey, schools } = part
  const need = seedOf(part)
  if (!need) return { settings: [], gates: [], hours: crewHours('Sow', survey.areaM2, []) }
  const steep: Gate[] =
    survey.slopeShare > 0.15 && !slitSeeded(part)
      ? [{ state: 'risk', code: 'slope', text: ['steep: slit-seed, netting or fleece holds the seed'] }]
      : []
  if (slitSeeded(part)) {
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
      hours: crewHours('Slit-seed', survey.areaM2, [{ what: 'Directions', passes: 2, rateM2PerH: RATES.slit }]),
    }
  }
  const mixed = schools.mixing === 'mixed'
  return {
    settings: [
      '2',
      ' half-rate passes at right angles, ',
      need.pass,
      ' each, ',
      need.product,
      ` of ${blendWords(part.seed)} in all${mixed ? ', mixed by hand with the feed' : ''}. Start with the gate closed; edges by hand.`,
    ],
    gates: [onTheDay('surface dry enough not to clog'), ...steep],
    hours: crewHours('Sow', survey.areaM2, [{ what: 'Passes', passes: 2, rateM2PerH: RATES.broadcast }]),
  }
}

/** Rake-in and cover together against what the seed can grow through. */
export function depthGate({ seed, settings }: Pick<Part, 'seed' | 'settings'>): Gate {
  const limitMm = depthLimitOf(seed)
  const totalMm = settings.rakeMm + buriedMm(settings)
  const limit = figure('depthMm', limitMm)
  const source = { kind: 'mem', text: `deepest safe cover of ${blendWords(seed)}` } as const
  return totalMm > limitMm + 0.05
    ? {
        state: 'hold',
        code: 'depth',
        text: [
          'raked in and covered ',
          figure('depthMm', totalMm),
          ', deeper than ',
          limit,
          `, the most ${seed.length > 1 ? 'the shallowest of the mixture' : blendWords(seed)} grows through`,
        ],
        source,
      }
    : {
        state: 'met',
        text: ['raked in and covered ', figure('depthMm', totalMm), ' of ', limit, ' at the most'],
        source,
      }
}

export function rake(part: Part): Brief {
  const { survey, settings, programme } = part
  return {
    settings:
      programme.code === 'winter'
        ? ['Shake the seed down with the back of a rake; the turf stays whole.']
        : ['To ', figure('depthMm', settings.rakeMm), ', backs of the tines, one way. Some seed still shows.'],
    gates: [depthGate(part)],
    hours: crewHours('Rake in', survey.areaM2, [{ what: 'Raking', passes: 1, rateM2PerH: RATES.rake }]),
  }
}
