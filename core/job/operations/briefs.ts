import { blendWords, depthLimitOf } from '../../seed/blends'
import { feedNeed, parseAnalysis } from '../../materials/feed'
import { layerVolume, wateringNeed } from '../../materials/volume'
import { firstCutMm, firstMowHeightMm } from '../../establishment/growth'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Phrase } from '../../explain/phrase'
import { liftShares, LIFT_MM } from '../../site/hollow'
import { addedHours, crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { OperationCode } from './operations'
import { seedOf, slitSeeded, soilOf, type Part } from '../parts'
import { buriedMm } from '../settings'
import { onTheDay, type Brief, type Turn } from './brief'
import { core, dethatch, fork, loosen, relay, soilName } from './groundBriefs'
import { VISIT_BRIEFS } from './visitBriefs'
import { clippings, scalpSteps } from './scalping'

/** Water of the first watering, mm: damp to an inch. @source own */
export const FIRST_WATERING_MM = 6.35

function kill(title: string, gates: Gate[]) {
  return ({ survey }: Part): Brief => ({
    settings: ['Blanket over ', figure('areaM2', survey.areaM2), ', guide lines first, edges and plants shielded. Rate and water by the label.'],
    gates, hours: crewHours(title, survey.areaM2, [{ what: 'Spraying', passes: 1, rateM2PerH: RATES.spray }]),
  })
}
const SPRAY_GATES = [onTheDay('leaf dry, wind 2 to 10 mph (3 to 16 km/h), no rain due by the label'), onTheDay('licence of who sprays')]

function scalp({ survey, settings }: Part): Brief {
  const { heightsMm, severe } = scalpSteps(survey.mowingHeightMm, settings.scalpToMm)
  const steps = heightsMm.flatMap((mm): Phrase => [' to ', figure('depthMm', mm)])
  const gates: Gate[] = [onTheDay('grass dry at each cut, blade sharp')]
  if (severe) gates.unshift({ state: 'risk', text: ['more than a third comes off each time; add a cut if it rips'] })
  const already = survey.mowingHeightMm <= settings.scalpToMm
  return {
    settings: already ? ['One cut at ', figure('depthMm', survey.mowingHeightMm), ', as it is kept, bag on: it is no higher than the scalp goes.'] : [figure('count', heightsMm.length), heightsMm.length > 1 ? ' cuts lowering ' : ' cut, ', figure('depthMm', survey.mowingHeightMm), ...steps, ', bag on. Haul off ', clippings(survey.areaM2, survey.mowingHeightMm, settings.scalpToMm), ' of clippings.'],
    gates,
    hours: crewHours('Scalp', survey.areaM2, [{ what: 'Cuts', passes: heightsMm.length, rateM2PerH: RATES.scalp }]),
  }
}

function clear({ survey }: Part): Brief {
  return { settings: ['Leaves and clippings off, by rake or with the mower’s bag.'], gates: [], hours: crewHours('Rake out leaves', survey.areaM2, [{ what: 'Clearing by mower', passes: 1, rateM2PerH: RATES.scalp }]) }
}

function levelSoil(part: Part): Phrase {
  const { volumeM3 } = soilOf(part)
  return [figure('volumeM3', volumeM3), ` of ${soilName(part)}, settling added`]
}
const hoursToMove = (part: Part, title: string, times = 1) =>
  addedHours(crewHours(title, soilOf(part).overM2, [{ what: 'Dragging level', passes: times, rateM2PerH: RATES.level }]), 'Barrowing', soilOf(part).volumeM3, RATES.barrowM3PerH)

function level(part: Part): Brief {
  const { deepestMm } = soilOf(part)
  const dressFirst = part.schools.dressing === 'dress first' || (part.schools.dressing === 'by depth' && deepestMm > LIFT_MM)
  const living = part.programme.keepsTurf && deepestMm > LIFT_MM
  return {
    settings: [...levelSoil(part), living ? '. Over living grass one lift of ½ in (12 mm); the rest in later lifts. ' : '. Heaps, rake, drag; heel or roll, drag again. ', dressFirst ? 'Before the seed, which is then raked in.' : 'Thin over the seed at the end; only the deep places now.'],
    gates: [onTheDay('material dry: no rain on it for 3 days'), onTheDay('footprints do not sink after firming')], hours: hoursToMove(part, 'Level'),
  }
}

/** Soil that is carried in one bucket, m³. @source own, reference §11 */
const BUCKET_M3 = 0.012

function lift(part: Part, { number, of }: Turn): Brief {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  const shares = liftShares(deepestMm, overM2 ? (volumeM3 / overM2) * 1000 : deepestMm)
  const own = shares[number - 1]
  if (!own) return { settings: ['Nothing more: these hollows are full.'], gates: [], hours: crewHours('Dress', 0, []) }
  const last = number === shares.length
  if (volumeM3 * own.volumeShare < BUCKET_M3) {
    return { name: `Dress, lift ${number} of ${of}`, settings: [`A bucket or less of ${soilName(part)} into the deepest place. Leaf tips show through.`], gates: [], hours: crewHours('Dress', 0, []) }
  }
  return {
    ...(of > 1 ? { name: `Dress, lift ${number} of ${of}` } : {}),
    settings: [
      figure('volumeM3', volumeM3 * own.volumeShare), ` of ${soilName(part)}, settling added, `, figure('depthMm', last ? deepestMm - (number - 1) * LIFT_MM : LIFT_MM), ' at the most over ', figure('areaM2', overM2 * own.areaShare),
      '. Leaf tips show through.', ...(last ? [] : [' The next when it has grown through.']),
    ],
    gates: [],
    hours: addedHours(crewHours('Dress', overM2 * own.areaShare, [{ what: 'Dragging level', passes: 1, rateM2PerH: RATES.level }]), 'Barrowing', volumeM3 * own.volumeShare, RATES.barrowM3PerH),
  }
}

const SLIT_MM = 6

function sow(part: Part): Brief {
  const { survey, schools } = part
  const need = seedOf(part)
  if (!need) return { settings: [], gates: [], hours: crewHours('Sow', survey.areaM2, []) }
  const steep: Gate[] = survey.slopeShare > 0.15 && !slitSeeded(part) ? [{ state: 'risk', code: 'slope', text: ['steep: slit-seed, netting or fleece holds the seed'] }] : []
  if (slitSeeded(part)) {
    return {
      name: 'Slit-seed',
      settings: ['2', ' directions at half rate, ', need.pass, ' each, ', need.product, ` of ${blendWords(part.seed)} in all, slits no deeper than `, figure('depthMm', Math.min(SLIT_MM, depthLimitOf(part.seed))), '. In place of dethatching, sowing and raking.'],
      gates: [onTheDay('soil moist enough that slits open clean')],
      hours: crewHours('Slit-seed', survey.areaM2, [{ what: 'Directions', passes: 2, rateM2PerH: RATES.slit }]),
    }
  }
  const mixed = schools.mixing === 'mixed'
  return {
    settings: ['2', ' half-rate passes at right angles, ', need.pass, ' each, ', need.product, ` of ${blendWords(part.seed)} in all${mixed ? ', mixed by hand with the feed' : ''}. Start with the gate closed; edges by hand.`],
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
    ? { state: 'hold', code: 'depth', text: ['raked in and covered ', figure('depthMm', totalMm), ', deeper than ', limit, `, the most ${seed.length > 1 ? 'the shallowest of the mixture' : blendWords(seed)} grows through`], source }
    : { state: 'met', text: ['raked in and covered ', figure('depthMm', totalMm), ' of ', limit, ' at the most'], source }
}

function rake(part: Part): Brief {
  const { survey, settings, programme } = part
  return {
    settings: programme.code === 'winter' ? ['Shake the seed down with the back of a rake; the turf stays whole.'] : ['To ', figure('depthMm', settings.rakeMm), ', backs of the tines, one way. Some seed still shows.'],
    gates: [depthGate(part)],
    hours: crewHours('Rake in', survey.areaM2, [{ what: 'Raking', passes: 1, rateM2PerH: RATES.rake }]),
  }
}

function firm({ survey }: Part): Brief {
  return { settings: ['Heel in, or a light roller one way. Footprints do not sink more than ½ in (12 mm).'], gates: [], hours: crewHours('Firm', survey.areaM2, [{ what: 'Rolling', passes: 1, rateM2PerH: RATES.roll }]) }
}

const PREVENTER: Record<Part['schools']['preventer'], string> = {
  none: '', apart: '',
  combined: ' The starter carries a seedling-safe preventer: the lower of feed limit and label rate holds.',
}

function feed({ survey, settings, schools }: Part): Brief {
  const analysis = parseAnalysis(settings.starterAnalysis)
  const passes = 2 - (schools.mixing === 'mixed' ? 1 : 0)
  const hours = crewHours('Feed', survey.areaM2, [{ what: 'Passes', passes, rateM2PerH: RATES.broadcast }])
  if (!analysis) return { settings: ['No feed that can be read: enter the analysis in Bring.'], gates: [], hours }
  const need = feedNeed(survey.areaM2, settings.starterNGPerM2, analysis)
  const gates: Gate[] = analysis.p2o5Share > 0 ? [onTheDay('phosphorus only where a soil test is short of it and local law allows')] : []
  return {
    settings: [`${settings.starterAnalysis}, `, figure('rateGPerM2', need.productRateGPerM2), ', ', need.product, ` in two directions.${PREVENTER[schools.preventer]}`],
    gates, hours,
  }
}

function cover(part: Part): Brief {
  const { survey, settings } = part
  const hours = crewHours('Cover', survey.areaM2, [{ what: 'Covering', passes: 1, rateM2PerH: settings.coverMaterial === 'fleece' ? RATES.fleece : RATES.cover }])
  if (settings.coverMaterial === 'fleece') return { settings: ['Fleece over ', figure('areaM2', survey.areaM2), ', pegged. Off when green shows, 16 days at the most.'], gates: [depthGate(part)], hours }
  const volume = layerVolume('Cover', survey.areaM2, settings.coverMm, 0, { kind: 'user', text: 'Bring, cover' })
  return { settings: [figure('depthMm', settings.coverMm), ` of ${settings.coverMaterial} over all, `, volume, ' loose. Soil still shows a little.'], gates: [depthGate(part)], hours }
}

function water({ survey }: Part): Brief {
  return {
    settings: [figure('waterMm', FIRST_WATERING_MM), ' within the hour, ', wateringNeed(survey.areaM2, FIRST_WATERING_MM), ', fine and from above, in turns that do not puddle.'],
    gates: [onTheDay('water on site, sprinklers run once before sowing')],
    hours: crewHours('Water in', survey.areaM2, [{ what: 'Setting out', passes: 1, rateM2PerH: RATES.broadcast }]),
  }
}

function mow({ survey, grass }: Part): Brief {
  const keptMm = Math.min(Math.max(survey.mowingHeightMm, grass.mowingMm[0]), grass.mowingMm[1])
  const standingMm = firstMowHeightMm(keptMm)
  return {
    settings: ['At ', figure('depthMm', standingMm), ', down to ', figure('depthMm', firstCutMm(standingMm, keptMm)), ', bag on, light machine, push and pull.'],
    gates: [onTheDay('seedlings hold against a tug'), onTheDay('grass dry')],
    hours: crewHours('First mow', survey.areaM2, [{ what: 'Mowing', passes: 1, rateM2PerH: RATES.scalp }]),
  }
}

const BRIEFS: Record<Exclude<OperationCode, 'own'>, (part: Part, turn: Turn) => Brief> = {
  ...VISIT_BRIEFS,
  killAutumn: kill('Kill, autumn before', SPRAY_GATES), kill1: kill('Kill, first', SPRAY_GATES), kill2: kill('Kill, again', [...SPRAY_GATES, onTheDay('regrowth seen')]), kill3: kill('Kill, third', [...SPRAY_GATES, onTheDay('regrowth seen')]),
  scalp, clear, dethatch, core, fork, loosen, level, lift, relay, sow, rake, firm, feed, cover, water, mow,
}

const same = (a: Gate, b: Gate): boolean => JSON.stringify([a.state, a.text]) === JSON.stringify([b.state, b.text])

/** The brief of an operation over all parts that have it; where there are several, each is named by its zones. */
export function briefOf(code: Exclude<OperationCode, 'own'>, parts: readonly Part[], turn: Turn = { number: 1, of: 1 }): Brief {
  const briefs = parts.map((part) => BRIEFS[code](part, turn))
  if (briefs.length === 1) return briefs[0]!
  const settings = briefs.flatMap((brief, i): Phrase => [`${parts[i]!.zones.join(', ')}: `, ...brief.settings, ' '])
  const gates = briefs.flatMap((brief) => brief.gates).filter((gate, i, all) => all.findIndex((other) => same(gate, other)) === i)
  const value = briefs.reduce((sum, { hours }) => sum + hours.value, 0)
  const lines = briefs.flatMap(({ hours }) => hours.working.lines)
  const { title, formula } = briefs[0]!.hours.working
  const name = briefs.find((brief) => brief.name)?.name
  return { ...(name ? { name } : {}), settings, gates, hours: { value, working: { title, formula, result: figure('hours', value), lines: [...lines, { operator: '=', what: 'All parts', value: figure('hours', value), subtotal: true }] } } }
}
