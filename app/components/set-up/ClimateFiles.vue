<script setup lang="ts">
import { shortDay } from '#core/measure/calendar'
import type { DroppedFile } from '~/composables/useWeatherFiles'

/** Weather files, dropped or chosen: what each is, what of it is read, and its bad rows by line. */
const props = defineProps<{ files: ReturnType<typeof useWeatherFiles> }>()
const { dropped, drop, remove, progress, cancel } = props.files
const { unit } = useUnits()
const over = ref(false)
const chosen = (event: Event) => [...((event.target as HTMLInputElement).files ?? [])]
function landed(event: DragEvent): void {
  over.value = false
  void drop([...(event.dataTransfer?.files ?? [])])
}
const FORMS = { table: 'Table of days', dly: 'GHCN-Daily, fixed width', epw: 'Typical year (EPW)' } as const
function placeWords({ told }: DroppedFile): string {
  const at = told?.station
  return at
    ? `${at.name ? `${at.name}, ` : ''}${at.latDeg.toFixed(2)}, ${at.lonDeg.toFixed(2)}`
    : 'no place in the file'
}
function countWords({ told, kept }: DroppedFile): string {
  if (kept === 'normals') return 'Saved as normals.'
  if (kept) return `Saved: ${kept.added.toLocaleString('en-US')} days.`
  const counted = told?.counted
  if (!counted) return ''
  const span = counted.first
    ? `, ${shortDay(counted.first)} ${counted.first.slice(0, 4)} to ${shortDay(counted.last!)} ${counted.last!.slice(0, 4)}`
    : ''
  return `${counted.days.toLocaleString('en-US')} good days${span}.`
}
/** Columns have to be chosen where they cannot be guessed, or the file holds several places. */
const asks = ({ told }: DroppedFile) => told !== undefined && !told.climate && !told.counted
</script>

<template>
  <div class="files">
    <label
      class="zone"
      :class="{ over }"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="landed"
    >
      <b>Drop weather files here, or choose them</b>
      <span class="small"
        >CSV with date, high, low and rain; GHCN-Daily as CSV or .dly; EPW for normals. Several at once are fine.</span
      >
      <input
        id="field-weather-files"
        type="file"
        multiple
        accept=".csv,.txt,.dly,.epw,text/csv"
        aria-label="Weather files"
        @change="(event) => drop(chosen(event))"
      />
    </label>
    <FileProgress v-if="progress" :told="progress" @cancel="cancel" />
    <ul v-if="dropped.length">
      <li v-for="one in dropped" :key="one.id">
        <div class="line">
          <b>{{ one.file.name }}</b>
          <span v-if="one.told" class="small">{{ FORMS[one.told.form] }}; {{ placeWords(one) }}</span>
          <button v-if="!one.kept" type="button" class="opens" @click="remove(one.id)">Remove</button>
        </div>
        <p v-if="countWords(one)">{{ countWords(one) }}</p>
        <template v-if="one.told?.climate && !one.kept">
          <p class="small">Typical hours, no record of days: its monthly means become normals. It has no rain.</p>
          <UFormField :label="`Rain of a year, ${unit('waterMm')}`" :name="`rain-${one.id}`">
            <UInput :id="`field-rain-${one.id}`" v-model="one.rain" inputmode="decimal" maxlength="12" class="w-32" />
          </UFormField>
        </template>
        <DailyMapping v-if="asks(one) && !one.kept" :mapping="one.mapping" />
        <details v-if="one.told?.counted?.rejectedCount && !one.kept">
          <summary>Rows left out: {{ one.told.counted.rejectedCount.toLocaleString('en-US') }}</summary>
          <ol>
            <li v-for="bad in one.told.counted.rejected" :key="bad.line">Line {{ bad.line }}: {{ bad.reason }}</li>
          </ol>
        </details>
        <p v-if="one.problem" class="problem" role="alert">{{ one.problem }}</p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.files {
  display: grid;
  gap: 10px;
}
.zone {
  border: 1.5px dashed var(--rule-2);
  padding: 14px;
  display: grid;
  gap: 6px;
  justify-items: start;
  cursor: pointer;
}
.over {
  border-color: var(--ink);
  background: var(--straw-tint);
}
li > * {
  margin-top: 4px;
}
ul > li {
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
.line {
  display: flex;
  gap: 10px;
  align-items: baseline;
  flex-wrap: wrap;
}
ol {
  max-height: 160px;
  overflow-y: auto;
  font-size: 12.5px;
}
</style>
