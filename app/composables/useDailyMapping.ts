import { COLUMNS, type Column, type ImportPreview, type Mapping } from '#contract/station'

export const NO_WIND = 'none'
export const ALL_ROWS = 'all rows'

/** Which column of a looked-into file is which and in what units, from the guess on as the technician corrects it. */
export function useDailyMapping() {
  const preview = shallowRef<ImportPreview>()
  const columns = reactive<Record<Column, string>>({ day: '', tmax: '', tmin: '', rain: '' })
  const units = reactive<Pick<Mapping, 'temperature' | 'rain'>>({ temperature: 'C', rain: 'mm' })
  const wind = reactive<{ column: string; unit: NonNullable<Mapping['wind']>['unit'] }>({
    column: NO_WIND,
    unit: 'km/h',
  })
  const only = ref(ALL_ROWS)

  function show(looked: ImportPreview | undefined): void {
    preview.value = looked
    only.value = ALL_ROWS
    const guess = looked?.guess
    for (const column of COLUMNS) columns[column] = guess ? String(guess.columns[column]) : ''
    Object.assign(wind, {
      column: guess?.wind ? String(guess.wind.column) : NO_WIND,
      unit: guess?.wind?.unit ?? 'km/h',
    })
    if (guess) Object.assign(units, { temperature: guess.temperature, rain: guess.rain })
  }
  const choice = computed(() => preview.value?.choices[0])
  const named = computed(() => COLUMNS.every((column) => columns[column] !== ''))
  const ready = computed(() => named.value && (!choice.value || only.value !== ALL_ROWS))
  /** @param forecast whether wind is asked for */
  const mappingOf = (forecast: boolean): Mapping => ({
    ...units,
    columns: {
      day: Number(columns.day),
      tmax: Number(columns.tmax),
      tmin: Number(columns.tmin),
      rain: Number(columns.rain),
    },
    ...(preview.value?.guess?.flags ? { flags: preview.value.guess.flags } : {}),
    ...(forecast && wind.column !== NO_WIND ? { wind: { column: Number(wind.column), unit: wind.unit } } : {}),
    only: choice.value ? { column: choice.value.column, value: only.value } : null,
  })
  return { preview, columns, units, wind, only, choice, named, ready, show, mappingOf }
}
