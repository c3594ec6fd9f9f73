import { say, type Message } from '../../explain/message'
import type { Worked } from '../../explain/working'
import { figure } from '../../measure/figure'
import { crewHours, WORK_RATES_M2_PER_H as RATES } from '../hours'
import type { Gate } from '../../explain/judgement'
import { carriedHours } from '../carrying'
import { dragsIn, slitSeeded, type Part } from '../parts'
import { sourceOf } from '../planningFigures'
import { operation, RENOVATIONS, type Brief } from './definition'

/** Share of the thatch a pass tears out, and how much it swells. @source own */
const TORN_A_PASS = 0.3
const SWELL = 3
/**
 * Blades reach so far into the soil, mm: they just bring up loose soil. @source own for the figure; common practice
 * for the sight
 */
const BLADES_IN_SOIL_MM = 3

/** Layer that some directions take out, mm: of turf that is to live no more than bears being taken in one season. */
export const takenMm = ({ survey, programme, planning }: Pick<Part, 'survey' | 'programme' | 'planning'>): number => {
  const torn = survey.thatchMm * (1 - (1 - TORN_A_PASS) ** programme.dethatchPasses)
  return programme.keepsTurf ? Math.min(torn, planning.thatchSeason) : torn
}

function thatchDebris(part: Part): Worked {
  const { survey, programme } = part
  const passes = programme.dethatchPasses
  const share = survey.thatchMm > 0 ? takenMm(part) / survey.thatchMm : 0
  const value = survey.areaM2 * (survey.thatchMm / 1000) * share * SWELL
  return {
    value,
    working: {
      title: say('operations.thatchToHaulOff'),
      result: figure('volumeM3', value, 2),
      formula: say('operations.areaLayerShareTorn'),
      lines: [
        {
          what: say('operations.area'),
          value: figure('areaM2', survey.areaM2),
          source: { kind: 'user', text: say('operations.look') },
        },
        {
          operator: '×',
          what: say('operations.thatch'),
          value: figure('depthMm', survey.thatchMm),
          source: { kind: 'user', text: say('operations.look') },
        },
        {
          operator: '×',
          what: say('operations.tornOutInPasses', { passes }),
          value: figure('share', share),
          source: { kind: 'own', text: say('operations.n30OfWhatIs') },
        },
        {
          operator: '×',
          what: say('operations.swellingTimes'),
          value: figure('count', SWELL),
          source: { kind: 'own', text: say('operations.loose') },
        },
        { operator: '=', what: say('operations.thatch'), value: figure('volumeM3', value, 2), subtotal: true },
      ],
    },
  }
}

const DIRECTIONS: Record<number, Message> = {
  2: say('operations.directionsTheSecondAcross'),
  4: say('operations.directionsAlongAcrossAnd'),
  5: say('operations.directionsUntilTheOld'),
}

/** Thatch is deeper than turf that is to live bears having torn out in one season. */
export const isTwoSeasons = ({
  survey,
  programme,
  planning,
}: Pick<Part, 'survey' | 'programme' | 'planning'>): boolean =>
  programme.keepsTurf && survey.thatchMm > planning.thatchDeep

/**
 * How deep the blades are set on the last direction: through the thatch and a little into the soil; into deep thatch of turf
 * that is to live only as far as it bears in one season.
 */
export function bladeDepth(part: Pick<Part, 'survey' | 'programme' | 'planning'>): Worked {
  const { thatchMm } = part.survey
  if (isTwoSeasons(part)) {
    const most = part.planning.thatchSeason
    return {
      value: most,
      working: {
        title: say('operations.depthOfTheBlades'),
        result: figure('depthMm', most),
        formula: say('operations.noDeeperThanASeason'),
        lines: [
          {
            what: say('operations.thatchOfASeason'),
            value: figure('depthMm', most),
            source: sourceOf('thatchSeason', part.planning),
          },
        ],
        fieldCheck: say('operations.afterAFewSteps'),
      },
    }
  }
  const value = thatchMm + BLADES_IN_SOIL_MM
  return {
    value,
    working: {
      title: say('operations.depthOfTheBlades'),
      result: figure('depthMm', value),
      formula: say('operations.thatchAndALittle'),
      lines: [
        {
          what: say('operations.thatch'),
          value: figure('depthMm', thatchMm),
          source: { kind: 'user', text: say('operations.look') },
        },
        {
          operator: '+',
          what: say('operations.intoTheSoil'),
          value: figure('depthMm', BLADES_IN_SOIL_MM),
          source: { kind: 'own', text: say('operations.bladesJustBringUp') },
        },
        {
          operator: '=',
          what: say('operations.bladesBelowTheCrowns'),
          value: figure('depthMm', value),
          subtotal: true,
        },
      ],
      fieldCheck: say('operations.afterAFewSteps'),
    },
  }
}

function dethatched(part: Part): Brief {
  const {
    survey,
    programme: { dethatchPasses: passes },
    planning,
  } = part
  const over = survey.thatchMm > planning.thatch
  const torn = thatchDebris(part)
  const debris = survey.thatchMm > 0 ? say('operations.haulOff', { thatchDebris: torn }) : ''
  const deep: Gate[] = isTwoSeasons(part)
    ? [
        {
          state: 'risk',
          code: 'thatch',
          text: say('operations.thatchOverTwoSeasons', {
            thatch: figure('depthMm', survey.thatchMm),
            most: figure('depthMm', planning.thatchSeason),
          }),
          source: sourceOf('thatchSeason', planning),
        },
      ]
    : []
  return {
    settings: say('operations.bladesDeepSoThat', {
      passes: figure('count', passes),
      directions: DIRECTIONS[passes] ?? say('operations.directionsPlain'),
      bladeDepth: bladeDepth(part),
      hasSoil: !isTwoSeasons(part),
      hasOver: Boolean(over),
      debris,
    }),
    gates: [
      ...deep,
      {
        state: 'met',
        text: over
          ? say('operations.thatchOverAtSurvey', { thatch: figure('depthMm', planning.thatch) })
          : say('operations.soilHasToShow'),
        source: sourceOf('thatch', planning),
      },
    ],
    hours: carriedHours(
      crewHours(say('operations.dethatch'), survey.areaM2, [
        { what: say('operations.directions'), passes, rateM2PerH: RATES.dethatch },
        { what: say('operations.clearingByMower'), passes: 1, rateM2PerH: RATES.scalp },
      ]),
      say('operations.thatchToHaulOff'),
      torn.value,
      part.way,
    ),
  }
}

const dethatch = operation({
  code: 'dethatch',
  order: 130,
  name: say('operations.dethatchName'),
  done: say('operations.dethatchDone'),
  mark: 'machine',
  phase: 'work',
  preferredDay: -2,
  weight: 1,
  alsoCalled: say('operations.dethatchAlsoCalled'),
  why: say('operations.dethatchWhy'),
  check: say('operations.dethatchCheck'),
  caution: say('operations.dethatchCaution'),
  programmes: RENOVATIONS,
  records: ['passes'],
  machine: () => 'dethatcher',
  wanted: (part) => !(slitSeeded(part) && part.programme.dethatchPasses <= 2) && !dragsIn(part),
  after: ['scalp'],
  lags: [
    { from: 'dethatch', to: 'sow', least: 0, most: 'tornOpen', why: say('operations.tornGroundDoesNot') },
    { from: 'dethatch', to: 'level', least: 0, why: say('operations.soilIsBroughtOn') },
    { from: 'dethatch', to: 'delivery', least: 0, why: say('operations.theGroundIsCleared') },
  ],
  wantsDry: true,
  scorches: true,
  tearsTurf: true,
  wantsMoistGround: true,
  breaksGround: true,
  closesLawn: true,
  brief: dethatched,
})

export const DETHATCHING = [dethatch] as const
