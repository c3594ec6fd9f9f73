import { coverMatter } from '../../materials/stock'
import { layerVolume } from '../../materials/volume'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { coverM3, depthGate, type Part } from '../parts'
import { onTheDay, operation, SEEDED, type Brief, type Charge, type Wanted } from './definition'

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

function material(part: Part): Wanted[] {
  const { coverMaterial } = part.settings
  const amount = coverM3(part)
  return coverMaterial === 'fleece' || !(amount > 0)
    ? []
    : [{ matter: coverMatter(coverMaterial), words: coverMaterial, amount }]
}

function fleece(parts: readonly Part[]): Charge[] {
  const areaM2 = parts.filter(isFleeced).reduce((sum, { survey }) => sum + survey.areaM2, 0)
  return areaM2 ? [{ what: 'Fleece', price: 'fleece', amount: figure('areaM2', areaM2) }] : []
}

const cover = operation({
  code: 'cover',
  order: 250,
  name: 'Cover',
  done: 'covered',
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: 'Holds water round the seed, hides it from birds, and pales when it is dry.',
  check: 'Soil still shows a little.',
  caution: 'Peat and compost dust: mask and gloves, damp it down, wash hands. Bags over 25 kg want two people.',
  programmes: COVERED,
  records: ['passes'],
  setBy: 'coverMm',
  wanted: ({ settings }) => settings.coverMm > 0,
  after: ['delivery', 'rake', 'sow'],
  lags: [{ from: 'sow', to: 'cover', least: 0, most: 0, why: 'on the day of sowing' }],
  putsDown: 'dressing',
  uses: 'cover',
  demand: material,
  charges: (_, parts) => fleece(parts),
  brief: covered,
})

const uncover = operation({
  code: 'uncover',
  order: 300,
  name: 'Cover off',
  done: 'uncovered',
  mark: 'visit',
  phase: 'after',
  preferredDay: 12,
  weight: 0.5,
  why: 'Green shows through the fleece; under it seedlings grow weak and rot.',
  check: 'Soil still visible: a full carpet now means too much seed.',
  programmes: SEEDED,
  wanted: isFleeced,
  day: ({ up }) => Math.max(4, up),
  after: ['green'],
  lags: [
    { from: 'sow', to: 'uncover', least: 4, most: 'fleeceMost', why: 'fleece comes off before seedlings rot under it' },
    { from: 'green', to: 'uncover', least: 0, why: 'green has to show first' },
  ],
  brief: ({ survey }) => ({
    settings: [
      'Pegs and fleece off ',
      figure('areaM2', survey.areaM2),
      ' on a dull day or in the evening. Roll lightly where it lifted.',
    ],
    gates: [onTheDay('green shows through')],
    hours: crewHours('Cover off', survey.areaM2, [{ what: 'Rolling it up', passes: 1, rateM2PerH: RATES.fleece }]),
  }),
})

export const COVERING = [cover, uncover] as const
