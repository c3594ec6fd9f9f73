<script setup lang="ts">
import { indexOf } from '#core/establishment/outlook'
import { addDays, shortDay } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { mondays, sillScale } from '~/utils/sillScale'

/** What the ledge draws, as a table: a row a week. */
const sill = useSillStore()
const { text } = useUnits()
const data = computed(() => sill.data)
const weeks = computed(() => {
  if (!data.value) return []
  const { outlook, forecast } = data.value
  return mondays(sillScale(data.value, 0, 1, 0, 1)).map((monday) => {
    const i = indexOf(outlook, monday)
    const days = Array.from({ length: 7 }, (_, d) => addDays(monday, d))
    const inBand = days.filter((_, d) => outlook.insideBand.some(({ from, to }) => i + d >= from && i + d <= to)).length
    const known = days.map(
      (day) => outlook.rainMm[indexOf(outlook, day)] ?? forecast.find((f) => f.day === day)?.rainMm,
    )
    const fell = known.every((mm) => mm !== undefined) ? known.reduce<number>((sum, mm) => sum + mm!, 0) : undefined
    return {
      monday,
      ahead: monday > outlook.today,
      filled: days.filter((day) => outlook.filled[indexOf(outlook, day)]).length,
      soil: outlook.soilC.median[i]!,
      low: outlook.soilC.p05[i]!,
      high: outlook.soilC.p95[i]!,
      inBand,
      rainMm: fell ?? outlook.usualWeekRainMm[i]!,
      usual: fell === undefined,
    }
  })
})
const frost = computed(() => data.value?.outlook.frost)
</script>

<template>
  <details v-if="data" class="season">
    <summary>Show as a table</summary>
    <p v-if="frost" class="small">
      {{ frost.kind === 'first' ? 'First' : 'Last' }} frost: by {{ shortDay(frost.p10) }} in 10% of years,
      {{ shortDay(frost.p50) }} in half, {{ shortDay(frost.p90) }} in 90%.
    </p>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">Week from</th>
          <th scope="col" class="right">Soil at 2 in (50 mm)</th>
          <th scope="col" class="right">In 9 of 10 years</th>
          <th scope="col" class="right">Days {{ data.grassName }} sprouts</th>
          <th scope="col" class="right">Rain</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="week in weeks" :key="week.monday">
          <td>{{ shortDay(week.monday, data.outlook.today) }}</td>
          <td class="right num">{{ text(figure('tempC', week.soil, 2)) }}</td>
          <td class="right">
            {{
              week.ahead
                ? `${text(figure('tempC', week.low, 2))} to ${text(figure('tempC', week.high, 2))}`
                : week.filled
                  ? `${week.filled} days from normals`
                  : 'modelled'
            }}
          </td>
          <td class="right">{{ week.inBand }}</td>
          <td class="right">{{ text(figure('waterMm', week.rainMm)) }}{{ week.usual ? ' usually' : '' }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
@media (max-width: 700px) {
  table {
    display: block;
    overflow-x: auto;
  }
}
</style>
