import { say } from '../../explain/message'
import { COVER_NAMES } from '../../materials/covers'
import { figure } from '../../measure/figure'
import { LIFT_MM } from '../../site/hollow'
import { carriedHours } from '../carrying'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { bringsLoam, coverM3, FEATHERED, madeOfBareSoil, soilOf, wantsRelaying, type Part } from '../parts'
import { SERVICES, SOIL } from './cautions'
import { coverByTruck } from './covering'
import { onTheDay, operation, RENOVATIONS, SEEDBEDS, SEEDED, type Brief, type Charge } from './definition'
import { firstShare, laterLiftsM3, soilNowM3, TIPPED_FROM_M3 } from './lifts'
import { layered, soilName, soilUsed } from './soilChoice'

/** Turf is cut this deep to come off and knit again, mm. @source own */
const SOD_MM = 40

/** A firmed seedbed takes a footprint no deeper than this, mm. @source turf handbooks, from memory: half an inch */
const FOOTPRINT_MM = 12.7

/** What goes over the filled hollow; a dressing sows nothing. */
const relayingOf = ({ practices, programme }: Part): Part['practices']['relaying'] =>
  practices.relaying === 'seed on top' && programme.anchor !== 'seeding' ? 'own turf' : practices.relaying

function newTurf(parts: readonly Part[]): Charge[] {
  const areaM2 = parts
    .filter((part) => wantsRelaying(part) && relayingOf(part) === 'new turf')
    .reduce((sum, part) => sum + soilOf(part).overM2 / FEATHERED, 0)
  return areaM2 ? [{ what: say('operations.newTurf'), price: 'sod', amount: figure('areaM2', areaM2) }] : []
}

const relay = operation({
  code: 'relay',
  order: 90,
  name: say('operations.relayName'),
  done: say('operations.relayDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: -6,
  weight: 0.3,
  why: say('operations.relayWhy'),
  check: say('operations.relayCheck'),
  caution: SERVICES,
  programmes: [...RENOVATIONS, 'level'],
  records: ['passes'],
  dispensable: true,
  wanted: wantsRelaying,
  lags: [
    { from: 'relay', to: 'scalp', least: 0, why: say('operations.turfIsRelaidBefore') },
    { from: 'relay', to: 'lift', least: 0, why: say('operations.theDeepHollowIs') },
  ],
  wantsDry: true,
  breaksGround: true,
  charges: (_, parts) => newTurf(parts),
  brief: (part) => {
    const { deepestMm, volumeM3, overM2 } = soilOf(part)
    return {
      settings: say('operations.cutTheTurfOver', {
        how: relayingOf(part).replaceAll(' ', '_'),
        SOD_MM: figure('depthMm', SOD_MM),
        volumeM3: figure('volumeM3', volumeM3),
        soilName: soilName(part),
        deepestMm: figure('depthMm', deepestMm),
      }),
      gates: [],
      hours: carriedHours(
        crewHours(say('operations.liftTurfFillRelay'), overM2 / FEATHERED, [
          { what: say('operations.cuttingAndRelaying'), passes: 1, rateM2PerH: RATES.fork },
        ]),
        say('operations.barrowing'),
        volumeM3,
        part.way,
      ),
    }
  },
})

const LONG_HEAP = say('operations.aHeapDoesNot')
const delivery = operation({
  code: 'delivery',
  order: 170,
  name: say('operations.deliveryName'),
  done: say('operations.deliveryDone'),
  mark: 'visit',
  phase: 'work',
  preferredDay: -2,
  weight: 0.5,
  why: say('operations.deliveryWhy'),
  check: say('operations.deliveryCheck'),
  caution: say('operations.deliveryCaution'),
  programmes: [...SEEDED, 'level'],
  mayBeLate: true,
  wanted: (part) => soilNowM3(part) >= TIPPED_FROM_M3 || coverByTruck(part),
  lags: [
    { from: 'delivery', to: 'level', least: 0, most: 5, why: LONG_HEAP },
    { from: 'delivery', to: 'lift', least: 0, most: 5, why: LONG_HEAP },
    { from: 'delivery', to: 'sow', least: 0, most: 10, why: LONG_HEAP },
  ],
  brief: (part) => {
    const volumeM3 = soilNowM3(part)
    const cover = coverByTruck(part) ? coverM3(part) : 0
    return {
      settings: say('operations.ofSoilAndOf', {
        hasVolumeM3: Boolean(volumeM3),
        volumeM3: figure('volumeM3', volumeM3),
        hasVolumeM32: Boolean(volumeM3 && cover),
        hasCover: Boolean(cover),
        cover: figure('volumeM3', cover),
        coverMaterial: COVER_NAMES[part.settings.coverMaterial],
      }),
      gates: [onTheDay(say('operations.groundClearedTippingPlace'))],
      hours: crewHours(say('operations.delivery'), 0, []),
    }
  },
})

/** Heaps for lifts after the first: one for each that is more than the van carries. */
const heapsLater = (parts: readonly Part[]): number => laterLiftsM3(parts).filter((m3) => m3 >= TIPPED_FROM_M3).length

/** A heap does not lie for weeks: each later lift has its own. */
const laterDelivery = operation({
  code: 'laterDelivery',
  order: 354,
  name: say('operations.laterDeliveryName'),
  done: say('operations.deliveryDone'),
  mark: 'visit',
  phase: 'after',
  preferredDay: 58,
  weight: 0.05,
  why: say('operations.laterDeliveryWhy'),
  check: say('operations.deliveryCheck'),
  caution: say('operations.deliveryCaution'),
  programmes: ['overseed', 'hard', 'warm', 'level'],
  mayBeLate: true,
  wanted: (part) => heapsLater([part]) > 0,
  times: heapsLater,
  turnName: say('operations.heapTurnName'),
  between: { least: 1, why: say('operations.heapAfterHeap') },
  day: ({ number, fourthMow, planning, anchor }) =>
    (anchor === 'seeding' ? fourthMow + 7 + (number - 1) * planning.liftGrow : number * planning.liftGrow) - 2,
  lags: [
    { from: 'laterDelivery', to: 'laterLift', least: 0, most: 5, why: LONG_HEAP, eachTurn: 0 },
    { from: 'laterDelivery', to: 'lift', least: 0, most: 5, why: LONG_HEAP, eachTurn: 1 },
  ],
  brief: (part, { number, of }) => ({
    ...(of > 1 ? { name: say('operations.laterDeliveryOf', { number, of }) } : {}),
    settings: say('operations.ofSoilAndOf', {
      hasVolumeM3: true,
      volumeM3: figure('volumeM3', laterLiftsM3([part])[number - 1] ?? 0),
      hasVolumeM32: false,
      hasCover: false,
      cover: figure('volumeM3', 0),
      coverMaterial: COVER_NAMES[part.settings.coverMaterial],
    }),
    gates: [onTheDay(say('operations.groundClearedTippingPlace'))],
    hours: crewHours(say('operations.delivery'), 0, []),
  }),
})

/** Bare ground is raked to its levels all over, whatever comes to it. */
function graded(part: Part): Brief {
  const { areaM2 } = part.survey
  const { volumeM3 } = soilOf(part)
  return {
    settings: say('operations.rakeToLevels', {
      hasVolumeM3: volumeM3 > 0,
      volumeM3: figure('volumeM3', volumeM3),
      soilName: soilName(part),
    }),
    gates: [
      ...layered(part),
      onTheDay(say('operations.dryOnTop')),
      onTheDay(say('operations.footprintsNoDeeper', { most: figure('depthMm', FOOTPRINT_MM) })),
    ],
    hours: carriedHours(
      crewHours(say('operations.level'), areaM2, [
        { what: say('operations.draggingLevel'), passes: 1, rateM2PerH: RATES.level },
        { what: say('operations.rolling'), passes: 1, rateM2PerH: RATES.roll },
      ]),
      say('operations.barrowing'),
      volumeM3,
      part.way,
    ),
  }
}

function levelled(part: Part): Brief {
  const { deepestMm, overM2 } = soilOf(part)
  const volumeM3 = soilNowM3(part)
  const dressFirst =
    part.practices.dressing === 'dress first' || (part.practices.dressing === 'by depth' && deepestMm > LIFT_MM)
  const living = part.programme.keepsTurf && deepestMm > LIFT_MM
  return {
    settings: say('operations.ofSettlingAddedOver', {
      volumeM3: figure('volumeM3', volumeM3),
      soilName: soilName(part),
      hasLiving: Boolean(living),
      hasDressFirst: Boolean(dressFirst),
    }),
    gates: [
      ...layered(part),
      onTheDay(say('operations.materialDryNoRain')),
      onTheDay(say('operations.footprintsDoNotSink')),
    ],
    hours: carriedHours(
      crewHours(say('operations.level'), overM2, [
        { what: say('operations.draggingLevel'), passes: 1, rateM2PerH: RATES.level },
      ]),
      say('operations.barrowing'),
      volumeM3,
      part.way,
    ),
  }
}

const level = operation({
  code: 'level',
  order: 180,
  name: say('operations.levelName'),
  done: say('operations.levelDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: -1,
  weight: 1,
  why: say('operations.levelWhy'),
  check: say('operations.levelCheck'),
  caution: SOIL,
  programmes: SEEDBEDS,
  records: ['passes'],
  wanted: (part) => madeOfBareSoil(part) || part.survey.hollowM3 > 0 || bringsLoam(part),
  after: ['delivery', 'core', 'dethatch', 'loosen'],
  lags: [{ from: 'level', to: 'sow', least: 'levelRest', most: 10, why: say('operations.firmedAndDraggedAgain') }],
  putsDown: 'dressing',
  closesLawn: true,
  uses: 'soil',
  demand: (part) => soilUsed(part, firstShare(part)),
  brief: (part) => (madeOfBareSoil(part) ? graded(part) : levelled(part)),
})

export const SOILWORK = [relay, delivery, laterDelivery, level] as const
