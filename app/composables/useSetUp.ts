import { newStationSchema } from '#contract/station'
import type { FewFigures } from '#core/weather/fewFigures'
import { isDay, type Day } from '#core/measure/calendar'
import type { Quantity } from '#core/measure/figure'
import type { Parsed } from '#core/measure/parse'
import { placeIn } from '#core/site/placeText'

const NO_PLACE: Parsed = {
  ok: false,
  message: 'Coordinates such as 37.06, -79.38, or the link of a map that holds them.',
}
/** Figures that are typed, each with what it is of and where the contract has it. */
const FIGURES = {
  hotHigh: ['tempC', 'fewFigures.hottest.tmaxC'],
  hotLow: ['tempC', 'fewFigures.hottest.tminC'],
  coldHigh: ['tempC', 'fewFigures.coldest.tmaxC'],
  coldLow: ['tempC', 'fewFigures.coldest.tminC'],
  rain: ['waterMm', 'fewFigures.rainMm'],
} as const satisfies Record<string, readonly [Quantity, string]>
type Figure = keyof typeof FIGURES

/** What a firm begins with: its place, the climate there, and a first lawn; each may be left for later. */
export function useSetUp() {
  const context = useContextStore()
  const lawn = useNewLawn()
  const { parse } = useUnits()
  const { busy, message, errors, code, judged, send } = useSend()
  const form = reactive({
    place: '',
    coastal: false,
    ...({ hotHigh: '', hotLow: '', coldHigh: '', coldLow: '', rain: '' } satisfies Record<Figure, string>),
    lastFrost: '',
    firstFrost: '',
  })
  /** A firm that has its station already begins with a lawn alone. */
  const climateKnown = computed(() => (context.firm?.homeStationId ?? null) !== null)

  const place = computed(() => placeIn(form.place))
  const typed = computed(
    () =>
      Object.fromEntries(
        (Object.keys(FIGURES) as Figure[]).map((name) => [name, parse(FIGURES[name][0], form[name])]),
      ) as Record<Figure, Parsed>,
  )
  const some = computed(() => (Object.keys(FIGURES) as Figure[]).some((name) => form[name].trim()))
  const frost = (day: string): Day | null => (isDay(day) ? day : null)
  /** The climate as far as it is typed; undefined until all of it is there. */
  const figures = computed<FewFigures | undefined>(() => {
    const { hotHigh, hotLow, coldHigh, coldLow, rain } = typed.value
    if (!hotHigh.ok || !hotLow.ok || !coldHigh.ok || !coldLow.ok || !rain.ok) return undefined
    return {
      hottest: { tmaxC: hotHigh.value, tminC: hotLow.value },
      coldest: { tmaxC: coldHigh.value, tminC: coldLow.value },
      rainMm: rain.value,
      wettest: null,
      lastFrost: frost(form.lastFrost),
      firstFrost: frost(form.firstFrost),
    }
  })

  /** What is wrong of the climate, by field; nothing where nothing is typed. */
  function judgedStation() {
    const read = some.value
      ? Object.fromEntries((Object.keys(FIGURES) as Figure[]).map((name) => [FIGURES[name][1], typed.value[name]]))
      : {}
    const at: Parsed = place.value ? { ok: true, value: 0 } : NO_PLACE
    return judged(
      newStationSchema,
      {
        name: 'Home',
        latDeg: place.value?.latDeg ?? 0,
        lonDeg: place.value?.lonDeg ?? 0,
        heightM: null,
        coastal: form.coastal,
        fewFigures: figures.value ?? null,
      },
      { ...read, place: at },
    )
  }
  async function keepClimate(): Promise<boolean> {
    if (climateKnown.value || !(form.place.trim() || some.value)) return true
    const wanted = judgedStation()
    if (!wanted) return false
    const kept = await send(() => $fetch('/api/stations', { method: 'POST', body: wanted }))
    // Its answer may have been lost, or somebody else of the firm was faster: then it is there.
    if (kept || code.value === 'taken') await context.load()
    return climateKnown.value
  }
  /** Keeps what is filled in, one after the other; what is kept already is not sent again. */
  async function save(): Promise<void> {
    const begins = Boolean(lawn.form.client.trim() || lawn.form.area.trim())
    if (!(await keepClimate()) || (begins && !(await lawn.add()))) return
    await navigateTo(begins ? `/lawns/${lawn.id}/look` : '/lawns')
  }

  return { form, place, figures, climateKnown, errors, busy, message, lawn, save }
}
