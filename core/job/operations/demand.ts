import { blendWords } from '../../seed/blends'
import { feedNeed, parseAnalysis } from '../../materials/feed'
import {
  coverMatter,
  feedMatter,
  kindOf,
  seedMatter,
  soilMatter,
  STOCK_QUANTITY,
  type Matter,
  type StockKind,
  type StockLevels,
} from '../../materials/stock'
import { shortDay, type Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import { liftShares } from '../../site/hollow'
import type { Turn } from './brief'
import { soilOfPlan } from './groundBriefs'
import type { OperationCode } from './operations'
import { coverM3, seedOf, soilOf, type Part } from '../parts'

/** Material that an operation uses up, in the unit its stock is kept in. */
export interface Wanted {
  matter: Matter
  words: string
  /** Kg, or m³ loose. */
  amount: number
}

/** Operations that use something up, and of what kind. */
export const USES_UP: Partial<Record<OperationCode, StockKind>> = {
  sow: 'seed',
  weak: 'seed',
  feed: 'feed',
  feedAgain: 'feed',
  recoveryFeed: 'feed',
  cover: 'cover',
  level: 'soil',
  lift: 'soil',
}

function seed(part: Part): Wanted[] {
  const need = seedOf(part)
  return need ? [{ matter: seedMatter(part.seed), words: blendWords(part.seed), amount: need.product.value }] : []
}

function feed({ survey, settings }: Part): Wanted[] {
  const analysis = parseAnalysis(settings.starterAnalysis)
  if (!analysis || !(settings.starterNGPerM2 > 0)) return []
  return [
    {
      matter: feedMatter(settings.starterAnalysis)!,
      words: settings.starterAnalysis,
      amount: feedNeed(survey.areaM2, settings.starterNGPerM2, analysis).product.value,
    },
  ]
}

function cover(part: Part): Wanted[] {
  const { coverMaterial } = part.settings
  const amount = coverM3(part)
  return coverMaterial === 'fleece' || !(amount > 0)
    ? []
    : [{ matter: coverMatter(coverMaterial), words: coverMaterial, amount }]
}

function soil(part: Part, share = 1): Wanted[] {
  const amount = soilOf(part).volumeM3 * share
  return amount > 0 ? [{ matter: soilMatter(soilOfPlan(part)), words: 'soil', amount }] : []
}

function lift(part: Part, { number }: Turn): Wanted[] {
  const { deepestMm, volumeM3, overM2 } = soilOf(part)
  return soil(
    part,
    liftShares(deepestMm, overM2 ? (volumeM3 / overM2) * 1000 : deepestMm)[number - 1]?.volumeShare ?? 0,
  )
}

const USED: Partial<Record<OperationCode, (part: Part, turn: Turn) => Wanted[]>> = {
  sow: seed,
  feed,
  cover,
  level: (part) => soil(part),
  lift,
}

/** What an operation uses up over all parts that have it, each material once. */
export function wantedOf(code: OperationCode, parts: readonly Part[], turn: Turn): Wanted[] {
  const wanted = new Map<Matter, Wanted>()
  for (const one of parts.flatMap((part) => USED[code]?.(part, turn) ?? []))
    wanted.set(one.matter, { ...one, amount: one.amount + (wanted.get(one.matter)?.amount ?? 0) })
  return [...wanted.values()]
}

/**
 * Whether the shed holds what an operation uses up. Nothing is said of what nobody keeps a book of.
 * @param orderedOn day on which the order was made, if it was
 */
export function stockGates(wanted: readonly Wanted[], stock: StockLevels, orderedOn: Day | undefined): Gate[] {
  const source = { kind: 'user', text: 'Shed, other lawns not counted' } as const
  return wanted.flatMap(({ matter, words, amount }): Gate[] => {
    const has = stock[matter]
    if (has === undefined) return []
    const quantity = STOCK_QUANTITY[kindOf(matter)]
    if (has >= amount) return [{ state: 'met', text: [figure(quantity, has), ` of ${words} in the shed`], source }]
    const short = figure(quantity, amount - Math.max(0, has))
    return [
      orderedOn === undefined
        ? { state: 'risk', code: 'stock', text: [short, ` of ${words} short in the shed: order it`], source }
        : {
            state: 'waiting',
            code: 'stock',
            text: [short, ` of ${words} short in the shed, ordered ${shortDay(orderedOn)}: to arrive`],
            source,
          },
    ]
  })
}
