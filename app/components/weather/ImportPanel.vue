<script setup lang="ts">
import { MOST_FILE_BYTES, type ImportResult, type Station, type WeatherFileTold } from '#contract/station'

/**
 * A daily file: chosen, looked into, columns confirmed and shown as they are understood, good rows kept and bad ones
 * told.
 */
const props = defineProps<{ stations: Station[] }>()
const emit = defineEmits<{ imported: [] }>()
const station = defineModel<string>('station', { required: true })

const file = shallowRef<File>()
const result = ref<ImportResult>()
const { busy, progress, message, send, cancel } = useFileSend()
const mapping = useDailyMapping()
const { preview, ready } = mapping
const what = ref<'days' | 'forecast'>('days')
watchEffect(() => {
  if (!props.stations.some(({ id }) => id === station.value)) station.value = props.stations[0]?.id ?? ''
})
const stationItems = computed(() => props.stations.map(({ id, name }) => ({ label: name, value: id })))

async function choose(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen || busy.value) return
  mapping.show(undefined)
  ;[result.value, message.value] = [undefined, '']
  if (chosen.size > MOST_FILE_BYTES) {
    message.value = 'The file is larger than 16 MB. Split it by years.'
    return
  }
  file.value = chosen
  const looked = await send<WeatherFileTold>('/api/weather-files', chosen)
  if (looked?.climate)
    message.value =
      'This file holds typical hours and no record of days. Its monthly means can be put in as normals, under Set up or with the station.'
  else mapping.show(looked)
}
const DELIMITER_WORDS = {
  ',': 'commas',
  ';': 'semicolons; decimal commas are read',
  '\t': 'tabs; decimal commas are read',
} as const

async function keep(): Promise<void> {
  if (!ready.value || busy.value) return
  const told = { what: what.value, mapping: JSON.stringify(mapping.mappingOf(what.value === 'forecast')) }
  const kept = await send<ImportResult>(
    `/api/stations/${station.value}/import?${new URLSearchParams(told)}`,
    file.value!,
  )
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
          accept=".csv,.txt,.dly,.epw,text/csv"
          aria-label="Daily file"
          class="file-input"
          @change="choose"
      /></UFormField>
    </div>
    <p v-if="!preview" class="small">
      One row a day with date, highest, lowest and rain: °C, °F or tenths of °C, mm, inches or tenths of mm. GHCN-Daily
      as CSV or .dly is read too. Good rows are kept, bad ones are listed by line; the same file again changes nothing.
      A year at least makes weather years of its own.
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
      <DailyMapping :mapping :forecast="what === 'forecast'" />
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
.result ol {
  max-height: 180px;
  overflow-y: auto;
  font-size: 12.5px;
  padding-left: 4px;
}
</style>
