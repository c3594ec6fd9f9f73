import { say } from '../../explain/message'
import { coverMatter } from '../../materials/stock'
import { layerVolume } from '../../materials/volume'
import { COVER_NAMES } from '../../materials/covers'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { carriedHours } from '../carrying'
import { coverM3, depthGate, dragsIn, type Part } from '../parts'
import { yesOrNo, type VisitQuestion } from './asked'
import { operation, SEEDED, type Brief, type Charge, type Wanted } from './definition'

/** Heaps of cover from here on come by truck, m³. @source own */
const TRUCK_FROM_M3 = 1
const COVERED = SEEDED

/** Enough cover material that it comes as a load. */
export const coverByTruck = (part: Part): boolean =>
  (COVERED as readonly string[]).includes(part.programme.code) &&
  part.settings.coverMm > 0 &&
  part.settings.coverMaterial !== 'straw' &&
  part.settings.coverMaterial !== 'fleece' &&
  coverM3(part) >= TRUCK_FROM_M3

const isFleeced = ({ settings }: Part): boolean => settings.coverMm > 0 && settings.coverMaterial === 'fleece'

function covered(part: Part): Brief {
  const { survey, settings } = part
  const hours = crewHours(say('operations.cover'), survey.areaM2, [
    {
      what: say('operations.covering'),
      passes: 1,
      rateM2PerH: settings.coverMaterial === 'fleece' ? RATES.fleece : RATES.cover,
    },
  ])
  if (settings.coverMaterial === 'fleece')
    return {
      settings: say('operations.fleeceOverPeggedOff', { areaM2: figure('areaM2', survey.areaM2) }),
      gates: [depthGate(part)],
      hours,
    }
  const volume = layerVolume(say('operations.cover'), survey.areaM2, settings.coverMm, 0, {
    kind: 'user',
    text: say('operations.bringCover'),
  })
  const carried = carriedHours(hours, say('operations.cover'), volume.value, part.way)
  return {
    settings: say('operations.ofOverAllLoose', {
      coverMm: figure('depthMm', settings.coverMm),
      coverMaterial: COVER_NAMES[settings.coverMaterial],
      volume,
    }),
    gates: [depthGate(part)],
    hours: settings.coverMaterial === 'straw' ? hours : carried,
  }
}

function material(part: Part): Wanted[] {
  const { coverMaterial } = part.settings
  const amount = coverM3(part)
  return coverMaterial === 'fleece' || !(amount > 0)
    ? []
    : [{ matter: coverMatter(coverMaterial), words: COVER_NAMES[coverMaterial], amount }]
}

function fleece(parts: readonly Part[]): Charge[] {
  const areaM2 = parts.filter(isFleeced).reduce((sum, { survey }) => sum + survey.areaM2, 0)
  return areaM2 ? [{ what: say('operations.fleece'), price: 'fleece', amount: figure('areaM2', areaM2) }] : []
}

const cover = operation({
  code: 'cover',
  order: 250,
  name: say('operations.coverName'),
  done: say('operations.coverDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.coverWhy'),
  check: say('operations.coverCheck'),
  caution: say('operations.coverCaution'),
  programmes: COVERED,
  records: ['passes'],
  setBy: 'coverMm',
  wanted: (part) => part.settings.coverMm > 0 && !dragsIn(part),
  after: ['delivery', 'rake', 'sow'],
  lags: [{ from: 'sow', to: 'cover', least: 0, most: 0, why: say('operations.onTheDayOf') }],
  putsDown: 'dressing',
  uses: 'cover',
  demand: material,
  charges: (_, parts) => fleece(parts),
  brief: covered,
})

/** What is seen through the cloth and under it. */
const UNDER_THE_CLOTH: readonly VisitQuestion[] = [
  yesOrNo({
    code: 'green',
    asks: say('visits.uncoverGreen'),
    expects: say('visits.uncoverGreenExpects'),
    condition: say('operations.greenShowsThrough'),
    right: true,
    otherwise: {
      state: 'hold',
      text: ({ planning }) => say('visits.uncoverGreenNot', { days: planning.fleeceMost }),
    },
  }),
  yesOrNo({
    code: 'soil',
    asks: say('visits.uncoverSoil'),
    expects: say('visits.uncoverSoilExpects'),
    condition: say('visits.uncoverSoilCondition'),
    right: true,
    otherwise: { state: 'risk', text: say('visits.uncoverSoilNot') },
  }),
  yesOrNo({
    code: 'rot',
    asks: say('visits.uncoverRot'),
    expects: say('visits.uncoverRotExpects'),
    condition: say('visits.uncoverRotCondition'),
    right: false,
    otherwise: { state: 'risk', text: say('visits.uncoverRotNot') },
  }),
]

const uncover = operation({
  code: 'uncover',
  order: 300,
  name: say('operations.uncoverName'),
  done: say('operations.uncoverDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 12,
  weight: 0.5,
  why: say('operations.uncoverWhy'),
  check: say('operations.uncoverCheck'),
  programmes: SEEDED,
  asks: UNDER_THE_CLOTH,
  wanted: isFleeced,
  day: ({ up }) => Math.max(4, up),
  after: ['green'],
  neverTooLate: true,
  lags: [
    { from: 'sow', to: 'uncover', least: 4, most: 'fleeceMost', why: say('operations.fleeceComesOffBefore') },
    { from: 'green', to: 'uncover', least: 0, why: say('operations.greenHasToShow') },
  ],
  brief: ({ survey }) => ({
    settings: say('operations.pegsAndFleeceOff', { areaM2: figure('areaM2', survey.areaM2) }),
    gates: [],
    hours: crewHours(say('operations.coverOff'), survey.areaM2, [
      { what: say('operations.rollingItUp'), passes: 1, rateM2PerH: RATES.fleece },
    ]),
  }),
})

export const COVERING = [cover, uncover] as const
