import { say } from '../../explain/message'
import { SOILS, soilMatter } from '../../materials/stock'
import { figure } from '../../measure/figure'
import { LIFT_MM, liftsFor } from '../../site/hollow'
import { carriedHours, LOADS_M3 } from '../carrying'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import { dragsIn, soilOf, wantsRelaying, type Part } from '../parts'
import { SOIL } from './cautions'
import { MOWN_FOUR_TIMES, onTheDay, operation, type Brief, type Turn } from './definition'
import { laterLifts, sharesOf } from './lifts'
import { layered, soilName, soilUsed } from './soilChoice'

function dressed(part: Part, { number, of }: Turn): Brief {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  const shares = sharesOf(part)
  const own = shares[number - 1]
  if (!own)
    return {
      settings: say('operations.nothingMoreTheseHollows'),
      gates: [],
      hours: crewHours(say('operations.dress'), 0, []),
    }
  if (volumeM3 * own.volumeShare < LOADS_M3.bucket)
    return {
      name: say('operations.dressLiftOf', { number, of }),
      settings: say('operations.aBucketOrLess', { soilName: soilName(part) }),
      gates: [],
      hours: crewHours(say('operations.dress'), 0, []),
    }
  const last = number === shares.length
  const more = last ? '' : say('operations.theNextWhenIt')
  return {
    ...(of > 1 ? { name: say('operations.dressLiftOf', { number, of }) } : {}),
    settings: say('operations.ofSettlingAddedAt', {
      volumeM3: figure('volumeM3', volumeM3 * own.volumeShare),
      soilName: soilName(part),
      deepestMm: figure('depthMm', last ? deepestMm - (number - 1) * LIFT_MM : LIFT_MM),
      overM2: figure('areaM2', overM2 * own.areaShare),
      more,
    }),
    gates: layered(part),
    hours: carriedHours(
      crewHours(say('operations.dress'), overM2 * own.areaShare, [
        { what: say('operations.draggingLevel'), passes: 1, rateM2PerH: RATES.level },
      ]),
      say('operations.barrowing'),
      volumeM3 * own.volumeShare,
      part.way,
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
  name: say('operations.liftName'),
  done: say('operations.liftDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  alsoCalled: say('operations.liftAlsoCalled'),
  why: say('operations.liftWhy'),
  check: say('operations.liftCheck'),
  caution: SOIL,
  programmes: ['level'],
  anchors: 'dressing',
  records: ['passes'],
  ledgeLabel: say('operations.liftLedgeLabel'),
  times: liftsOf,
  turnName: say('operations.liftTurnName'),
  between: { least: 'liftGrow', why: say('operations.turfHasToGrow') },
  day: ({ number, planning }) => (number - 1) * planning.liftGrow,
  after: ['delivery', 'core', 'scalp'],
  lags: [{ from: 'lift', to: 'close', least: 28, why: say('operations.itHasToHave') }],
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

/** Thin topdressing that seed is dragged into, mm. @source trade */
const TOPDRESSING_MM = 3
const topdressingM3 = ({ survey }: Part): number => (survey.areaM2 * TOPDRESSING_MM) / 1000

const topdress = operation({
  code: 'topdress',
  order: 185,
  name: say('operations.topdressName'),
  done: say('operations.liftDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: 0,
  weight: 1,
  why: say('operations.topdressWhy'),
  check: say('operations.topdressCheck'),
  caution: SOIL,
  programmes: ['warm'],
  wanted: dragsIn,
  lags: [
    { from: 'topdress', to: 'sow', least: 0, most: 1, why: say('operations.seedIsDraggedIn') },
    { from: 'core', to: 'topdress', least: 0, why: say('operations.dressingFallsIntoOpen') },
  ],
  putsDown: 'dressing',
  uses: 'soil',
  demand: (part) => [
    {
      matter: soilMatter('sand'),
      words: SOILS.sand,
      amount: topdressingM3(part),
    },
  ],
  brief: (part) => ({
    settings: say('operations.topdressSettings', {
      depth: figure('depthMm', TOPDRESSING_MM),
      volume: figure('volumeM3', topdressingM3(part)),
    }),
    gates: [onTheDay(say('operations.materialDryNoRain'))],
    hours: carriedHours(
      crewHours(say('operations.topdressName'), part.survey.areaM2, [
        { what: say('operations.draggingLevel'), passes: 1, rateM2PerH: RATES.cover },
      ]),
      say('operations.barrowing'),
      topdressingM3(part),
      part.way,
    ),
  }),
})

/** Lifts go on over new grass that was mown four times; the first of the hollow lies under its seed. */
const laterLift = operation({
  code: 'laterLift',
  order: 355,
  name: say('operations.laterLiftName'),
  done: say('operations.liftDone'),
  mark: 'machine',
  phase: 'after',
  preferredDay: 60,
  weight: 0.05,
  why: say('operations.laterLiftWhy'),
  check: say('operations.liftCheck'),
  caution: SOIL,
  programmes: ['overseed', 'hard', 'warm'],
  records: ['passes'],
  wanted: (part) => laterLifts(part).length > 0,
  times: (parts) => Math.max(1, ...parts.map((part) => laterLifts(part).length)),
  turnName: say('operations.liftTurnName'),
  between: { least: 'liftGrow', why: say('operations.turfHasToGrow') },
  day: ({ number, fourthMow, planning }) => fourthMow + 7 + (number - 1) * planning.liftGrow,
  after: ['mow'],
  lags: [{ from: 'mow', to: 'laterLift', least: 21, why: say('operations.threeMoreMowingsAbout'), fromFirst: true }],
  wantsTurns: MOWN_FOUR_TIMES,
  putsDown: 'dressing',
  wantsGrowth: true,
  partOfGround: true,
  uses: 'soil',
  demand: (part, { number }) => soilUsed(part, laterLifts(part)[number - 1]?.volumeShare ?? 0),
  brief: (part, { number, of }) => dressed(part, { number: number + 1, of: of + 1 }),
})

export const DRESSING = [topdress, lift, laterLift] as const
