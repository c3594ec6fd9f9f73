<script setup lang="ts">
import { COLUMNS, MOST_FORECAST_DAYS, type Column } from '#contract/station'
import { readDailyRow } from '#core/weather/dailyFile'
import { addDays, shortDay } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/** The columns of a file and their units, as they are guessed and corrected, and the first rows as they are read. */
const props = defineProps<{ mapping: ReturnType<typeof useDailyMapping>; forecast?: boolean }>()
const { preview, columns, units, wind, only, choice, named, mappingOf } = props.mapping
const WORDS: Record<Column, string> = { day: 'Date', tmax: 'Highest', tmin: 'Lowest', rain: 'Rain' }
const context = useContextStore()
const { text } = useUnits()
const columnItems = computed(() =>
  (preview.value?.header ?? []).map((name, i) => ({ label: name || `column ${i + 1}`, value: String(i) })),
)
/** The first rows as they are understood with the columns and units chosen now, by the code that will read them all. */
const understood = computed(() => {
  const looked = preview.value
  if (!looked || !named.value) return []
  const last = props.forecast ? addDays(context.today, MOST_FORECAST_DAYS) : context.today
  return looked.sample.map((cells) => {
    const row = readDailyRow(cells, mappingOf(props.forecast), looked.delimiter, last)
    if ('reason' in row) return `Left out: ${row.reason}`
    const { day, tmaxC, tminC, rainMm, windKmh } = row.weather
    return `${shortDay(day)} ${day.slice(0, 4)}: ${text(figure('tempC', tmaxC))} high, ${text(figure('tempC', tminC))} low, ${text(figure('waterMm', rainMm))} of rain${windKmh === undefined || windKmh === null ? '' : `, wind ${text(figure('speedKmh', windKmh))}`}`
  })
})
</script>

<template>
  <div class="row">
    <UFormField v-for="column in COLUMNS" :key="column" :label="WORDS[column]" :name="column"
      ><USelect
        :id="`field-${column}`"
        v-model="columns[column]"
        :items="columnItems"
        :aria-label="`${WORDS[column]} column`"
        placeholder="choose"
        class="w-36"
    /></UFormField>
    <UFormField label="Temperature in" name="temperature"
      ><USelect
        id="field-temperature"
        v-model="units.temperature"
        :items="[
          { label: '°C', value: 'C' },
          { label: '°F', value: 'F' },
          { label: 'tenths of °C', value: '0.1C' },
        ]"
        aria-label="Temperature in"
        class="w-36"
    /></UFormField>
    <UFormField label="Rain in" name="rain-unit"
      ><USelect
        id="field-rain-unit"
        v-model="units.rain"
        :items="[
          { label: 'mm', value: 'mm' },
          { label: 'inches', value: 'in' },
          { label: 'tenths of mm', value: '0.1mm' },
        ]"
        aria-label="Rain in"
        class="w-36"
    /></UFormField>
    <template v-if="forecast">
      <UFormField label="Wind" name="wind"
        ><USelect
          id="field-wind"
          v-model="wind.column"
          :items="[{ label: 'not in the file', value: NO_WIND }, ...columnItems]"
          aria-label="Wind column"
          class="w-36"
      /></UFormField>
      <UFormField v-if="wind.column !== NO_WIND" label="Wind in" name="wind-unit"
        ><USelect
          id="field-wind-unit"
          v-model="wind.unit"
          :items="['km/h', 'mph', 'm/s']"
          aria-label="Wind in"
          class="w-24"
      /></UFormField>
    </template>
    <UFormField v-if="choice" label="Only rows of" name="only"
      ><USelect
        id="field-only"
        v-model="only"
        :items="[{ label: 'choose the place', value: ALL_ROWS }, ...choice.values]"
        aria-label="Only rows of"
        class="w-44"
    /></UFormField>
  </div>
  <div v-if="preview" class="sample">
    <table class="ledger">
      <thead>
        <tr>
          <th v-for="(name, i) in preview.header" :key="i" scope="col">{{ name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in preview.sample" :key="i">
          <td v-for="(cell, j) in row" :key="j">{{ cell }}</td>
        </tr>
      </tbody>
    </table>
  </div>
  <div v-if="understood.length" class="understood">
    <b>Read as</b>
    <ol>
      <li v-for="(words, i) in understood" :key="i">{{ words }}</li>
    </ol>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
  align-items: flex-end;
}
.sample {
  overflow-x: auto;
  max-width: 100%;
  font-size: 12px;
}
.understood {
  font-size: 12.5px;
}
</style>
