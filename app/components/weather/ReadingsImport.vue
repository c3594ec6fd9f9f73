<script setup lang="ts">
import { MOST_FILE_BYTES, type ReadingsResult, type Station } from '#contract/station'
import { figure } from '#core/measure/figure'
import { PROBE_DEPTH_M } from '#core/soil/soil'

/** A logger's file of soil temperatures. */
const props = defineProps<{ station: Station; kept: number }>()
const emit = defineEmits<{ imported: [] }>()
const { text, parse } = useUnits()
const file = shallowRef<File>()
const depth = ref(text(figure('depthMm', PROBE_DEPTH_M * 1000)))
const temperature = ref<'C' | 'F' | 'file'>('file')
const { busy, progress, message, send, cancel } = useFileSend()
const result = ref<ReadingsResult>()

async function choose(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen) return
  ;[result.value, message.value, file.value] = [undefined, '', undefined]
  if (chosen.size > MOST_FILE_BYTES) message.value = t('weather.theFileIsLarger')
  else file.value = chosen
}
async function keep(): Promise<void> {
  if (busy.value || !file.value) return
  const depthMm = parse('depthMm', depth.value)
  if (!depthMm.ok) {
    message.value = t('weather.depth', { message: depthMm.message })
    return
  }
  const told = new URLSearchParams({
    depthMm: String(depthMm.value),
    ...(temperature.value === 'file' ? {} : { temperature: temperature.value }),
  })
  const kept = await send<ReadingsResult>(`/api/stations/${props.station.id}/readings-file?${told}`, file.value)
  if (!kept) return
  result.value = kept
  emit('imported')
}
</script>

<template>
  <div class="readings">
    <p class="small">
      {{ t('weather.readingsKeptNoReading', { kept }) }}
    </p>
    <div class="row">
      <UFormField :label="t('weather.loggerFileCsv')" name="readings-file"
        ><input
          id="field-readings-file"
          type="file"
          accept=".csv,.txt,text/csv"
          :aria-label="t('weather.loggerFile')"
          class="file-input"
          @change="choose"
      /></UFormField>
      <UFormField :label="t('weather.depthWhereTheFile')" name="readings-depth"
        ><UInput id="field-readings-depth" v-model="depth" class="w-28"
      /></UFormField>
      <UFormField :label="t('weather.temperatureIn')" name="readings-unit"
        ><USelect
          id="field-readings-unit"
          v-model="temperature"
          :items="[
            { label: t('weather.asTheFileSays'), value: 'file' },
            { label: '°C', value: 'C' },
            { label: '°F', value: 'F' },
          ]"
          :aria-label="t('weather.temperatureOfTheReadings')"
          class="w-36"
      /></UFormField>
      <UButton color="primary" :disabled="!file || busy" @click="keep">{{ t('weather.keepTheReadings') }}</UButton>
    </div>
    <FileProgress v-if="progress" :told="progress" @cancel="cancel" />
    <div v-if="result && !progress" role="status">
      <p>
        <b>{{ t('weather.readingsOfKept', { kept: result.kept, name: file?.name }) }}</b>
        <template v-if="result.rejectedCount">{{
          t('weather.rowsLeftOut2', { rejectedCount: result.rejectedCount })
        }}</template>
      </p>
      <ol>
        <li v-for="bad in result.rejected" :key="bad.line">
          {{ t('weather.line', { line: bad.line, reason: bad.reason }) }}
        </li>
      </ol>
    </div>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </div>
</template>

<style scoped>
.readings {
  display: grid;
  gap: 8px;
}
.row {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
  align-items: flex-end;
}
ol {
  max-height: 180px;
  overflow-y: auto;
  font-size: 12.5px;
  padding-left: 4px;
}
</style>
