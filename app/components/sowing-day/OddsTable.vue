<script setup lang="ts">
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { CAUSES } from '~/utils/causeWords'
import { addDays, shortDayWithWeekday } from '#core/measure/calendar'

/** The odds of the chart as a table: every third day for half a year. */
const props = defineProps<{ outlook: Outlook }>()
const rows = computed(() =>
  Array.from({ length: 50 }, (_, i) => addDays(props.outlook.today, i * 3)).flatMap((day) => {
    const odds = props.outlook.sowing[indexOf(props.outlook, day)]
    return odds ? [{ day, ...odds }] : []
  }),
)
</script>

<template>
  <details>
    <summary>The chart as a table</summary>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">If you sow</th>
          <th scope="col" class="right">Good</th>
          <th v-for="{ code, head } in CAUSES" :key="code" scope="col" class="right">{{ head }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.day">
          <td>{{ shortDayWithWeekday(row.day, outlook.today) }}</td>
          <td class="right">
            <b class="num">{{ row.good }}</b> of {{ outlook.years }}
          </td>
          <td v-for="{ code } in CAUSES" :key="code" class="right">{{ row.causes[code] }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
details {
  margin: 8px 0 0 40px;
  max-width: 560px;
}
@media (max-width: 700px) {
  details {
    margin-left: 0;
  }
}
</style>
