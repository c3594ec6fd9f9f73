<script setup lang="ts">
import type { Normals } from '#core/weather/normals'
import { NORMAL_ROWS, pasteInto, type TypedNormals } from '~/utils/normalsTyped'

/** Monthly normals of a place, typed or pasted from a spreadsheet. */
const typed = defineModel<TypedNormals>({ required: true })
const props = defineProps<{ errors: Record<string, string> }>()
const { unit } = useUnits()

function paste(event: ClipboardEvent, key: keyof Normals, month: number): void {
  const table = pasteInto(typed.value, { key, month }, event.clipboardData?.getData('text') ?? '')
  if (!table) return
  event.preventDefault()
  typed.value = table
}
const fault = computed(() => {
  const [at] = Object.entries(props.errors).filter(([path]) => path.startsWith('normals.'))
  if (!at) return ''
  const [, key, m] = at[0].split('.')
  const row = NORMAL_ROWS.find((one) => one.key === key)
  return t('weather.of', { label: row ? t(row.label) : '', month: monthsShort()[Number(m)], message: at[1] })
})
</script>

<template>
  <div class="normals">
    <table class="ledger">
      <caption>
        {{
          t('weather.monthlyNormalsMeansOf')
        }}
        <span class="small">{{ t('weather.aMonthDaysWith', { tempC: unit('tempC'), waterMm: unit('waterMm') }) }}</span>
      </caption>
      <thead>
        <tr>
          <td />
          <th v-for="month in monthsShort()" :key="month" scope="col">{{ month }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in NORMAL_ROWS" :key="row.key">
          <th scope="row">{{ t(row.label) }}</th>
          <td v-for="(month, m) in monthsShort()" :key="month">
            <input
              :id="`field-normal-${row.key}-${m}`"
              v-model="typed[row.key][m]"
              type="text"
              inputmode="decimal"
              maxlength="12"
              :aria-label="`${t(row.label)}, ${month}`"
              :aria-invalid="Boolean(errors[`normals.${row.key}.${m}`])"
              @paste="paste($event, row.key, m)"
            />
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <p v-if="fault" class="problem">{{ fault }}</p>
</template>

<style scoped>
.normals {
  overflow-x: auto;
  max-width: 100%;
}
caption {
  text-align: left;
  font-weight: 650;
  padding-bottom: 4px;
}
th,
td {
  padding: 2px 3px;
  text-align: center;
}
tbody th {
  text-align: left;
  color: var(--ink);
  white-space: nowrap;
  padding-right: 8px;
}
input {
  width: 52px;
  height: 30px;
  border: 1px solid var(--rule-2);
  background: var(--lime);
  text-align: right;
  padding: 0 5px;
}
input[aria-invalid='true'] {
  border: 2px solid var(--clay);
}
@media (max-width: 700px) {
  input {
    height: 48px;
  }
}
</style>
