<script setup lang="ts">
import { addDays, type Day } from '#core/measure/calendar'
import { figure, type Quantity } from '#core/measure/figure'
import { forecastSchema, MOST_FORECAST_DAYS, type Station, type StationDetail } from '#contract/station'

/** Five days of a forecast, typed in a minute: tab from cell to cell, empty rows are left out. */
const props = defineProps<{ station: Station; detail: StationDetail }>()
const emit = defineEmits<{ kept: [] }>()
const context = useContextStore()
const { unit, number, parse, text } = useUnits()
const { busy, message, errors, judged, send } = useSend()
const TYPED_DAYS = 5
type Key = 'tmaxC' | 'tminC' | 'rainMm' | 'windKmh'
const COLUMNS: readonly { key: Key; label: string; quantity: Quantity; decimals: number }[] = [
  { key: 'tmaxC', label: t('weather.highest'), quantity: 'tempC', decimals: 0 },
  { key: 'tminC', label: t('weather.lowest'), quantity: 'tempC', decimals: 0 },
  { key: 'rainMm', label: t('weather.rain'), quantity: 'waterMm', decimals: 2 },
  { key: 'windKmh', label: t('weather.wind'), quantity: 'speedKmh', decimals: 0 },
]
type Row = { day: Day } & Record<Key, string>
const round = (value: number, decimals: number) => String(Math.round(value * 10 ** decimals) / 10 ** decimals)
function rowOf(day: Day): Row {
  const told = props.detail.forecast.find((one) => one.day === day)
  const cell = ({ key, quantity, decimals }: (typeof COLUMNS)[number]) =>
    told?.[key] === undefined || told[key] === null ? '' : round(number(quantity, told[key]), decimals)
  return { day, ...(Object.fromEntries(COLUMNS.map((column) => [column.key, cell(column)])) as Record<Key, string>) }
}
const reach = computed(() => Math.max(TYPED_DAYS, props.detail.forecast.length))
const rows = ref<Row[]>([])
/** The table as it was last filled from what is kept; what differs from it was typed. */
let filledAs = '[]'
function begin(): void {
  // What is half typed outlasts a fresh answer, as after a logger's file.
  if (JSON.stringify(rows.value) !== filledAs) return
  rows.value = Array.from({ length: reach.value }, (_, i) => rowOf(addDays(context.today, i)))
  filledAs = JSON.stringify(rows.value)
}
watch(() => [props.detail, context.today, context.units], begin, { immediate: true })
const kept = ref(false)

async function keep(): Promise<void> {
  kept.value = false
  const told = rows.value.map((row, i) => ({ row, i })).filter(({ row }) => COLUMNS.some(({ key }) => row[key].trim()))
  const read = told.map(({ row }) =>
    Object.fromEntries(
      COLUMNS.map(({ key, quantity }) => {
        const optional = key === 'windKmh' || key === 'rainMm'
        return [key, optional && !row[key].trim() ? undefined : parse(quantity, row[key])]
      }),
    ),
  )
  const days = told.map(({ row }, n) => {
    const value = (key: Key) => {
      const one = read[n]![key]
      return one ? orZero(one) : null
    }
    return {
      day: row.day,
      tmaxC: value('tmaxC') ?? 0,
      tminC: value('tminC') ?? 0,
      rainMm: value('rainMm') ?? 0,
      windKmh: value('windKmh'),
    }
  })
  const typed = Object.fromEntries(
    read.flatMap((cells, n) =>
      Object.entries(cells).flatMap(([key, one]) => (one ? [[`days.${n}.${key}`, one] as const] : [])),
    ),
  )
  const body = judged(forecastSchema, { days }, typed)
  // Errors count the rows that were sent; the table counts all.
  errors.value = Object.fromEntries(
    Object.entries(errors.value).map(([path, words]) => {
      const [, n, key] = path.split('.')
      return [key ? `${told[Number(n)]!.i}.${key}` : path, words]
    }),
  )
  if (!body || !(await send(() => $fetch(`/api/stations/${props.station.id}/forecast`, { method: 'PUT', body }))))
    return
  kept.value = true
  filledAs = JSON.stringify(rows.value)
  emit('kept')
}
const fault = computed(() => {
  const [at] = Object.entries(errors.value)
  if (!at) return ''
  const [i, key] = at[0].split('.')
  const row = rows.value[Number(i)]
  return row
    ? `${shortDayWithWeekday(row.day)}, ${COLUMNS.find((column) => column.key === key)?.label.toLowerCase() ?? ''}: ${at[1]}`
    : at[1]
})
</script>

<template>
  <div class="forecast">
    <p v-if="detail.forecastIssued" class="small">
      {{ t('weather.issued', { forecastIssued: shortDayWithWeekday(detail.forecastIssued) })
      }}<template v-if="detail.forecastIssued < context.today">{{ t('weather.olderThanTodaySo') }}</template
      >.
    </p>
    <p v-else class="small">
      {{ t('weather.noForecastYetWithout') }}
    </p>
    <table v-if="station.kind === 'simulated'" class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('weather.day') }}</th>
          <th v-for="column in COLUMNS" :key="column.key" scope="col" class="right">{{ column.label }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="day in detail.forecast" :key="day.day">
          <td>{{ shortDayWithWeekday(day.day) }}</td>
          <td v-for="column in COLUMNS" :key="column.key" class="right num">
            {{
              day[column.key] === null || day[column.key] === undefined
                ? ''
                : text(figure(column.quantity, day[column.key]!, 2))
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <form v-else novalidate @submit.prevent="keep">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">{{ t('weather.day') }}</th>
            <th v-for="column in COLUMNS" :key="column.key" scope="col" class="right">
              {{ column.label }}, {{ unit(column.quantity) }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in rows" :key="row.day">
            <td>{{ shortDayWithWeekday(row.day) }}</td>
            <td v-for="column in COLUMNS" :key="column.key" class="right">
              <input
                :id="`field-forecast-${i}-${column.key}`"
                v-model="row[column.key]"
                type="text"
                inputmode="decimal"
                maxlength="12"
                :aria-label="`${column.label}, ${shortDayWithWeekday(row.day)}`"
                :aria-invalid="Boolean(errors[`${i}.${column.key}`])"
                :placeholder="column.key === 'rainMm' ? '0' : ''"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <p class="small">
        <button
          v-if="rows.length < MOST_FORECAST_DAYS"
          type="button"
          class="opens"
          @click="rows.push(rowOf(addDays(context.today, rows.length)))"
        >
          {{ t('weather.anotherDay') }}
        </button>
        {{ t('weather.rainLeftEmptyIs') }}
      </p>
      <p v-if="fault" class="problem">{{ fault }}</p>
      <p v-if="message" class="problem" role="alert">{{ message }}</p>
      <p v-if="kept" role="status">{{ t('weather.theForecastIsKept') }}</p>
      <UButton type="submit" color="primary" :loading="busy">{{ t('weather.keepTheForecast') }}</UButton>
    </form>
  </div>
</template>

<style scoped>
.forecast,
form {
  display: grid;
  gap: 8px;
  justify-items: start;
}
td {
  white-space: nowrap;
  vertical-align: middle !important;
}
input {
  width: 74px;
  height: 32px;
  border: 1px solid var(--ink-3);
  background: var(--lime);
  text-align: right;
  padding: 0 6px;
}
input[aria-invalid='true'] {
  border: 2px solid var(--clay);
}
@media (max-width: 700px) {
  input {
    width: 52px;
    height: 48px;
  }
  td,
  th {
    padding: 4px 2px !important;
  }
}
</style>
