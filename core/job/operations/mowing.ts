import { joined, say, type Message } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { firstCutMm, firstMowHeightMm, keptHeightMm } from '../../establishment/growth'
import { figure } from '../../measure/figure'
import { carriedHours } from '../carrying'
import { isCutLow } from '../decision/practiceFigures'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { Part } from '../parts'
import { isCutAndRaked, scalpGate } from '../scalpHeight'
import { STANDING_LEAVES, yesOrNo, type VisitQuestion } from './asked'
import { MOWER } from './cautions'
import { MOWN_FOUR_TIMES, onTheDay, operation, RENOVATIONS, SEEDBEDS, SEEDED, type Brief } from './definition'
import { GRASS_DRY, HOLDS_AGAINST_A_TUG, SURFACE_DRY } from './questions'
import { clippings, scalpSpanDays, scalpSteps } from './scalping'

function scalped({ survey, settings, standing, programme, way }: Part): Brief {
  const { heightsMm, severe } = scalpSteps(survey.mowingHeightMm, settings.scalpToMm)
  const steps = joined(heightsMm.map((mm) => say('operations.to', { mm: figure('depthMm', mm) })))
  const gates: Gate[] = [onTheDay(say('operations.grassDryAtEach'))]
  if (severe) gates.unshift({ state: 'risk', text: say('operations.moreThanAThird') })
  const against = standing.flatMap((one) => scalpGate(one, programme, settings.scalpToMm) ?? [])
  // Said once: of several zones by the one that minds most.
  gates.unshift(...against.sort((a, b) => Number(b.state === 'hold') - Number(a.state === 'hold')).slice(0, 1))
  const already = survey.mowingHeightMm <= settings.scalpToMm
  return {
    ...(standing.some((one) => isCutAndRaked(one, programme)) ? { name: say('operations.cutLowAndRake') } : {}),
    settings: already
      ? say('operations.oneCutAtAs', { mowingHeightMm: figure('depthMm', survey.mowingHeightMm) })
      : say('operations.cutCutsLoweringBag', {
          cuts: heightsMm.length,
          mowingHeightMm: figure('depthMm', survey.mowingHeightMm),
          steps,
          clippings: clippings(survey.areaM2, survey.mowingHeightMm, settings.scalpToMm),
        }),
    gates,
    hours: carriedHours(
      crewHours(say('operations.scalp'), survey.areaM2, [
        { what: say('operations.cuts'), passes: heightsMm.length, rateM2PerH: RATES.scalp },
      ]),
      say('operations.clippings'),
      clippings(survey.areaM2, survey.mowingHeightMm, settings.scalpToMm).value,
      way,
    ),
  }
}

/** Cuts need two days between them; said when those left before the last of them are too few. */
function squeezed(parts: readonly Part[], left: number): Message {
  const cuts = Math.max(
    ...parts.map(({ survey, settings }) => scalpSteps(survey.mowingHeightMm, settings.scalpToMm).heightsMm.length),
  )
  const asked = say('operations.cutsTwoDaysApart', { cuts, scalpSpanDays: scalpSpanDays(parts) })
  return say('operations.leftBeforeTheLast', { asked, left })
}

const scalp = operation({
  code: 'scalp',
  order: 110,
  name: say('operations.scalpName'),
  done: say('operations.scalpDone'),
  mark: 'cut',
  phase: 'work',
  preferredDay: -3,
  weight: 1,
  why: say('operations.scalpWhy'),
  check: say('operations.scalpCheck'),
  caution: MOWER,
  programmes: [...RENOVATIONS, 'level', 'winter'],
  records: ['heightMm'],
  machine: () => 'mower',
  setBy: 'scalpToMm',
  spread: { days: scalpSpanDays, squeezed },
  after: ['kill3', 'kill2', 'kill1'],
  lags: [
    { from: 'scalp', to: 'sow', least: 0, most: 'scalpOpen', why: say('operations.scalpedGroundDoesNot') },
    { from: 'scalp', to: 'dethatch', least: 0, why: say('operations.bladesReachTheThatch') },
    { from: 'scalp', to: 'clear', least: 0, why: say('operations.clippingsAreRakedOut') },
    { from: 'scalp', to: 'core', least: 0, why: say('operations.coredOnceTheGrass') },
    { from: 'scalp', to: 'lift', least: 0, most: 'scalpOpen', why: say('operations.theTurfIsCut') },
  ],
  wantsDry: true,
  scorches: true,
  closesLawn: true,
  brief: scalped,
})

/** Where nothing is kept: what the blades left comes off, and the levels show. */
const scalpAgain = operation({
  code: 'scalpAgain',
  order: 135,
  name: say('operations.scalpAgainName'),
  done: say('operations.scalpDone'),
  mark: 'cut',
  phase: 'work',
  preferredDay: -2,
  weight: 1,
  why: say('operations.scalpAgainWhy'),
  check: say('operations.scalpAgainCheck'),
  caution: MOWER,
  programmes: ['kill', 'strip'],
  records: ['heightMm'],
  dispensable: true,
  machine: () => 'mower',
  wanted: (_, { has }) => has('dethatch'),
  after: ['dethatch'],
  lags: [
    { from: 'dethatch', to: 'scalpAgain', least: 0, most: 'tornOpen', why: say('operations.whatTheBladesLeft') },
    { from: 'scalpAgain', to: 'core', least: 0, why: say('operations.coredOnceTheGrass') },
    { from: 'scalpAgain', to: 'level', least: 0, why: say('operations.theLevelsShow') },
    { from: 'scalpAgain', to: 'delivery', least: 0, why: say('operations.theGroundIsCleared') },
    { from: 'scalpAgain', to: 'sow', least: 0, why: say('operations.whatTheBladesLeft') },
  ],
  wantsDry: true,
  closesLawn: true,
  brief: ({ survey, planning }) => ({
    settings: say('operations.asLowAsTheMachines', { notch: figure('depthMm', planning.mowerNotch) }),
    gates: [],
    hours: crewHours(say('operations.scalpAgainName'), survey.areaM2, [
      { what: say('operations.cuts'), passes: 2, rateM2PerH: RATES.scalp },
    ]),
  }),
})

const nip = operation({
  code: 'nip',
  order: 280,
  name: say('operations.nipName'),
  done: say('operations.nipDone'),
  mark: 'cut',
  phase: 'after',
  preferredDay: 9,
  weight: 0.5,
  why: say('operations.nipWhy'),
  check: say('operations.nipCheck'),
  caution: MOWER,
  programmes: ['level'],
  asks: [
    yesOrNo({
      code: 'sand',
      asks: say('visits.nipSand'),
      expects: say('visits.nipSandExpects'),
      condition: say('operations.leafOverTheSand'),
      right: true,
      otherwise: { state: 'hold', text: say('visits.nipSandNot') },
    }),
    SURFACE_DRY,
  ],
  records: ['heightMm'],
  after: ['lift'],
  day: ({ dressingDays }) => dressingDays + 9,
  neverTooLate: true,
  lags: [
    { from: 'lift', to: 'nip', least: 7, most: 14, why: say('operations.leafHasToStand') },
    { from: 'nip', to: 'regulator', least: 14, why: say('operations.barePatchesHaveTo') },
  ],
  wantsDry: true,
  wantsGrowth: true,
  brief: ({ survey }) => ({
    settings: say('operations.rotaryMowerAtAnd', { mowingHeightMm: figure('depthMm', survey.mowingHeightMm) }),
    gates: [],
    hours: crewHours(say('operations.firstLightMowing'), survey.areaM2, [
      { what: say('operations.mowing'), passes: 1, rateM2PerH: RATES.scalp },
    ]),
  }),
})

/** A ruler in grass is read to so much, mm. @source own: an eighth of an inch about the blade */
const RULER_MM = 2
/** Above the height of the first mowing by so much, a third of what stands is no more enough. @source own */
const TOO_TALL = 1.25
const firstMowOf = ({ survey, grass, practices }: Part): number => {
  const keptMm = keptHeightMm(grass, survey.mowingHeightMm)
  return firstMowHeightMm(keptMm, isCutLow(practices, keptMm))
}
const STANDING: VisitQuestion = {
  code: STANDING_LEAVES,
  asks: say('visits.mowHeight'),
  expects: (part) => say('visits.mowHeightExpects', { standing: figure('depthMm', firstMowOf(part)) }),
  condition: say('visits.mowHeightCondition'),
  figure: { quantity: 'depthMm', least: 1, most: 600 },
  judged(answer, part) {
    const [tall, due] = [Number(answer), firstMowOf(part)]
    const told = { height: figure('depthMm', tall), standing: figure('depthMm', due) }
    if (tall < due - RULER_MM) return { state: 'hold', text: say('visits.mowHeightShort', told) }
    return tall > TOO_TALL * due
      ? { state: 'risk', text: say('visits.mowHeightTall', told) }
      : { state: 'met', text: say('visits.mowHeightRight', told) }
  },
}

const mow = operation({
  code: 'mow',
  order: 320,
  name: say('operations.mowName'),
  done: say('operations.mowDone'),
  mark: 'cut',
  phase: 'after',
  preferredDay: 28,
  weight: 1,
  why: say('operations.mowWhy'),
  check: say('operations.mowCheck'),
  caution: say('operations.mowCaution'),
  programmes: [...SEEDED, 'winter'],
  records: ['heightMm'],
  ledgeLabel: say('operations.mowLedgeLabel'),
  asks: [STANDING, HOLDS_AGAINST_A_TUG, GRASS_DRY],
  day: ({ mow: middle }) => middle,
  after: ['green', 'sow'],
  neverTooLate: true,
  lags: [
    {
      from: 'sow',
      to: 'mow',
      least: ({ firstMow }) => firstMow?.early ?? 14,
      most: ({ firstMow }) => firstMow?.late,
      why: say('operations.theGrassHasTo'),
    },
    { from: 'mow', to: 'close', least: 14, why: say('operations.mownAsUsualA') },
  ],
  wantsDry: true,
  opensLawn: true,
  brief: ({ survey, grass, practices }) => {
    const keptMm = keptHeightMm(grass, survey.mowingHeightMm)
    const low = isCutLow(practices, keptMm)
    const standingMm = firstMowHeightMm(keptMm, low)
    return {
      settings: say('operations.atDownToBag', {
        standingMm: figure('depthMm', standingMm),
        standingMm2: figure('depthMm', firstCutMm(standingMm, keptMm, low)),
      }),
      gates: [
        ...(low
          ? [
              {
                state: 'risk',
                text: say('operations.lowAtOnce', { takes: figure('share', 1 - keptMm / standingMm, 2) }),
              } satisfies Gate,
            ]
          : []),
      ],
      hours: crewHours(say('operations.firstMow'), survey.areaM2, [
        { what: say('operations.mowing'), passes: 1, rateM2PerH: RATES.scalp },
      ]),
    }
  },
})

/** Turf that is kept low goes from the light rotary mower of its first mowings to the reel, once it is rooted. */
const reelMow = operation({
  code: 'reelMow',
  order: 357,
  name: say('operations.reelMowName'),
  done: say('operations.reelMowDone'),
  mark: 'cut',
  phase: 'after',
  preferredDay: 62,
  weight: 0.1,
  why: say('operations.reelMowWhy'),
  check: say('operations.mowCheck'),
  caution: MOWER,
  programmes: SEEDBEDS,
  addable: true,
  dispensable: true,
  mayBeLate: true,
  records: ['heightMm'],
  asks: [
    yesOrNo({
      code: 'stones',
      asks: say('visits.reelStones'),
      expects: say('visits.reelStonesExpects'),
      condition: say('visits.reelStonesCondition'),
      right: false,
      otherwise: { state: 'hold', text: say('visits.reelStonesNot') },
    }),
    yesOrNo({
      code: 'firm',
      asks: say('visits.reelFirm'),
      expects: say('visits.reelFirmExpects'),
      condition: say('visits.reelFirmCondition'),
      ofTheDay: true,
      right: true,
      otherwise: { state: 'hold', text: say('visits.reelFirmNot') },
    }),
  ],
  machine: () => 'mower',
  wanted: ({ survey, grass, planning }) => keptHeightMm(grass, survey.mowingHeightMm) <= planning.lowCut,
  day: ({ fourthMow }) => fourthMow + 7,
  lags: [{ from: 'mow', to: 'reelMow', least: 21, why: say('operations.threeMoreMowingsAbout') }],
  after: ['mow'],
  wantsTurns: MOWN_FOUR_TIMES,
  wantsDry: true,
  wantsGrowth: true,
  brief: ({ survey, grass }) => ({
    settings: say('operations.reelMowSettings', {
      keptMm: figure('depthMm', keptHeightMm(grass, survey.mowingHeightMm)),
    }),
    gates: [],
    hours: crewHours(say('operations.reelMowName'), survey.areaM2, [
      { what: say('operations.mowing'), passes: 2, rateM2PerH: RATES.scalp },
    ]),
  }),
})

export const MOWING = [scalp, scalpAgain, nip, mow, reelMow] as const
