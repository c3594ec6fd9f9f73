<script setup lang="ts">
import { indexOf } from '#core/establishment/outlook'
import { addDays } from '#core/measure/calendar'
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
    <summary>{{ t('sill.showAsATable') }}</summary>
    <p v-if="frost" class="small">
      {{
        t('sill.firstLastFrostBy', {
          kind: frost.kind,
          p10: shortDay(frost.p10),
          p50: shortDay(frost.p50),
          p90: shortDay(frost.p90),
        })
      }}
    </p>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('sill.weekFrom') }}</th>
          <th scope="col" class="right">{{ t('sill.soilAt2In') }}</th>
          <th scope="col" class="right">{{ t('sill.in9Of10') }}</th>
          <th scope="col" class="right">{{ t('sill.daysSprouts', { grassName: data.grassName }) }}</th>
          <th scope="col" class="right">{{ t('sill.rain') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="week in weeks" :key="week.monday">
          <td>{{ shortDay(week.monday, data.outlook.today) }}</td>
          <td class="right num">{{ text(figure('tempC', week.soil, 2)) }}</td>
          <td class="right">
            {{
              week.ahead
                ? t('sill.to', { low: text(figure('tempC', week.low, 2)), high: text(figure('tempC', week.high, 2)) })
                : week.filled
                  ? t('sill.daysFromNormals', { filled: week.filled })
                  : t('sill.modelled')
            }}
          </td>
          <td class="right">{{ week.inBand }}</td>
          <td class="right">{{ text(figure('waterMm', week.rainMm)) }}{{ week.usual ? t('sill.usually') : '' }}</td>
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
