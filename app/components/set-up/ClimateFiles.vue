<script setup lang="ts">
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
const FORMS = {
  table: t('setUp.tableOfDays'),
  dly: t('setUp.ghcnDailyFixedWidth'),
  epw: t('setUp.typicalYearEpw'),
} as const
function placeWords({ told }: DroppedFile): string {
  const at = told?.station
  return at
    ? `${at.name ? `${at.name}, ` : ''}${at.latDeg.toFixed(2)}, ${at.lonDeg.toFixed(2)}`
    : t('setUp.noPlaceInThe')
}
function countWords({ told, kept }: DroppedFile): string {
  if (kept === 'normals') return t('setUp.savedAsNormals')
  if (kept) return t('setUp.savedDays', { added: kept.added })
  const counted = told?.counted
  if (!counted) return ''
  const span = counted.first
    ? t('setUp.to', { first: dayWithYear(counted.first), last: dayWithYear(counted.last!) })
    : ''
  return t('setUp.goodDays', { days: counted.days.toLocaleString('en-US'), span })
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
      <b>{{ t('setUp.dropWeatherFilesHere') }}</b>
      <span class="small">{{ t('setUp.csvWithDateHigh') }}</span>
      <input
        id="field-weather-files"
        type="file"
        multiple
        accept=".csv,.txt,.dly,.epw,text/csv"
        :aria-label="t('setUp.weatherFiles')"
        @change="(event) => drop(chosen(event))"
      />
    </label>
    <FileProgress v-if="progress" :told="progress" @cancel="cancel" />
    <ul v-if="dropped.length">
      <li v-for="one in dropped" :key="one.id">
        <div class="line">
          <b>{{ one.file.name }}</b>
          <span v-if="one.told" class="small">{{ FORMS[one.told.form] }}; {{ placeWords(one) }}</span>
          <button v-if="!one.kept" type="button" class="opens" @click="remove(one.id)">{{ t('setUp.remove') }}</button>
        </div>
        <p v-if="countWords(one)">{{ countWords(one) }}</p>
        <template v-if="one.told?.climate && !one.kept">
          <p class="small">{{ t('setUp.typicalHoursNoRecord') }}</p>
          <UFormField :label="t('setUp.rainOfAYear', { waterMm: unit('waterMm') })" :name="`rain-${one.id}`">
            <UInput :id="`field-rain-${one.id}`" v-model="one.rain" inputmode="decimal" maxlength="12" class="w-32" />
          </UFormField>
        </template>
        <DailyMapping v-if="asks(one) && !one.kept" :mapping="one.mapping" />
        <details v-if="one.told?.counted?.rejectedCount && !one.kept">
          <summary>
            {{ t('setUp.rowsLeftOut', { rejectedCount: one.told.counted.rejectedCount.toLocaleString('en-US') }) }}
          </summary>
          <ol>
            <li v-for="bad in one.told.counted.rejected" :key="bad.line">
              {{ t('setUp.line', { line: bad.line, reason: bad.reason }) }}
            </li>
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
