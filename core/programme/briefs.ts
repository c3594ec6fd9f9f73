import type { Grass } from '../grass/grasses'
import { feedNeed, parseAnalysis } from '../materials/feed'
import { seedNeed } from '../materials/seed'
import { layerVolume, wateringNeed } from '../materials/volume'
import { firstCutMm, firstMowHeightMm } from '../establishment/growth'
import { figure } from '../quantity/figure'
import type { Gate } from '../quantity/judgement'
import type { Phrase } from '../quantity/phrase'
import type { Source, Worked } from '../quantity/working'
import type { Survey } from '../site/survey'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from './hours'
import type { OperationCode } from './operations'
import type { PlanSettings } from './plan'
import { clippings, scalpSteps } from './scalping'

export interface BriefInput {
  survey: Survey
  grass: Grass
  settings: PlanSettings
}

/** How an operation is set on this lawn, and what it waits for on the day. */
export interface Brief {
  settings: Phrase
  gates: Gate[]
  hours: Worked
}

/** Water of the first watering, mm: damp to an inch. @source own */
export const FIRST_WATERING_MM = 6.35
const CORE_SPACING_MM = 75
const CORE_DEPTH_MM = 75
const CORE_PASSES = 2
const DETHATCH_PASSES = 2
/** Share of the thatch a pass tears out, and how much it swells. @source own, reference §11 */
const TORN_A_PASS = 0.3
const SWELL = 3

export const PLAN_RATE: Source = { kind: 'user', text: 'Bring, live seed' }

const onTheDay = (...text: Phrase): Gate => ({ state: 'waiting', text })

function scalp({ survey, settings }: BriefInput): Brief {
  const { heightsMm, severe } = scalpSteps(survey.mowingHeightMm, settings.scalpToMm)
  const steps = heightsMm.flatMap((mm): Phrase => [' to ', figure('depthMm', mm)])
  const gates = [onTheDay('grass dry at each cut, blade sharp')]
  if (severe) gates.unshift({ state: 'risk', text: ['more than a third comes off each time; add a cut if it rips'] })
  return {
    settings: [figure('count', heightsMm.length), heightsMm.length > 1 ? ' cuts lowering ' : ' cut, ', figure('depthMm', survey.mowingHeightMm), ...steps, ', bag on. Haul off ', clippings(survey.areaM2, survey.mowingHeightMm, settings.scalpToMm), ' of clippings.'],
    gates,
    hours: crewHours('Scalp', survey.areaM2, [{ what: 'Cuts', passes: heightsMm.length, rateM2PerH: RATES.scalp }]),
  }
}

function thatchDebris(survey: Survey): Worked {
  const share = 1 - (1 - TORN_A_PASS) ** DETHATCH_PASSES
  const value = survey.areaM2 * (survey.thatchMm / 1000) * share * SWELL
  return {
    value,
    working: {
      title: 'Thatch to haul off', result: figure('volumeM3', value, 2), formula: 'Area × layer × share torn out × swelling.',
      lines: [
        { what: 'Area', value: figure('areaM2', survey.areaM2), source: { kind: 'user', text: 'Look' } },
        { operator: '×', what: 'Thatch', value: figure('depthMm', survey.thatchMm), source: { kind: 'user', text: 'Look' } },
        { operator: '×', what: 'Torn out in two passes', value: figure('share', share), source: { kind: 'own', text: '30% of what is there, each pass' } },
        { operator: '×', what: 'Swelling, times', value: figure('count', SWELL), source: { kind: 'own', text: 'loose' } },
        { operator: '=', what: 'Thatch', value: figure('volumeM3', value, 2), subtotal: true },
      ],
    },
  }
}

function dethatch({ survey }: BriefInput): Brief {
  const over = survey.thatchMm > 12
  const debris: Phrase = survey.thatchMm > 0 ? [' Haul off ', thatchDebris(survey), '.'] : []
  return {
    settings: [figure('count', DETHATCH_PASSES), ' directions, the second across the first. Blades just bring up soil', ...(over ? [', thatch now ', figure('depthMm', survey.thatchMm)] : []), '. Clear with the mower.', ...debris],
    gates: [onTheDay('surface dry; not in drought or heat'), { state: 'met', text: over ? ['thatch over ½ in at survey'] : ['soil has to show for seed to touch it'], source: { kind: 'trade', text: 'limit ½ in (12 mm)' } }],
    hours: crewHours('Dethatch', survey.areaM2, [
      { what: 'Directions', passes: DETHATCH_PASSES, rateM2PerH: RATES.dethatch },
      { what: 'Clearing by mower', passes: 1, rateM2PerH: RATES.scalp },
    ]),
  }
}

function coreHoles(survey: Survey): Worked {
  const perM2 = (1000 / CORE_SPACING_MM) ** 2
  const value = perM2 * survey.areaM2
  return {
    value,
    working: {
      title: 'Holes over the lawn', result: figure('count', Math.round(value / 1000) * 1000), formula: 'A square grid of the spacing.',
      lines: [
        { what: 'Spacing of the finished grid', value: figure('depthMm', CORE_SPACING_MM), source: { kind: 'trade', text: '3 to 4 in (75 to 100 mm)' } },
        { operator: '=', what: 'Holes on a square metre', value: figure('count', Math.round(perM2)), subtotal: true },
        { operator: '×', what: 'Area', value: figure('areaM2', survey.areaM2), source: { kind: 'user', text: 'Look' } },
        { operator: '=', what: 'Holes', value: figure('count', Math.round(value / 1000) * 1000), subtotal: true },
      ],
      fieldCheck: 'Count in a square foot: about 16 for a 3 in grid.',
    },
  }
}

function core({ survey }: BriefInput): Brief {
  return {
    settings: [figure('count', CORE_PASSES), ' passes in a grid, ', figure('depthMm', CORE_DEPTH_MM), ' deep, holes ', figure('depthMm', CORE_SPACING_MM), ' apart, about ', coreHoles(survey), '. Leave the cores and break them up.'],
    gates: [onTheDay('buried lines located, heads flagged'), onTheDay('soil moist, not wet, 3 in down')],
    hours: crewHours('Core aerate', survey.areaM2, [{ what: 'Passes', passes: CORE_PASSES, rateM2PerH: RATES.core }]),
  }
}

function sow({ survey, grass, settings }: BriefInput): Brief {
  const need = seedNeed(survey.areaM2, settings.seedRateGPerM2, settings.lot, PLAN_RATE)
  return {
    settings: ['2', ' half-rate passes at right angles, ', need.pass, ' each, ', need.product, ` of ${grass.name} in all. Start with the gate closed; edges by hand.`],
    gates: [onTheDay('wind under 10 mph (16 km/h), surface dry enough not to clog')],
    hours: crewHours('Sow', survey.areaM2, [{ what: 'Passes', passes: 2, rateM2PerH: RATES.broadcast }]),
  }
}

/** Rake-in and cover together against what the seed can grow through. */
export function depthGate({ grass, settings }: BriefInput): Gate {
  const totalMm = settings.rakeMm + settings.coverMm
  const limit = figure('depthMm', grass.depthLimitMm)
  const source = { kind: 'mem', text: `deepest safe cover of ${grass.name}` } as const
  return totalMm > grass.depthLimitMm + 0.05
    ? { state: 'hold', text: ['raked in and covered ', figure('depthMm', totalMm), ', deeper than ', limit, `, the most ${grass.name} grows through`], source }
    : { state: 'met', text: ['raked in and covered ', figure('depthMm', totalMm), ' of ', limit, ' at the most'], source }
}

function rake(input: BriefInput): Brief {
  const { survey, settings } = input
  return {
    settings: ['To ', figure('depthMm', settings.rakeMm), ', backs of the tines, one way. Some seed still shows.'],
    gates: [depthGate(input)],
    hours: crewHours('Rake in', survey.areaM2, [{ what: 'Raking', passes: 1, rateM2PerH: RATES.rake }]),
  }
}

function feed({ survey, settings }: BriefInput): Brief {
  const analysis = parseAnalysis(settings.starterAnalysis)
  const hours = crewHours('Feed', survey.areaM2, [{ what: 'Directions', passes: 2, rateM2PerH: RATES.broadcast }])
  if (!analysis) return { settings: ['No feed that can be read: enter the analysis in Bring.'], gates: [], hours }
  const need = feedNeed(survey.areaM2, settings.starterNGPerM2, analysis)
  const gates: Gate[] = analysis.p2o5Share > 0 ? [onTheDay('phosphorus only where a soil test is short of it and local law allows')] : []
  return {
    settings: [`${settings.starterAnalysis}, `, figure('rateGPerM2', need.productRateGPerM2), ', ', need.product, ' in two directions.'],
    gates, hours,
  }
}

function cover(input: BriefInput): Brief {
  const { survey, settings } = input
  const volume = layerVolume('Cover', survey.areaM2, settings.coverMm, 0, { kind: 'user', text: 'Bring, cover' })
  return {
    settings: [figure('depthMm', settings.coverMm), ` of ${settings.coverMaterial} over all, `, volume, ' loose. Soil still shows a little.'],
    gates: [depthGate(input)],
    hours: crewHours('Cover', survey.areaM2, [{ what: 'Covering', passes: 1, rateM2PerH: RATES.cover }]),
  }
}

function water({ survey }: BriefInput): Brief {
  return {
    settings: [figure('waterMm', FIRST_WATERING_MM), ' within the hour, ', wateringNeed(survey.areaM2, FIRST_WATERING_MM), ', fine and from above, in turns that do not puddle.'],
    gates: [onTheDay('water on site, sprinklers run once before sowing')],
    hours: crewHours('Water in', survey.areaM2, [{ what: 'Setting out', passes: 1, rateM2PerH: RATES.broadcast }]),
  }
}

function check({ survey }: BriefInput): Brief {
  return {
    settings: ['Early afternoon. Top ', figure('depthMm', 10), ' dark and moist? Washed seed, birds, dry corners.'],
    gates: [],
    hours: crewHours('First check', survey.areaM2, [{ what: 'Walking it', passes: 1, rateM2PerH: RATES.inspect }]),
  }
}

function mow({ survey, grass }: BriefInput): Brief {
  const keptMm = Math.min(Math.max(survey.mowingHeightMm, grass.mowingMm[0]), grass.mowingMm[1])
  const standingMm = firstMowHeightMm(keptMm)
  return {
    settings: ['At ', figure('depthMm', standingMm), ', down to ', figure('depthMm', firstCutMm(standingMm, keptMm)), ', bag on, light machine, push and pull.'],
    gates: [onTheDay('seedlings hold against a tug'), onTheDay('grass dry')],
    hours: crewHours('First mow', survey.areaM2, [{ what: 'Mowing', passes: 1, rateM2PerH: RATES.scalp }]),
  }
}

export const BRIEFS: Record<OperationCode, (input: BriefInput) => Brief> = {
  scalp, dethatch, core, sow, rake, feed, cover, water, check, mow,
}
