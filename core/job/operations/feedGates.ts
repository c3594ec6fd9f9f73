import { say } from '../../explain/message'
import type { Gate } from '../../explain/judgement'
import { parseAnalysis } from '../../materials/feed'
import {
  blackoutOn,
  firstDayOutside,
  judgePhosphorus,
  USUAL_FEED_RULES,
  type PhosphorusVerdict,
} from '../../materials/feedRules'
import { addDays, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Part } from '../parts'
import { sourceOf } from '../planningFigures'
import type { Definition } from './definition'
import type { GateInput } from './gateInput'

const AGAINST: Record<Exclude<PhosphorusVerdict, 'allowed'>, Gate> = {
  law: {
    state: 'hold',
    code: 'phosphorus',
    binding: true,
    text: say('operations.phosphorusAgainstLaw'),
    source: { kind: 'user', text: say('operations.firmFeedRules') },
  },
  plenty: {
    state: 'hold',
    code: 'phosphorus',
    text: say('operations.phosphorusPlenty'),
    source: { kind: 'mem', text: say('operations.byTheSoilTest') },
  },
  'not asked for': {
    state: 'risk',
    code: 'phosphorus',
    text: say('operations.phosphorusNotAskedFor'),
    source: { kind: 'mem', text: say('operations.byTheSoilTest') },
  },
}

type FeedInput = Pick<GateInput, 'phosphorus' | 'feedRules' | 'planning'>

/** What speaks against the phosphorus of an analysis, on whatever day; the first that does. */
export function phosphorusGate(
  { phosphorus = 'not known', feedRules = USUAL_FEED_RULES }: Pick<FeedInput, 'phosphorus' | 'feedRules'>,
  analysis: string,
  establishing: boolean,
): Gate | undefined {
  if (!(parseAnalysis(analysis)?.p2o5Share ?? 0)) return undefined
  const verdict = judgePhosphorus(feedRules.phosphorus, phosphorus, establishing)
  if (verdict !== 'allowed') return AGAINST[verdict]
  return phosphorus === 'short'
    ? { state: 'met', text: say('operations.phosphorusIsShort') }
    : { state: 'waiting', text: say('operations.phosphorusOnlyWhereA') }
}

/** Nitrogen of one feeding against what the firm holds to: what dissolves at once, and all of it. */
export function nitrogenGates(nGPerM2: number, slowShare: number, { planning }: Pick<FeedInput, 'planning'>): Gate[] {
  const over = (code: 'nSoluble' | 'nMost', amount: number): Gate[] =>
    amount > planning[code] * 1.001
      ? [
          {
            state: 'hold',
            code: 'nitrogen',
            text: say('operations.nitrogenOver', {
              amount: figure('rateGPerM2', amount),
              most: figure('rateGPerM2', planning[code]),
              code,
            }),
            source: sourceOf(code, planning),
          },
        ]
      : []
  const all = over('nMost', nGPerM2)
  return all.length ? all : over('nSoluble', nGPerM2 * (1 - slowShare))
}

/** Days of the year on which the law of the place allows no feeding. */
export function blackoutGate({ feedRules }: Pick<FeedInput, 'feedRules'>, { feeds }: Definition, day: Day): Gate[] {
  if (!feeds || !feedRules || !blackoutOn(day, feedRules)) return []
  const again = firstDayOutside(day, feedRules)
  return [
    {
      state: 'hold',
      code: 'blackout',
      binding: true,
      ...(again ? { again } : {}),
      text: say('operations.blackout'),
      source: { kind: 'user', text: say('operations.firmFeedRules') },
    },
  ]
}

/** Soil at 50 mm from which cool-season turf goes into summer, °C, looked at so many days ahead; and what is a light feed, g/m². @source own */
const SUMMER_C = 24
const SUMMER_AHEAD_DAYS = 45
const LIGHT_N = 2.5

/** Much nitrogen just before summer makes soft leaves on cool-season turf, which heat and disease take. */
function summerGate({ soilOn }: Pick<GateInput, 'soilOn'>, nGPerM2: number, { grass }: Part, day: Day): Gate[] {
  if (grass.season !== 'cool' || nGPerM2 <= LIGHT_N) return []
  const [now, then] = [soilOn?.(day), soilOn?.(addDays(day, SUMMER_AHEAD_DAYS))]
  return now !== undefined && then !== undefined && now < then && then > SUMMER_C
    ? [
        {
          state: 'risk',
          code: 'summer',
          text: say('operations.summerAhead', { then: figure('tempC', then, 2), light: figure('rateGPerM2', LIGHT_N) }),
          source: { kind: 'mem', text: say('operations.noHeavyNitrogenBeforeSummer') },
        },
      ]
    : []
}

/** What law, soil test and the firm's limits say to a feeding on a day. */
export function feedGates(
  input: FeedInput & Pick<GateInput, 'soilOn'>,
  operation: Definition,
  day: Day,
  [part]: readonly Part[],
): Gate[] {
  const fed = part && operation.feeds?.(part)
  if (!fed || !(fed.nGPerM2 > 0)) return []
  return [
    phosphorusGate(input, fed.analysis, fed.establishing) ?? [],
    nitrogenGates(fed.nGPerM2, part.settings.starterSlowShare, input),
    blackoutGate(input, operation, day),
    // Turf that summer is made for is fed into it.
    operation.wantsGrowth === 'warm' ? [] : summerGate(input, fed.nGPerM2, part, day),
  ].flat()
}
