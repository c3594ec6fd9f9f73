import type { ListedLawn } from '#contract/list'
import type { UnitSystem } from '#core/measure/figure'
import type { Day } from '#core/measure/calendar'
import { lawnRow, type LawnRowView } from '~/utils/lawnRow'

/** The rows of the list, each made once for what it is made of. */
export function useLawnRows() {
  const list = useListStore()
  const context = useContextStore()
  const known = new WeakMap<ListedLawn, { today: Day; units: UnitSystem; row: LawnRowView }>()
  const rows = computed(() => {
    const { today, units } = context
    return list.lawns.map((lawn) => {
      const had = known.get(lawn)
      if (had && had.today === today && had.units === units) return had.row
      const row = lawnRow(lawn, today, units)
      known.set(lawn, { today, units, row })
      return row
    })
  })
  return { rows }
}
