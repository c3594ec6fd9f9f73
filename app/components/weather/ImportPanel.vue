<script setup lang="ts">
import {
  COLUMNS,
  MOST_FILE_BYTES,
  MOST_FORECAST_DAYS,
  type Column,
  type ImportPreview,
  type ImportResult,
  type Mapping,
  type Station,
} from '#contract/station'
import { readDailyRow } from '#core/weather/dailyFile'
import { addDays, shortDay } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/**
 * A daily file: chosen, looked into, columns confirmed and shown as they are understood, good rows kept and bad ones
 * told.
 */
const props = defineProps<{ stations: Station[] }>()
const emit = defineEmits<{ imported: [] }>()
const station = defineModel<string>('station', { required: true })
const WORDS: Record<Column, string> = { day: 'Date', tmax: 'Highest', tmin: 'Lowest', rain: 'Rain' }

const context = useContextStore()
const { text } = useUnits()
const file = shallowRef<File>()
const preview = ref<ImportPreview>()
const result = ref<ImportResult>()
const { busy, progress, message, send, cancel } = useFileSend()
const columns = reactive<Record<Column, string>>({ day: '', tmax: '', tmin: '', rain: '' })
const units = reactive<{ temperature: Mapping['temperature']; rain: Mapping['rain'] }>({ temperature: 'C', rain: 'mm' })
const what = ref<'days' | 'forecast'>('days')
const NO_WIND = 'none'
const wind = ref(NO_WIND)
const windUnit = ref<NonNullable<Mapping['wind']>['unit']>('km/h')
const ALL = 'all rows'
const only = ref(ALL)
watchEffect(() => {
  if (!props.stations.some(({ id }) => id === station.value)) station.value = props.stations[0]?.id ?? ''
})

const stationItems = computed(() => props.stations.map(({ id, name }) => ({ label: name, value: id })))
const columnItems = computed(() =>
  (preview.value?.header ?? []).map((name, i) => ({ label: name || `column ${i + 1}`, value: String(i) })),
)
const choice = computed(() => preview.value?.choices[0])
const ready = computed(() => COLUMNS.every((column) => columns[column] !== '') && (!choice.value || only.value !== ALL))
const ask = <T,>(mapping?: Mapping) =>
  send<T>(
    `/api/stations/${station.value}/import?${new URLSearchParams({ what: what.value, ...(mapping ? { mapping: JSON.stringify(mapping) } : {}) })}`,
    file.value!,
  )

async function choose(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen || busy.value) return
  ;[preview.value, result.value, message.value] = [undefined, undefined, '']
  if (chosen.size > MOST_FILE_BYTES) {
    message.value = 'The file is larger than 4 MB. Split it by years.'
    return
  }
  file.value = chosen
  const looked = await ask<ImportPreview>()
  if (looked) show(looked)
}

function show(looked: ImportPreview): void {
  preview.value = looked
  only.value = ALL
  const { guess } = looked
  for (const column of COLUMNS) columns[column] = guess ? String(guess.columns[column]) : ''
  wind.value = guess?.wind ? String(guess.wind.column) : NO_WIND
  windUnit.value = guess?.wind?.unit ?? 'km/h'
  if (guess) Object.assign(units, { temperature: guess.temperature, rain: guess.rain })
}

const mapping = computed<Mapping>(() => ({
  ...units,
  columns: {
    day: Number(columns.day),
    tmax: Number(columns.tmax),
    tmin: Number(columns.tmin),
    rain: Number(columns.rain),
  },
  ...(what.value === 'forecast' && wind.value !== NO_WIND
    ? { wind: { column: Number(wind.value), unit: windUnit.value } }
    : {}),
  only: choice.value ? { column: choice.value.column, value: only.value } : null,
}))
/** The first rows as they are understood with the columns and units chosen now, by the code that will read them all. */
const understood = computed(() => {
  const looked = preview.value
  if (!looked || COLUMNS.some((column) => columns[column] === '')) return []
  const last = what.value === 'days' ? context.today : addDays(context.today, MOST_FORECAST_DAYS)
  return looked.sample.map((cells) => {
    const row = readDailyRow(cells, mapping.value, looked.delimiter, last)
    if ('reason' in row) return `Left out: ${row.reason}`
    const { day, tmaxC, tminC, rainMm, windKmh } = row.weather
    return `${shortDay(day)} ${day.slice(0, 4)}: ${text(figure('tempC', tmaxC))} high, ${text(figure('tempC', tminC))} low, ${text(figure('waterMm', rainMm))} of rain${windKmh === undefined || windKmh === null ? '' : `, wind ${text(figure('speedKmh', windKmh))}`}`
  })
})
const DELIMITER_WORDS = {
  ',': 'commas',
  ';': 'semicolons; decimal commas are read',
  '\t': 'tabs; decimal commas are read',
} as const

async function keep(): Promise<void> {
  if (!ready.value || busy.value) return
  const kept = await ask<ImportResult>(mapping.value)
  if (!kept) return
  result.value = kept
  emit('imported')
}
</script>

<template>
  <section class="panel import" aria-label="Import days">
    <h2>Import days</h2>
    <div class="row">
      <UFormField label="Into" name="into"
        ><USelect id="field-into" v-model="station" :items="stationItems" aria-label="Into station" class="w-56"
      /></UFormField>
      <UFormField label="Its rows are" name="what"
        ><USelect
          id="field-what"
          v-model="what"
          :items="[
            { label: 'days observed', value: 'days' },
            { label: 'a forecast', value: 'forecast' },
          ]"
          aria-label="What the rows are"
          class="w-40"
      /></UFormField>
      <UFormField label="Daily file, CSV" name="file"
        ><input
          id="field-file"
          type="file"
          accept=".csv,.txt,text/csv"
          aria-label="Daily file"
          class="file-input"
          @change="choose"
      /></UFormField>
    </div>
    <p v-if="!preview" class="small">
      One row a day with date, highest, lowest and rain: °C or °F, mm or inches, comma, semicolon or tab. Good rows are
      kept, bad ones are listed by line; the same file again changes nothing. A year at least makes weather years of its
      own.
    </p>
    <FileProgress v-if="progress && !preview" :told="progress" @cancel="cancel" />
    <template v-if="preview">
      <p class="small">
        {{ file?.name }}: <b>{{ preview.rows.toLocaleString('en-US') }}</b> rows, cells parted by
        {{ DELIMITER_WORDS[preview.delimiter] }}.
        {{
          preview.guess
            ? 'Columns guessed from their names; check them.'
            : 'The columns could not be guessed: choose them.'
        }}
      </p>
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
            ]"
            aria-label="Temperature in"
            class="w-24"
        /></UFormField>
        <UFormField label="Rain in" name="rain-unit"
          ><USelect id="field-rain-unit" v-model="units.rain" :items="['mm', 'in']" aria-label="Rain in" class="w-24"
        /></UFormField>
        <template v-if="what === 'forecast'">
          <UFormField label="Wind" name="wind"
            ><USelect
              id="field-wind"
              v-model="wind"
              :items="[{ label: 'not in the file', value: NO_WIND }, ...columnItems]"
              aria-label="Wind column"
              class="w-36"
          /></UFormField>
          <UFormField v-if="wind !== NO_WIND" label="Wind in" name="wind-unit"
            ><USelect
              id="field-wind-unit"
              v-model="windUnit"
              :items="['km/h', 'mph', 'm/s']"
              aria-label="Wind in"
              class="w-24"
          /></UFormField>
        </template>
        <UFormField v-if="choice" label="Only rows of" name="only"
          ><USelect
            id="field-only"
            v-model="only"
            :items="[{ label: 'choose the place', value: ALL }, ...choice.values]"
            aria-label="Only rows of"
            class="w-44"
        /></UFormField>
      </div>
      <div class="sample">
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
      <FileProgress v-if="progress" :told="progress" @cancel="cancel" />
      <UButton v-else color="primary" :disabled="!ready" @click="keep">Keep the good rows</UButton>
    </template>
    <div v-if="result && !progress" class="result" role="status">
      <p class="verdict">
        <template v-if="what === 'forecast'"
          >A forecast of {{ result.added }} days is kept<template v-if="result.unchanged"
            >; {{ result.unchanged }} rows were of days gone</template
          >.</template
        ><template v-else
          >{{ result.added.toLocaleString('en-US') }} days added, {{ result.changed }} changed,
          {{ result.unchanged.toLocaleString('en-US') }} as before.</template
        >
      </p>
      <template v-if="result.rejectedCount">
        <p>
          <b class="text-clay-500">{{ result.rejectedCount }} rows left out</b
          ><template v-if="result.rejectedCount > result.rejected.length"
            >, the first {{ result.rejected.length }} of them:</template
          >
        </p>
        <ol>
          <li v-for="bad in result.rejected" :key="bad.line">Line {{ bad.line }}: {{ bad.reason }}</li>
        </ol>
      </template>
    </div>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </section>
</template>

<style scoped>
.import {
  padding: 14px 16px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
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
.result ol {
  max-height: 180px;
  overflow-y: auto;
  font-size: 12.5px;
  padding-left: 4px;
}
</style>
