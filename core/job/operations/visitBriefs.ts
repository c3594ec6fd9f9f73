import { blendWords } from '../../seed/blends'
import { feedNeed, parseAnalysis } from '../../materials/feed'
import { figure } from '../../measure/figure'
import type { Worked } from '../../explain/working'
import { seedNeed } from '../../seed/liveSeed'
import type { Brief } from './brief'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { OperationCode } from './operations'
import { coverByTruck, coverM3, PLAN_RATE, seedOf, soilOf, type Part } from '../parts'

/** Share of a new stand that is seeded again where it stayed thin. @source own: told before anybody has seen it */
const WEAK_SHARE = 0.05
/** Water that softens ground for tines, mm. @source own */
const SOFTENING_MM = 20
/** Nitrogen of a light feed, g/m². @source own: a quarter of a pound on 1,000 ft² */
const LIGHT_N_G_PER_M2 = 1.2

const walked = (title: string, { survey }: Part): Worked =>
  crewHours(title, survey.areaM2, [{ what: 'Walking it', passes: 1, rateM2PerH: RATES.inspect }])
const sprayed = (title: string, { survey }: Part): Worked =>
  crewHours(title, survey.areaM2, [{ what: 'Spraying', passes: 1, rateM2PerH: RATES.spray }])
/** A quarter of an hour on the telephone. */
const called = (title: string): Worked => crewHours(title, 0, [])

function order(part: Part): Brief {
  const seed = seedOf(part)
  const { volumeM3 } = soilOf(part)
  return {
    settings: [
      ...(seed ? [figure('massKg', seed.product.value), ` of ${blendWords(part.seed)}`] : ['Materials']),
      ...(volumeM3 ? [', ', figure('volumeM3', volumeM3), ' of soil'] : []),
      '; feed and cover as in Bring; machines for the days below, one hire over several lawns where they meet.',
    ],
    gates: [],
    hours: called('Order and hire'),
  }
}

function delivery(part: Part): Brief {
  const { volumeM3 } = soilOf(part)
  const cover = coverByTruck(part) ? coverM3(part) : 0
  return {
    settings: [
      ...(volumeM3 ? [figure('volumeM3', volumeM3), ' of soil'] : []),
      ...(volumeM3 && cover ? [' and '] : []),
      ...(cover ? [figure('volumeM3', cover), ` of ${part.settings.coverMaterial}`] : []),
      ', tipped where it is drawn in Look, with room for the next load. Sheet it against rain.',
    ],
    gates: [{ state: 'waiting', text: ['ground cleared, tipping place free'] }],
    hours: called('Take delivery'),
  }
}

function fed(title: string, nGPerM2: number) {
  return ({ survey, settings }: Part): Brief => {
    const analysis = parseAnalysis(settings.starterAnalysis)
    const hours = crewHours(title, survey.areaM2, [{ what: 'Passes', passes: 2, rateM2PerH: RATES.broadcast }])
    if (!analysis) return { settings: ['No feed that can be read: enter the analysis in Bring.'], gates: [], hours }
    const need = feedNeed(survey.areaM2, nGPerM2, analysis)
    return {
      settings: [
        `${settings.starterAnalysis} or one without phosphorus, `,
        figure('rateGPerM2', need.productRateGPerM2),
        ', ',
        need.product,
        ' in two directions, watered in.',
      ],
      gates: [],
      hours,
    }
  }
}

const FINE_SEEDS_PER_G = 2000
/** Squares that hold 15 to 30 seedlings, mm. @source models.md §12 */
const squareMm = ({ grass }: Part): number => (grass.seedsPerG > FINE_SEEDS_PER_G ? 25 : 50)

function weak(part: Part): Brief {
  const { survey, settings } = part
  const need = seedNeed(survey.areaM2 * WEAK_SHARE, settings.seedRateGPerM2, settings.lot, PLAN_RATE)
  return {
    settings: [
      'Only where soil shows: about ',
      figure('massKg', need.product.value),
      ' kept back for ',
      figure('share', WEAK_SHARE, 1),
      ' of the ground, scratched in and kept moist.',
    ],
    gates: [],
    hours: crewHours('Weak spots', survey.areaM2 * WEAK_SHARE, [
      { what: 'By hand', passes: 1, rateM2PerH: RATES.fork },
    ]),
  }
}

/** Work that is not the renovation itself: what has to be ready for it, and what comes after. */
export const VISIT_BRIEFS = {
  hardWeeds: (part: Part): Brief => ({
    settings: [
      'Selective, over ',
      figure('areaM2', part.survey.areaM2),
      ' or in spots. Product and rate by the label; its wait before seed goes into Look.',
    ],
    gates: [{ state: 'waiting', text: ['licence of who sprays'] }],
    hours: sprayed('Treat hard weeds', part),
  }),
  soilTest: (part: Part): Brief => ({
    settings: [
      '15 to 20 plugs from all over, ',
      figure('depthMm', 101.6),
      ' deep, mixed dry in a clean bucket; sunny and shaded ground apart.',
    ],
    gates: [],
    hours: walked('Soil test', part),
  }),
  order,
  delivery,
  locate: (): Brief => ({
    settings: ['Report the work and its days to the local service; flag heads, valve boxes and pet fences yourself.'],
    gates: [],
    hours: called('Locate services'),
  }),
  waterAhead: ({ survey }: Part): Brief => ({
    settings: [
      figure('waterMm', SOFTENING_MM),
      ' in turns that do not puddle, the evening before at the latest, and a little on the morning.',
    ],
    gates: [],
    hours: crewHours('Water ahead', survey.areaM2, [{ what: 'Setting out', passes: 1, rateM2PerH: RATES.broadcast }]),
  }),
  preventer: (part: Part): Brief => ({
    settings: [
      'Seedling-safe (mesotrione or siduron type) over ',
      figure('areaM2', part.survey.areaM2),
      ', where species, label and law allow. Rate by the label.',
    ],
    gates: [{ state: 'waiting', text: ['the label names every grass that was sown'] }],
    hours: sprayed('Weed preventer', part),
  }),
  check: (part: Part): Brief => ({
    settings: ['Early afternoon. Top ', figure('depthMm', 10), ' dark and moist? Washed seed, birds, dry corners.'],
    gates: [],
    hours: walked('First check', part),
  }),
  green: (part: Part): Brief => ({
    settings: [
      'Squares of ',
      figure('depthMm', squareMm(part)),
      ', five in the sun and five in the shade. Water, wait; no more seed.',
    ],
    gates: [],
    hours: walked('First green', part),
  }),
  uncover: (part: Part): Brief => ({
    settings: [
      'Pegs and fleece off ',
      figure('areaM2', part.survey.areaM2),
      ' on a dull day or in the evening. Roll lightly where it lifted.',
    ],
    gates: [{ state: 'waiting', text: ['green shows through'] }],
    hours: crewHours('Cover off', part.survey.areaM2, [{ what: 'Rolling it up', passes: 1, rateM2PerH: RATES.fleece }]),
  }),
  weak,
  weedControl: (part: Part): Brief => ({
    settings: [
      'Selective, by its label for new grass, where weeds are still more than a few. Coarse grasses are dug out.',
    ],
    gates: [
      { state: 'waiting', text: ['four mowings counted'] },
      { state: 'waiting', text: ['licence of who sprays'] },
    ],
    hours: sprayed('Weed control', part),
  }),
  feedAgain: (part: Part): Brief => fed('Feed again', part.settings.starterNGPerM2 || LIGHT_N_G_PER_M2)(part),
  recoveryFeed: fed('Recovery feed', LIGHT_N_G_PER_M2),
  nip: ({ survey }: Part): Brief => ({
    settings: [
      'Rotary mower at ',
      figure('depthMm', survey.mowingHeightMm),
      ' and a little over, tips only; then twice a week.',
    ],
    gates: [{ state: 'waiting', text: ['leaf over the sand, surface dry'] }],
    hours: crewHours('Nip the top', survey.areaM2, [{ what: 'Mowing', passes: 1, rateM2PerH: RATES.scalp }]),
  }),
  regulator: (part: Part): Brief => ({
    settings: ['Over ', figure('areaM2', part.survey.areaM2), '. Rate by the label.'],
    gates: [
      { state: 'waiting', text: ['no bare patch larger than a hand'] },
      { state: 'waiting', text: ['licence of who sprays'] },
    ],
    hours: sprayed('Growth regulator', part),
  }),
  close: (part: Part): Brief => ({
    settings: ['Cover, gaps, colour and height noted; the client told how it is mown, fed and watered from here.'],
    gates: [],
    hours: walked('Close the job', part),
  }),
  nextSeason: (part: Part): Brief => ({
    settings: ['Cover counted as in Look; where it thinned, and why, before anything is ordered.'],
    gates: [],
    hours: walked('Next season’s count', part),
  }),
} satisfies Partial<Record<OperationCode, (part: Part) => Brief>>
