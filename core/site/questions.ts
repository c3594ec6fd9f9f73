import type { Features } from './sitePlan'
import type { SoilTest } from './soilTest'
import type { Zone, ZoneMeasure } from './zone'

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
  words: string
  /** The question as it is asked, standing on the lawn. */
  asks: string
  /** What the plan does while it is left. */
  left: string
  /** The plan cannot be made without it. */
  needed: boolean
}
interface ZoneQuestion extends Question {
  answered: (zone: Zone, measure: ZoneMeasure) => boolean
}
interface LawnQuestion extends Question {
  answered: (asked: Asked) => boolean
}

/** Asked of every zone, in the order in which it can be walked. */
export const ZONE_QUESTIONS = [
  {
    code: 'area',
    words: 'area',
    asks: 'How large is it?',
    left: 'No quantity can be told.',
    needed: true,
    answered: (_, { areaM2 }) => areaM2 !== null,
  },
  {
    code: 'grows',
    words: 'what grows now',
    asks: 'Which grass grows there now?',
    left: 'Taken for a cool-season lawn; colour and leaf are not matched.',
    needed: false,
    answered: ({ sward }) => sward !== null,
  },
  {
    code: 'cover',
    words: 'cover',
    asks: 'How much is desirable grass, weeds, bare?',
    left: 'No programme can be told from another.',
    needed: true,
    answered: ({ desirableShare, weedShare, coarseShare, bareShare }) =>
      ![desirableShare, weedShare, coarseShare, bareShare].includes(null),
  },
  {
    code: 'thatch',
    words: 'thatch',
    asks: 'How deep is the thatch?',
    left: 'Dethatching cannot be set.',
    needed: true,
    answered: ({ plugsMm }) => plugsMm.length > 0,
  },
  {
    code: 'hardness',
    words: 'screwdriver',
    asks: 'How deep does a screwdriver go?',
    left: 'Coring is planned as if it were hard.',
    needed: false,
    answered: ({ driverMm, penetrometerKPa }) => driverMm.length + penetrometerKPa.length > 0,
  },
  {
    code: 'height',
    words: 'mowing height',
    asks: 'How high is it mown now?',
    left: 'The cuts of the scalp cannot be set.',
    needed: true,
    answered: ({ mowingHeightMm }) => mowingHeightMm !== null,
  },
  {
    code: 'sun',
    words: 'sun',
    asks: 'How many hours of sun does it get?',
    left: 'Neither grass nor soil temperature can be told.',
    needed: true,
    answered: ({ sunHours }, { sunByMonthH }) => sunHours !== null || sunByMonthH !== null,
  },
  {
    code: 'slope',
    words: 'slope',
    asks: 'Does it fall?',
    left: 'Taken for level. Over 15% it is slit-seeded or covered with fleece.',
    needed: false,
    answered: ({ slopeShare }) => slopeShare !== null,
  },
  {
    code: 'levels',
    words: 'levels',
    asks: 'Any hollows?',
    left: 'No levelling is planned.',
    needed: false,
    answered: ({ levelsSeen, hollows }) => levelsSeen || hollows.length > 0,
  },
  {
    code: 'wear',
    words: 'wear and drainage',
    asks: 'Is it walked on, does water stand?',
    left: 'Whatever thinned it may thin it again.',
    needed: false,
    answered: ({ wear, drainage }) => wear !== null && drainage !== null,
  },
  {
    code: 'grass',
    words: 'grass wanted',
    asks: 'Which grass is it to be?',
    left: 'No season and no seed can be told.',
    needed: true,
    answered: ({ grass }) => grass !== null,
  },
] as const satisfies readonly ZoneQuestion[]

/** Asked once of the whole lawn. */
export const LAWN_QUESTIONS = [
  {
    code: 'history',
    words: 'what was put on',
    asks: 'What was put on it this year?',
    left: 'A barrier nobody wrote down would stop the seed.',
    needed: false,
    answered: ({ applications, nothingPutOn }) => applications.length > 0 || nothingPutOn,
  },
  {
    code: 'services',
    words: 'buried lines',
    asks: 'What lies in the ground?',
    left: 'Until located, no coring or tilling near them.',
    needed: false,
    answered: ({ access, features }) =>
      access.services === 'located' &&
      Object.values(features).every(({ kind, located }) => kind !== 'buried' || located),
  },
  {
    code: 'soil',
    words: 'soil test',
    asks: 'What does a soil test say?',
    left: 'No phosphorus or potassium goes on without one.',
    needed: false,
    answered: ({ soilTest }) => soilTest !== null,
  },
  {
    code: 'water',
    words: 'watering',
    asks: 'Who waters, and how often can they?',
    left: 'Taken to be watered as told, two to three times a day.',
    needed: false,
    answered: ({ water }) => water.source !== null && water.timesADay !== null && water.restriction !== null,
  },
  {
    code: 'access',
    words: 'access',
    asks: 'How does soil get in?',
    left: 'Barrowing is not in the hours.',
    needed: false,
    answered: ({ access }) => access.barrowM !== null,
  },
  {
    code: 'wishes',
    words: 'what the client wants',
    asks: 'What does the client want?',
    left: 'Planned for a thicker lawn of the same kind.',
    needed: false,
    answered: ({ wishes }) => wishes.goal !== null,
  },
] as const satisfies readonly LawnQuestion[]

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
    words: zone && zones.length > 1 ? `${words}, ${zone[1].name}` : words,
  })
  return [
    ...zones.flatMap((zone) =>
      ZONE_QUESTIONS.filter(({ answered }) => !answered(zone[1], measured[zone[0]] ?? UNMEASURED)).map((question) =>
        open(question.code, question, zone),
      ),
    ),
    ...LAWN_QUESTIONS.filter(({ answered }) => !answered(asked)).map((question) => open(question.code, question)),
  ]
}

/** How many there are in all. */
export const questionCount = ({ zones }: Pick<Asked, 'zones'>): number =>
  Object.keys(zones).length * ZONE_QUESTIONS.length + LAWN_QUESTIONS.length
