import type { LawnRowView } from '~/utils/lawnRow'

const GATE_ORDER: Record<string, number> = { hold: 0, risk: 1, waiting: 2, met: 3 }
/** Columns the list can be sorted by; the same head again turns the order. */
const SORTS = {
  name: (row: LawnRowView) => row.lawn.client,
  area: (row: LawnRowView) => row.lawn.areaM2,
  grass: (row: LawnRowView) => row.grass,
  programme: (row: LawnRowView) => row.programme,
  sow: (row: LawnRowView) => row.lawn.job.sowOn ?? '9999',
  next: (row: LawnRowView) => row.sortBy,
  gate: (row: LawnRowView) => GATE_ORDER[row.gate?.state ?? 'met'] ?? 9,
} as const
type SortBy = keyof typeof SORTS

/** The order of the list, by the column that was chosen. */
export function useListSort() {
  const { unit } = useUnits()
  const sortBy = ref<SortBy>('next')
  const turned = ref(false)
  function sort(by: SortBy): void {
    turned.value = sortBy.value === by && !turned.value
    sortBy.value = by
  }
  const heads = computed<{ name: string; by?: SortBy }[]>(() => [
    { name: t('lawns.lawn'), by: 'name' },
    { name: t('lawns.area2', { areaM2: unit('areaM2') }), by: 'area' },
    { name: t('lawns.grassWanted'), by: 'grass' },
    { name: t('lawns.programme'), by: 'programme' },
    { name: t('lawns.sow'), by: 'sow' },
    { name: t('lawns.lookToWater') },
    { name: t('lawns.next'), by: 'next' },
    { name: t('lawns.waitsFor'), by: 'gate' },
  ])
  const order = (a: LawnRowView, b: LawnRowView): number => {
    const of = SORTS[sortBy.value]
    const [x, y] = [of(a), of(b)]
    const told = x < y ? -1 : x > y ? 1 : a.lawn.client.localeCompare(b.lawn.client)
    return turned.value ? -told : told
  }
  return { sortBy, turned, sort, heads, order }
}
