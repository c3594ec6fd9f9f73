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
    message.value = t('weather.theFileIsLarger')
    return
  }
  file.value = chosen
  const looked = await send<WeatherFileTold>('/api/weather-files', chosen)
  if (looked?.climate) message.value = t('weather.thisFileHoldsTypical')
  else mapping.show(looked)
}
const DELIMITER_WORDS = {
  ',': 'commas',
  ';': t('weather.semicolonsDecimalCommasAre'),
  '\t': t('weather.tabsDecimalCommasAre'),
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
  <section class="panel import" :aria-label="t('weather.importDays')">
    <h2>{{ t('weather.importDays') }}</h2>
    <div class="row">
      <UFormField :label="t('weather.into')" name="into"
        ><USelect
          id="field-into"
          v-model="station"
          :items="stationItems"
          :aria-label="t('weather.intoStation')"
          class="w-56"
      /></UFormField>
      <UFormField :label="t('weather.itsRowsAre')" name="what"
        ><USelect
          id="field-what"
          v-model="what"
          :items="[
            { label: t('weather.daysObserved'), value: 'days' },
            { label: t('weather.aForecast'), value: 'forecast' },
          ]"
          :aria-label="t('weather.whatTheRowsAre')"
          class="w-40"
      /></UFormField>
      <UFormField :label="t('weather.dailyFileCsv')" name="file"
        ><input
          id="field-file"
          type="file"
          accept=".csv,.txt,.dly,.epw,text/csv"
          :aria-label="t('weather.dailyFile')"
          class="file-input"
          @change="choose"
      /></UFormField>
    </div>
    <p v-if="!preview" class="small">
      {{ t('weather.oneRowADay') }}
    </p>
    <FileProgress v-if="progress && !preview" :told="progress" @cancel="cancel" />
    <template v-if="preview">
      <p class="small">
        {{ file?.name }}: <b>{{ preview.rows.toLocaleString('en-US') }}</b>
        {{
          t('weather.rowsCellsPartedBy', {
            delimiter: DELIMITER_WORDS[preview.delimiter],
            hasGuess: Boolean(preview.guess),
          })
        }}
      </p>
      <DailyMapping :mapping :forecast="what === 'forecast'" />
      <FileProgress v-if="progress" :told="progress" @cancel="cancel" />
      <UButton v-else color="primary" :disabled="!ready" @click="keep">{{ t('weather.keepTheGoodRows') }}</UButton>
    </template>
    <div v-if="result && !progress" class="result" role="status">
      <p class="verdict">
        <template v-if="what === 'forecast'"
          >{{ t('weather.aForecastOfDays', { added: result.added })
          }}<template v-if="result.unchanged">{{
            t('weather.rowsWereOfDays', { unchanged: result.unchanged })
          }}</template
          >.</template
        ><template v-else>{{
          t('weather.daysAddedChangedAs', {
            added: result.added,
            changed: result.changed,
            unchanged: result.unchanged,
          })
        }}</template>
      </p>
      <template v-if="result.rejectedCount">
        <p>
          <b class="text-clay-500">{{ t('weather.rowsLeftOut', { rejectedCount: result.rejectedCount }) }}</b><template
            v-if="result.rejectedCount > result.rejected.length"
            >{{ t('weather.theFirstOfThem', { rejected: result.rejected.length }) }}</template
          >
        </p>
        <ol>
          <li v-for="bad in result.rejected" :key="bad.line">
            {{ t('weather.line', { line: bad.line, reason: bad.reason }) }}
          </li>
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
