import { LIST_PAGE, type Lawn } from '#contract/lawn'
import type { Glance } from '#core/establishment/glance'
import type { UnitSystem } from '#core/measure/figure'
import { lawnRow, type LawnRowView } from '~/utils/lawnRow'
import type { FirmRecord } from '#core/job/records'

/** Longest that the page is kept from answering, ms. */
const SLICE_MS = 12
/** A large book is shown anew so often while it is worked out, ms. */
const SHOWN_EVERY_MS = 400

interface MadeOf {
  glance: Glance | null | undefined
  firm: FirmRecord
  units: UnitSystem
}

/**
 * The rows of the list, each worked out once for what it is made of; those of a large book a slice at a time, the
 * first page at once.
 */
export function useLawnRows() {
  const store = useLawnsStore()
  const context = useContextStore()
  const rows = shallowRef<LawnRowView[]>([])
  const working = ref(false)
  const known = new WeakMap<Lawn, MadeOf & { row: LawnRowView }>()
  let round = 0

  function rowOf(lawn: Lawn, made: MadeOf): LawnRowView {
    const had = known.get(lawn)
    if (had && had.glance === made.glance && had.firm === made.firm && had.units === made.units) return had.row
    const row = lawnRow(lawn, made.glance, made.firm, made.units)
    known.set(lawn, { ...made, row })
    return row
  }

  async function work(): Promise<void> {
    const mine = ++round
    const { firmRecord: firm, units } = context
    const glances = toRaw(store.glances)
    const lawns = store.lawns.map((lawn) => toRaw(lawn))
    const before = new Map(rows.value.map((row) => [row.lawn.id, row]))
    const made: LawnRowView[] = []
    // What is not worked out yet stays as it was.
    const show = () => {
      rows.value = [...made, ...lawns.slice(made.length).flatMap(({ id }) => before.get(id) ?? [])]
    }
    working.value = true
    let [slice, shown] = [performance.now(), performance.now()]
    for (const lawn of lawns) {
      made.push(rowOf(lawn, { glance: toRaw(glances[lawn.id]), firm, units }))
      const now = performance.now()
      if (made.length < LIST_PAGE || now - slice < SLICE_MS) continue
      if (now - shown > SHOWN_EVERY_MS || made.length === LIST_PAGE) {
        show()
        shown = performance.now()
      }
      await new Promise((go) => {
        setTimeout(go)
      })
      if (mine !== round) return
      slice = performance.now()
    }
    show()
    working.value = false
  }
  watch(
    [() => [...store.lawns], () => store.glances, () => context.firmRecord, () => context.units],
    () => {
      void work()
    },
    { immediate: true },
  )
  onUnmounted(() => {
    round++
  })
  return { rows, working }
}
