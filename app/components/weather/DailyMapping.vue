<script setup lang="ts">
import { COLUMNS, MOST_FORECAST_DAYS, type Column } from '#contract/station'
import { readDailyRow } from '#core/weather/dailyFile'
import { addDays } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/** The columns of a file and their units, as they are guessed and corrected, and the first rows as they are read. */
const props = defineProps<{ mapping: ReturnType<typeof useDailyMapping>; forecast?: boolean }>()
const { preview, columns, units, wind, only, choice, named, mappingOf } = props.mapping
const WORDS: Record<Column, string> = {
  day: t('weather.date'),
  tmax: t('weather.highest'),
  tmin: t('weather.lowest'),
  rain: t('weather.rain'),
}
const context = useContextStore()
const { text } = useUnits()
const columnItems = computed(() =>
  (preview.value?.header ?? []).map((name, i) => ({
    label: name || t('weather.column', { i: i + 1 }),
    value: String(i),
  })),
)
const windy = (kmh?: number | null) =>
  typeof kmh === 'number' ? t('weather.windOf', { windKmh: text(figure('speedKmh', kmh)) }) : ''
/** The first rows as they are understood with the columns and units chosen now, by the code that will read them all. */
const understood = computed(() => {
  const looked = preview.value
  if (!looked || !named.value) return []
  const last = props.forecast ? addDays(context.today, MOST_FORECAST_DAYS) : context.today
  return looked.sample.map((cells) => {
    const row = readDailyRow(cells, mappingOf(props.forecast), looked.delimiter, last)
    if ('reason' in row) return t('weather.leftOut', { reason: row.reason })
    const { day, tmaxC, tminC, rainMm, windKmh } = row.weather
    return t('weather.highLowOfRain', {
      day: dayWithYear(day),
      tmaxC: text(figure('tempC', tmaxC)),
      tminC: text(figure('tempC', tminC)),
      rainMm: text(figure('waterMm', rainMm)),
      windKmh: windy(windKmh),
    })
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
        :aria-label="t('weather.column2', { column: WORDS[column] })"
        :placeholder="t('weather.choose')"
        class="w-36"
    /></UFormField>
    <UFormField :label="t('weather.temperatureIn')" name="temperature"
      ><USelect
        id="field-temperature"
        v-model="units.temperature"
        :items="[
          { label: '°C', value: 'C' },
          { label: '°F', value: 'F' },
          { label: t('weather.tenthsOfC'), value: '0.1C' },
        ]"
        :aria-label="t('weather.temperatureIn')"
        class="w-36"
    /></UFormField>
    <UFormField :label="t('weather.rainIn')" name="rain-unit"
      ><USelect
        id="field-rain-unit"
        v-model="units.rain"
        :items="[
          { label: 'mm', value: 'mm' },
          { label: t('weather.inches'), value: 'in' },
          { label: t('weather.tenthsOfMm'), value: '0.1mm' },
        ]"
        :aria-label="t('weather.rainIn')"
        class="w-36"
    /></UFormField>
    <template v-if="forecast">
      <UFormField :label="t('weather.wind')" name="wind"
        ><USelect
          id="field-wind"
          v-model="wind.column"
          :items="[{ label: t('weather.notInTheFile'), value: NO_WIND }, ...columnItems]"
          :aria-label="t('weather.windColumn')"
          class="w-36"
      /></UFormField>
      <UFormField v-if="wind.column !== NO_WIND" :label="t('weather.windIn')" name="wind-unit"
        ><USelect
          id="field-wind-unit"
          v-model="wind.unit"
          :items="['km/h', 'mph', 'm/s']"
          :aria-label="t('weather.windIn')"
          class="w-24"
      /></UFormField>
    </template>
    <UFormField v-if="choice" :label="t('weather.onlyRowsOf')" name="only"
      ><USelect
        id="field-only"
        v-model="only"
        :items="[{ label: t('weather.chooseThePlace'), value: ALL_ROWS }, ...choice.values]"
        :aria-label="t('weather.onlyRowsOf')"
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
    <b>{{ t('weather.readAs') }}</b>
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
