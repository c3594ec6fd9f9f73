import { say, shortDay } from '../../explain/message'
import { kindOf, STOCK_QUANTITY, type Matter, type StockLevels } from '../../materials/stock'
import type { Day } from '../../measure/calendar'
import { figure } from '../../measure/figure'
import type { Gate } from '../../explain/judgement'
import type { Part } from '../parts'
import type { Definition, Turn, Wanted } from './definition'

/** What an operation uses up over all parts that have it, each material once. */
export function wantedOf({ demand }: Pick<Definition, 'demand'>, parts: readonly Part[], turn: Turn): Wanted[] {
  const wanted = new Map<Matter, Wanted>()
  for (const one of parts.flatMap((part) => demand?.(part, turn) ?? []))
    wanted.set(one.matter, { ...one, amount: one.amount + (wanted.get(one.matter)?.amount ?? 0) })
  return [...wanted.values()]
}

/** What the shed holds for a job. */
export interface ShedFor {
  stock: StockLevels
  /** Of it, what other open jobs will use up: kg or m³ by material. */
  spokenFor: Readonly<Partial<Record<Matter, number>>>
  /** Day on which the order was made, if it was. */
  orderedOn: Day | undefined
}

/** Whether the shed holds what an operation uses up. Nothing is said of what nobody keeps a book of. */
export function stockGates(wanted: readonly Wanted[], { stock, spokenFor, orderedOn }: ShedFor): Gate[] {
  const source = { kind: 'user', text: say('operations.shedLessWhatOther') } as const
  return wanted.flatMap(({ matter, words, amount }): Gate[] => {
    const has = stock[matter]
    if (has === undefined) return []
    const quantity = STOCK_QUANTITY[kindOf(matter)]
    const spoken = Math.max(0, spokenFor[matter] ?? 0)
    const told = spoken > 0 ? say('operations.ofItSpokenFor', { spoken: figure(quantity, spoken) }) : ''
    const free = Math.max(0, has) - spoken
    if (free >= amount)
      return [
        { state: 'met', text: say('operations.ofInTheShed', { has: figure(quantity, has), words, told }), source },
      ]
    const short = figure(quantity, amount - Math.max(0, free))
    return [
      orderedOn === undefined
        ? { state: 'risk', code: 'stock', text: say('operations.stockText', { short, words, told }), source }
        : {
            state: 'waiting',
            code: 'stock',
            text: say('operations.ofShortInThe', { short, words, orderedOn: shortDay(orderedOn), told }),
            source,
          },
    ]
  })
}

/** What the tasks of a plan that are not done will use up, kg or m³ by material. */
export function demandOf(
  tasks: readonly { done?: unknown; wanted: readonly Wanted[] }[],
): Partial<Record<Matter, number>> {
  const demand: Partial<Record<Matter, number>> = {}
  for (const { done, wanted } of tasks)
    if (!done) for (const { matter, amount } of wanted) demand[matter] = (demand[matter] ?? 0) + amount
  return demand
}
