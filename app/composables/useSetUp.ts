import { newStationSchema } from '#contract/station'
import { normalsFromFewFigures, type FewFigures } from '#core/weather/fewFigures'
import type { Normals } from '#core/weather/normals'
import { isDay, type Day } from '#core/measure/calendar'
import type { Quantity } from '#core/measure/figure'
import type { ReadTyped } from '~/utils/readTyped'
import { placeIn } from '#core/site/placeText'
import { readNormals, typedNormals } from '~/utils/normalsTyped'

const noPlace = (): ReadTyped => ({ ok: false, message: t('setUp.coordinatesSuchAs37') })
/** Figures that are typed, each with what it is of and where the contract has it. */
const FIGURES = {
  hotHigh: ['tempC', 'fewFigures.hottest.tmaxC'],
  hotLow: ['tempC', 'fewFigures.hottest.tminC'],
  coldHigh: ['tempC', 'fewFigures.coldest.tmaxC'],
  coldLow: ['tempC', 'fewFigures.coldest.tminC'],
  rain: ['waterMm', 'fewFigures.rainMm'],
} as const satisfies Record<string, readonly [Quantity, string]>
type Figure = keyof typeof FIGURES

/** How the climate of a place is told. */
export const CLIMATE_WAYS = ['know', 'files', 'normals'] as const
export type ClimateWay = (typeof CLIMATE_WAYS)[number]

/** What a firm begins with: how it counts, its place, the climate there, and a first lawn; each may be left for later. */
export function useSetUp() {
  const context = useContextStore()
  const lawn = useNewLawn()
  const basics = useFirmBasics()
  const files = useWeatherFiles()
  const { parse } = useUnits()
  const way = ref<ClimateWay>('know')
  const typedTable = ref(typedNormals(null, context.units))
  const { busy, message, errors, code, judged, send } = useSend()
  const form = reactive({
    place: '',
    height: '',
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
      ) as Record<Figure, ReadTyped>,
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

  const table = computed(() => readNormals(typedTable.value, null, basics.form.units))
  // Where a file was measured is where the firm works, until somebody says otherwise.
  watch(files.place, (at) => {
    if (at && !form.place.trim()) form.place = `${at.latDeg}, ${at.lonDeg}`
  })
  /** The climate as far as it is told, whichever way; drawn while nothing is kept yet. */
  const normals = computed<Normals | undefined>(() => {
    try {
      if (way.value === 'files') return files.normals.value
      if (way.value === 'normals') return (table.value.ok && table.value.normals) || undefined
      return place.value && figures.value && normalsFromFewFigures(figures.value, place.value.latDeg)
    } catch {
      // Said at its field when it is saved.
      return undefined
    }
  })

  /** What is wrong of the climate, by field; nothing where nothing is typed. */
  function judgedStation() {
    const read =
      way.value === 'know' && some.value
        ? Object.fromEntries((Object.keys(FIGURES) as Figure[]).map((name) => [FIGURES[name][1], typed.value[name]]))
        : {}
    const at: ReadTyped = place.value ? { ok: true, value: 0 } : noPlace()
    const height: ReadTyped | undefined = form.height.trim() ? parse('distanceM', form.height) : undefined
    const ofTable = way.value === 'normals' ? table.value : undefined
    const wanted = judged(
      newStationSchema,
      {
        name: t('setUp.home'),
        latDeg: place.value?.latDeg ?? 0,
        lonDeg: place.value?.lonDeg ?? 0,
        heightM: height?.ok ? height.value : null,
        coastal: form.coastal,
        fewFigures: way.value === 'know' ? (figures.value ?? null) : null,
        normals: (ofTable?.ok && ofTable.normals) || null,
      },
      { ...read, ...(height ? { heightM: height } : {}), place: at },
    )
    if (ofTable && !ofTable.ok) errors.value = { ...errors.value, ...ofTable.wrong }
    return ofTable && !ofTable.ok ? undefined : wanted
  }
  async function keepClimate(): Promise<boolean> {
    if (climateKnown.value) return true
    if (way.value === 'files' && files.dropped.value.length) {
      if (!(await files.keep(place.value, form.coastal))) return false
      await context.load()
      if (climateKnown.value) return true
    }
    const told =
      way.value === 'know' ? some.value : way.value === 'normals' && !(table.value.ok && !table.value.normals)
    if (!(form.place.trim() || told)) return true
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
    if (!(await basics.save()) || !(await keepClimate()) || (begins && !(await lawn.add()))) return
    await navigateTo(begins ? `/lawns/${lawn.id}/look` : '/lawns')
  }

  return {
    form,
    way,
    place,
    normals,
    typedTable,
    files,
    basics,
    climateKnown,
    errors,
    busy,
    message,
    lawn,
    save,
  }
}
