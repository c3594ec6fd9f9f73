import { inUnits, show, showOther, showText, unitOf, type Figure, type Quantity } from '#core/measure/figure'
import { parseQuantity } from '#core/measure/parse'
import { parseArea } from '#core/site/typedArea'
import { readTyped, type ReadTyped } from '~/utils/readTyped'

/** Numbers as this firm reads and types them. */
export function useUnits() {
  const context = useContextStore()
  const system = computed(() => context.units)
  return {
    system,
    shown: (figure: Figure) => show(figure, system.value),
    text: (figure: Figure) => showText(figure, system.value),
    other: (figure: Figure) => showOther(figure, system.value),
    number: (quantity: Quantity, value: number) => inUnits(quantity, value, system.value),
    unit: (quantity: Quantity) => unitOf(quantity, system.value),
    parse: (quantity: Quantity, typed: string): ReadTyped => readTyped(parseQuantity(quantity, typed, system.value)),
    parseArea: (typed: string): ReadTyped => readTyped(parseArea(typed, system.value)),
  }
}
