import type { Phrase } from '../../explain/phrase'
import { SOILS, soilMatter, type Soil } from '../../materials/stock'
import { figure } from '../../measure/figure'
import { LIFT_MM, liftsFor, liftShares } from '../../site/hollow'
import { addedHours, crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { bringsLoam, coverM3, soilOf, wantsRelaying, type Part } from '../parts'
import { SERVICES, SOIL } from './cautions'
import { coverByTruck } from './covering'
import { onTheDay, operation, RENOVATIONS, type Brief, type Turn, type Wanted } from './definition'

/** Less soil than this comes in buckets on the van, m³: three barrow loads. @source own */
const TIPPED_FROM_M3 = 0.25
/** Soil that is carried in one bucket, m³. @source own */
const BUCKET_M3 = 0.012
/** Turf is cut this deep to come off and knit again, mm. @source own */
const SOD_MM = 40

/** Soil for levelling by the practice, or by the soil that is there. @source trade */
export function soilOfPlan({ practices, survey }: Part): Soil {
  if (practices.soil !== 'by texture') return practices.soil
  return survey.texture === 'sand' ? 'half organic' : survey.texture.includes('clay') ? 'topsoil' : 'sand'
}
export const soilName = (part: Part): string => SOILS[soilOfPlan(part)]

function soilUsed(part: Part, share = 1): Wanted[] {
  const amount = soilOf(part).volumeM3 * share
  return amount > 0 ? [{ matter: soilMatter(soilOfPlan(part)), words: 'soil', amount }] : []
}
/** What of a hollow's soil each lift takes. */
function sharesOf(part: Part) {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  return liftShares(deepestMm, overM2 ? (volumeM3 / overM2) * 1000 : deepestMm)
}

const relay = operation({
  code: 'relay',
  order: 90,
  name: 'Lift turf, fill, relay',
  done: 'relaid',
  mark: 'machine',
  phase: 'work',
  preferredDay: -6,
  weight: 0.3,
  why: 'A deep narrow hollow takes more soil than grass grows through: the turf comes off, goes back on top.',
  check: 'Straight-edge across; turf lies tight, edges closed.',
  caution: SERVICES,
  programmes: [...RENOVATIONS, 'level'],
  records: ['passes'],
  dispensable: true,
  wanted: wantsRelaying,
  lags: [
    { from: 'relay', to: 'scalp', least: 0, why: 'turf is relaid before the mower comes' },
    { from: 'relay', to: 'lift', least: 0, why: 'the deep hollow is filled first' },
  ],
  wantsDry: true,
  breaksGround: true,
  brief: (part) => {
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
  },
})

const LONG_HEAP = 'a heap does not lie on a lawn for long'
const delivery = operation({
  code: 'delivery',
  order: 170,
  name: 'Delivery',
  done: 'delivered',
  mark: 'visit',
  phase: 'work',
  preferredDay: -2,
  weight: 0.5,
  why:
    'Look before it is tipped: stones, weeds, wet. Scoops vary; note the real volume. A fixed date that ' +
    'pushes everything before it.',
  check: 'What came is dry, screened and enough.',
  caution: 'Keep people off where the truck backs and tips. Sheet a heap that waits.',
  programmes: ['spot', ...RENOVATIONS, 'level'],
  mayBeLate: true,
  wanted: (part) => soilOf(part).volumeM3 >= TIPPED_FROM_M3 || coverByTruck(part),
  lags: [
    { from: 'delivery', to: 'level', least: 0, most: 5, why: LONG_HEAP },
    { from: 'delivery', to: 'lift', least: 0, most: 5, why: LONG_HEAP },
    { from: 'delivery', to: 'sow', least: 0, most: 10, why: LONG_HEAP },
  ],
  brief: (part) => {
    const { volumeM3 } = soilOf(part)
    const cover = coverByTruck(part) ? coverM3(part) : 0
    return {
      settings: [
        ...(volumeM3 ? [figure('volumeM3', volumeM3), ' of soil'] : []),
        ...(volumeM3 && cover ? [' and '] : []),
        ...(cover ? [figure('volumeM3', cover), ` of ${part.settings.coverMaterial}`] : []),
        ', tipped where it is drawn in Look, with room for the next load. Sheet it against rain.',
      ],
      gates: [onTheDay('ground cleared, tipping place free')],
      hours: crewHours('Delivery', 0, []),
    }
  },
})

function levelled(part: Part): Brief {
  const { volumeM3, deepestMm, overM2 } = soilOf(part)
  const dressFirst =
    part.practices.dressing === 'dress first' || (part.practices.dressing === 'by depth' && deepestMm > LIFT_MM)
  const living = part.programme.keepsTurf && deepestMm > LIFT_MM
  return {
    settings: [
      figure('volumeM3', volumeM3),
      ` of ${soilName(part)}, settling added`,
      living
        ? '. Over living grass one lift of ½ in (12 mm); the rest in later lifts. '
        : '. Heaps, rake, drag; heel or roll, drag again. ',
      dressFirst
        ? 'Before the seed, which is then raked in.'
        : 'Thin over the seed at the end; only the deep places now.',
    ],
    gates: [onTheDay('material dry: no rain on it for 3 days'), onTheDay('footprints do not sink after firming')],
    hours: addedHours(
      crewHours('Level', overM2, [{ what: 'Dragging level', passes: 1, rateM2PerH: RATES.level }]),
      'Barrowing',
      volumeM3,
      RATES.barrowM3PerH,
    ),
  }
}

const level = operation({
  code: 'level',
  order: 180,
  name: 'Level',
  done: 'levelled',
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: 'Bumps left at sowing stay for good.',
  check: 'Straight-edge; footprints do not sink, before seed goes down.',
  caution: SOIL,
  programmes: RENOVATIONS,
  records: ['passes'],
  wanted: (part) => part.survey.hollowM3 > 0 || bringsLoam(part),
  after: ['delivery', 'core', 'dethatch'],
  lags: [{ from: 'level', to: 'sow', least: 'levelRest', most: 10, why: 'firmed and dragged again a day later' }],
  putsDown: 'dressing',
  closesLawn: true,
  uses: 'soil',
  demand: (part) => soilUsed(part),
  brief: levelled,
})

function dressed(part: Part, { number, of }: Turn): Brief {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  const shares = sharesOf(part)
  const own = shares[number - 1]
  if (!own) return { settings: ['Nothing more: these hollows are full.'], gates: [], hours: crewHours('Dress', 0, []) }
  if (volumeM3 * own.volumeShare < BUCKET_M3)
    return {
      name: `Dress, lift ${number} of ${of}`,
      settings: [`A bucket or less of ${soilName(part)} into the deepest place. Leaf tips show through.`],
      gates: [],
      hours: crewHours('Dress', 0, []),
    }
  const last = number === shares.length
  const more: Phrase = last ? [] : [' The next when it has grown through.']
  return {
    ...(of > 1 ? { name: `Dress, lift ${number} of ${of}` } : {}),
    settings: [
      figure('volumeM3', volumeM3 * own.volumeShare),
      ` of ${soilName(part)}, settling added, `,
      figure('depthMm', last ? deepestMm - (number - 1) * LIFT_MM : LIFT_MM),
      ' at the most over ',
      figure('areaM2', overM2 * own.areaShare),
      '. Leaf tips show through.',
      ...more,
    ],
    gates: [],
    hours: addedHours(
      crewHours('Dress', overM2 * own.areaShare, [{ what: 'Dragging level', passes: 1, rateM2PerH: RATES.level }]),
      'Barrowing',
      volumeM3 * own.volumeShare,
      RATES.barrowM3PerH,
    ),
  }
}

/** Lifts until the deepest hollow of some parts is full. */
const liftsOf = (parts: readonly Part[]): number =>
  Math.max(
    1,
    ...parts.map((part) =>
      liftsFor(Math.min(soilOf(part).deepestMm, wantsRelaying(part) ? part.planning.hollowRelay : Infinity)),
    ),
  )

const lift = operation({
  code: 'lift',
  order: 190,
  name: 'Dress',
  done: 'dressed',
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  alsoCalled: 'topdress',
  why: 'Growing turf knits through a thin dressing. Leaf tips must show through.',
  check: 'Leaf tips show through all over.',
  caution: SOIL,
  programmes: ['level'],
  anchors: 'dressing',
  records: ['passes'],
  ledgeLabel: 'Dress',
  times: liftsOf,
  turnName: 'lift',
  between: { least: 'liftGrow', why: 'turf has to grow through a lift before the next' },
  day: ({ number, planning }) => (number - 1) * planning.liftGrow,
  after: ['delivery', 'core', 'scalp'],
  lags: [{ from: 'lift', to: 'close', least: 28, why: 'it has to have grown through' }],
  putsDown: 'dressing',
  wantsGrowth: true,
  needsGrowthAfter: true,
  pastSoaking: true,
  partOfGround: true,
  closesLawn: true,
  uses: 'soil',
  demand: (part, { number }) => soilUsed(part, sharesOf(part)[number - 1]?.volumeShare ?? 0),
  brief: dressed,
})

export const SOILWORK = [relay, delivery, level, lift] as const
