import { feedNeed, parseAnalysis } from '../../materials/feed'
import { layerVolume, wateringNeed } from '../../materials/volume'
import { firstCutMm, firstMowHeightMm } from '../../establishment/growth'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Phrase } from '../../explain/phrase'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { OperationCode } from './operations'
import type { Part } from '../parts'
import { onTheDay, type Brief, type Turn } from './brief'
import { core, dethatch, fork, loosen, relay } from './groundBriefs'
import { VISIT_BRIEFS } from './visitBriefs'
import { clippings, scalpSteps } from './scalping'
import { level, lift } from './levelBriefs'
import { depthGate, rake, sow } from './seedBriefs'

/** Water of the first watering, mm: damp to an inch. @source own */
export const FIRST_WATERING_MM = 6.35

function kill(title: string, gates: Gate[]) {
  return ({ survey }: Part): Brief => ({
    settings: [
      'Blanket over ',
      figure('areaM2', survey.areaM2),
      ', guide lines first, edges and plants shielded. Rate and water by the label.',
    ],
    gates,
    hours: crewHours(title, survey.areaM2, [{ what: 'Spraying', passes: 1, rateM2PerH: RATES.spray }]),
  })
}
const SPRAY_GATES = [
  onTheDay('leaf dry, wind 2 to 10 mph (3 to 16 km/h), no rain due by the label'),
  onTheDay('licence of who sprays'),
]

function scalp({ survey, settings }: Part): Brief {
  const { heightsMm, severe } = scalpSteps(survey.mowingHeightMm, settings.scalpToMm)
  const steps = heightsMm.flatMap((mm): Phrase => [' to ', figure('depthMm', mm)])
  const gates: Gate[] = [onTheDay('grass dry at each cut, blade sharp')]
  if (severe) gates.unshift({ state: 'risk', text: ['more than a third comes off each time; add a cut if it rips'] })
  const already = survey.mowingHeightMm <= settings.scalpToMm
  return {
    settings: already
      ? [
          'One cut at ',
          figure('depthMm', survey.mowingHeightMm),
          ', as it is kept, bag on: it is no higher than the scalp goes.',
        ]
      : [
          figure('count', heightsMm.length),
          heightsMm.length > 1 ? ' cuts lowering ' : ' cut, ',
          figure('depthMm', survey.mowingHeightMm),
          ...steps,
          ', bag on. Haul off ',
          clippings(survey.areaM2, survey.mowingHeightMm, settings.scalpToMm),
          ' of clippings.',
        ],
    gates,
    hours: crewHours('Scalp', survey.areaM2, [{ what: 'Cuts', passes: heightsMm.length, rateM2PerH: RATES.scalp }]),
  }
}

function clear({ survey }: Part): Brief {
  return {
    settings: ['Leaves and clippings off, by rake or with the mower’s bag.'],
    gates: [],
    hours: crewHours('Rake out leaves', survey.areaM2, [
      { what: 'Clearing by mower', passes: 1, rateM2PerH: RATES.scalp },
    ]),
  }
}

function firm({ survey }: Part): Brief {
  return {
    settings: ['Heel in, or a light roller one way. Footprints do not sink more than ½ in (12 mm).'],
    gates: [],
    hours: crewHours('Firm', survey.areaM2, [{ what: 'Rolling', passes: 1, rateM2PerH: RATES.roll }]),
  }
}

const PREVENTER: Record<Part['schools']['preventer'], string> = {
  none: '',
  apart: '',
  combined: ' The starter carries a seedling-safe preventer: the lower of feed limit and label rate holds.',
}

function feed({ survey, settings, schools }: Part): Brief {
  const analysis = parseAnalysis(settings.starterAnalysis)
  const passes = 2 - (schools.mixing === 'mixed' ? 1 : 0)
  const hours = crewHours('Feed', survey.areaM2, [{ what: 'Passes', passes, rateM2PerH: RATES.broadcast }])
  if (!analysis) return { settings: ['No feed that can be read: enter the analysis in Bring.'], gates: [], hours }
  const need = feedNeed(survey.areaM2, settings.starterNGPerM2, analysis)
  const gates: Gate[] =
    analysis.p2o5Share > 0 ? [onTheDay('phosphorus only where a soil test is short of it and local law allows')] : []
  return {
    settings: [
      `${settings.starterAnalysis}, `,
      figure('rateGPerM2', need.productRateGPerM2),
      ', ',
      need.product,
      ` in two directions.${PREVENTER[schools.preventer]}`,
    ],
    gates,
    hours,
  }
}

function cover(part: Part): Brief {
  const { survey, settings } = part
  const hours = crewHours('Cover', survey.areaM2, [
    { what: 'Covering', passes: 1, rateM2PerH: settings.coverMaterial === 'fleece' ? RATES.fleece : RATES.cover },
  ])
  if (settings.coverMaterial === 'fleece')
    return {
      settings: [
        'Fleece over ',
        figure('areaM2', survey.areaM2),
        ', pegged. Off when green shows, 16 days at the most.',
      ],
      gates: [depthGate(part)],
      hours,
    }
  const volume = layerVolume('Cover', survey.areaM2, settings.coverMm, 0, { kind: 'user', text: 'Bring, cover' })
  return {
    settings: [
      figure('depthMm', settings.coverMm),
      ` of ${settings.coverMaterial} over all, `,
      volume,
      ' loose. Soil still shows a little.',
    ],
    gates: [depthGate(part)],
    hours,
  }
}

function water({ survey }: Part): Brief {
  return {
    settings: [
      figure('waterMm', FIRST_WATERING_MM),
      ' within the hour, ',
      wateringNeed(survey.areaM2, FIRST_WATERING_MM),
      ', fine and from above, in turns that do not puddle.',
    ],
    gates: [onTheDay('water on site, sprinklers run once before sowing')],
    hours: crewHours('Water in', survey.areaM2, [{ what: 'Setting out', passes: 1, rateM2PerH: RATES.broadcast }]),
  }
}

function mow({ survey, grass }: Part): Brief {
  const keptMm = Math.min(Math.max(survey.mowingHeightMm, grass.mowingMm[0]), grass.mowingMm[1])
  const standingMm = firstMowHeightMm(keptMm)
  return {
    settings: [
      'At ',
      figure('depthMm', standingMm),
      ', down to ',
      figure('depthMm', firstCutMm(standingMm, keptMm)),
      ', bag on, light machine, push and pull.',
    ],
    gates: [onTheDay('seedlings hold against a tug'), onTheDay('grass dry')],
    hours: crewHours('First mow', survey.areaM2, [{ what: 'Mowing', passes: 1, rateM2PerH: RATES.scalp }]),
  }
}

const BRIEFS: Record<Exclude<OperationCode, 'own'>, (part: Part, turn: Turn) => Brief> = {
  ...VISIT_BRIEFS,
  killAutumn: kill('Kill, autumn before', SPRAY_GATES),
  kill1: kill('Kill, first', SPRAY_GATES),
  kill2: kill('Kill, again', [...SPRAY_GATES, onTheDay('regrowth seen')]),
  kill3: kill('Kill, third', [...SPRAY_GATES, onTheDay('regrowth seen')]),
  scalp,
  clear,
  dethatch,
  core,
  fork,
  loosen,
  level,
  lift,
  relay,
  sow,
  rake,
  firm,
  feed,
  cover,
  water,
  mow,
}

const same = (a: Gate, b: Gate): boolean => JSON.stringify([a.state, a.text]) === JSON.stringify([b.state, b.text])

/** The brief of an operation over all parts that have it; where there are several, each is named by its zones. */
export function briefOf(
  code: Exclude<OperationCode, 'own'>,
  parts: readonly Part[],
  turn: Turn = { number: 1, of: 1 },
): Brief {
  const briefs = parts.map((part) => BRIEFS[code](part, turn))
  if (briefs.length === 1) return briefs[0]!
  const settings = briefs.flatMap((brief, i): Phrase => [`${parts[i]!.zones.join(', ')}: `, ...brief.settings, ' '])
  const gates = briefs
    .flatMap((brief) => brief.gates)
    .filter((gate, i, all) => all.findIndex((other) => same(gate, other)) === i)
  const value = briefs.reduce((sum, { hours }) => sum + hours.value, 0)
  const lines = briefs.flatMap(({ hours }) => hours.working.lines)
  const { title, formula } = briefs[0]!.hours.working
  const name = briefs.find((brief) => brief.name)?.name
  return {
    ...(name ? { name } : {}),
    settings,
    gates,
    hours: {
      value,
      working: {
        title,
        formula,
        result: figure('hours', value),
        lines: [...lines, { operator: '=', what: 'All parts', value: figure('hours', value), subtotal: true }],
      },
    },
  }
}
