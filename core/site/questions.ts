import { say, type Message } from '../explain/message'
import type { Features } from './sitePlan'
import type { SoilTest } from './soilTest'
import { nothingStands, type Zone, type ZoneMeasure } from './zone'

/** What the questions are asked of. */
export interface Asked {
  zones: Readonly<Record<string, Zone>>
  features: Features
  applications: readonly unknown[]
  nothingPutOn: boolean
  soilTest: SoilTest | null
  water: { source: string | null; timesADay: number | null; restriction: string | null }
  access: { services: 'not asked' | 'asked' | 'located'; barrowM: number | null; tipping: string }
  wishes: { goal: string | null }
}

interface Question {
  code: string
  /** Name in a list of what is missing. */
  words: Message
  /** The question as it is asked, standing on the lawn. */
  asks: Message
  /** What the plan does while it is left. */
  left: Message
  /** The plan cannot be made without it. */
  needed: boolean
}
interface ZoneQuestion extends Question {
  /** Asked of such ground only; of any where left out. */
  of?: (zone: Zone) => boolean
  answered: (zone: Zone, measure: ZoneMeasure) => boolean
}
interface LawnQuestion extends Question {
  answered: (asked: Asked) => boolean
}

/** Asked of every zone, in the order in which it can be walked. */
export const ZONE_QUESTIONS = [
  {
    code: 'area',
    words: say('site.areaWords'),
    asks: say('site.areaAsks'),
    left: say('site.areaLeft'),
    needed: true,
    answered: (_, { areaM2 }) => areaM2 !== null,
  },
  {
    code: 'grows',
    words: say('site.growsWords'),
    asks: say('site.growsAsks'),
    left: say('site.growsLeft'),
    needed: false,
    answered: ({ sward }) => sward !== null,
  },
  {
    code: 'cover',
    words: say('site.coverWords'),
    asks: say('site.coverAsks'),
    left: say('site.coverLeft'),
    needed: true,
    answered: ({ desirableShare, weedShare, coarseShare, bareShare }) =>
      ![desirableShare, weedShare, coarseShare, bareShare].includes(null),
  },
  {
    code: 'thatch',
    of: (zone) => !nothingStands(zone),
    words: say('site.thatchWords'),
    asks: say('site.thatchAsks'),
    left: say('site.thatchLeft'),
    needed: true,
    answered: ({ plugsMm }) => plugsMm.length > 0,
  },
  {
    code: 'hardness',
    words: say('site.hardnessWords'),
    asks: say('site.hardnessAsks'),
    left: say('site.hardnessLeft'),
    needed: false,
    answered: ({ driverMm, penetrometerKPa }) => driverMm.length + penetrometerKPa.length > 0,
  },
  {
    code: 'height',
    of: (zone) => !nothingStands(zone),
    words: say('site.heightWords'),
    asks: say('site.heightAsks'),
    left: say('site.heightLeft'),
    needed: true,
    answered: ({ mowingHeightMm }) => mowingHeightMm !== null,
  },
  {
    code: 'sun',
    words: say('site.sunWords'),
    asks: say('site.sunAsks'),
    left: say('site.sunLeft'),
    needed: true,
    answered: ({ sunHours }, { sunByMonthH }) => sunHours !== null || sunByMonthH !== null,
  },
  {
    code: 'slope',
    words: say('site.slopeWords'),
    asks: say('site.slopeAsks'),
    left: say('site.slopeLeft'),
    needed: false,
    answered: ({ slopeShare }) => slopeShare !== null,
  },
  {
    code: 'levels',
    words: say('site.levelsWords'),
    asks: say('site.levelsAsks'),
    left: say('site.levelsLeft'),
    needed: false,
    answered: ({ levelsSeen, hollows }) => levelsSeen || hollows.length > 0,
  },
  {
    code: 'wear',
    words: say('site.wearWords'),
    asks: say('site.wearAsks'),
    left: say('site.wearLeft'),
    needed: false,
    answered: ({ wear, drainage }) => wear !== null && drainage !== null,
  },
  {
    code: 'grass',
    words: say('site.grassWords'),
    asks: say('site.grassAsks'),
    left: say('site.grassLeft'),
    needed: true,
    answered: ({ grass }) => grass !== null,
  },
] as const satisfies readonly ZoneQuestion[]

/** Asked once of the whole lawn. */
export const LAWN_QUESTIONS = [
  {
    code: 'history',
    words: say('site.historyWords'),
    asks: say('site.historyAsks'),
    left: say('site.historyLeft'),
    needed: false,
    answered: ({ applications, nothingPutOn }) => applications.length > 0 || nothingPutOn,
  },
  {
    code: 'services',
    words: say('site.servicesWords'),
    asks: say('site.servicesAsks'),
    left: say('site.servicesLeft'),
    needed: false,
    answered: ({ access, features }) =>
      access.services === 'located' &&
      Object.values(features).every(({ kind, located }) => kind !== 'buried' || located),
  },
  {
    code: 'soil',
    words: say('site.soilWords'),
    asks: say('site.soilAsks'),
    left: say('site.soilLeft'),
    needed: false,
    answered: ({ soilTest }) => soilTest !== null,
  },
  {
    code: 'water',
    words: say('site.waterWords'),
    asks: say('site.waterAsks'),
    left: say('site.waterLeft'),
    needed: false,
    answered: ({ water }) => water.source !== null && water.timesADay !== null && water.restriction !== null,
  },
  {
    code: 'access',
    words: say('site.accessWords'),
    asks: say('site.accessAsks'),
    left: say('site.accessLeft'),
    needed: false,
    answered: ({ access }) => access.barrowM !== null,
  },
  {
    code: 'wishes',
    words: say('site.wishesWords'),
    asks: say('site.wishesAsks'),
    left: say('site.wishesLeft'),
    needed: false,
    answered: ({ wishes }) => wishes.goal !== null,
  },
] as const satisfies readonly LawnQuestion[]

/** What is asked of a zone: where nothing stands, nothing of thatch and of mowing. */
export const questionsOf = (zone: Zone): (ZoneQuestion & { code: ZoneQuestionCode })[] =>
  (ZONE_QUESTIONS as readonly (ZoneQuestion & { code: ZoneQuestionCode })[]).filter(({ of }) => of?.(zone) ?? true)

export type ZoneQuestionCode = (typeof ZONE_QUESTIONS)[number]['code']
export type LawnQuestionCode = (typeof LAWN_QUESTIONS)[number]['code']
export type QuestionCode = ZoneQuestionCode | LawnQuestionCode

/** A question that is still open. */
export interface OpenQuestion extends Omit<Question, 'code'> {
  code: QuestionCode
  zoneId: string | null
}

const UNMEASURED: ZoneMeasure = { areaM2: null, sunByMonthH: null }

/** Every question still open, those of zones first, in the order they are walked. */
export function questionsLeft(asked: Asked, measured: Readonly<Record<string, ZoneMeasure>>): OpenQuestion[] {
  const zones = Object.entries(asked.zones).sort(([, a], [, b]) => a.order - b.order)
  const open = (
    code: QuestionCode,
    { words, asks, left, needed }: Omit<Question, 'code'>,
    zone?: readonly [string, Zone],
  ): OpenQuestion => ({
    code,
    asks,
    left,
    needed,
    zoneId: zone?.[0] ?? null,
    words: zone && zones.length > 1 ? say('site.ofZone', { words, zone: zone[1].name }) : words,
  })
  return [
    ...zones.flatMap((zone) =>
      questionsOf(zone[1])
        .filter(({ answered }) => !answered(zone[1], measured[zone[0]] ?? UNMEASURED))
        .map((question) => open(question.code, question, zone)),
    ),
    ...LAWN_QUESTIONS.filter(({ answered }) => !answered(asked)).map((question) => open(question.code, question)),
  ]
}

/** How many there are in all. */
export const questionCount = ({ zones }: Pick<Asked, 'zones'>): number =>
  Object.values(zones).reduce((sum, zone) => sum + questionsOf(zone).length, 0) + LAWN_QUESTIONS.length
