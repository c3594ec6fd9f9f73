import { kindOf, STOCK_QUANTITY, type Matter, type StockLevels } from '../../materials/stock'
import { shortDay, type Day } from '../../measure/calendar'
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
