<script setup lang="ts">
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { SOWN_AHEAD } from '#core/establishment/season'
import { CAUSES } from '~/utils/causeWords'
import { addDays, type Day } from '#core/measure/calendar'

/** The odds of the chart as a table: a row a week for eighteen months. */
const props = defineProps<{ outlook: Outlook }>()
const emit = defineEmits<{ look: [day: Day] }>()
const rows = computed(() =>
  Array.from({ length: Math.ceil(SOWN_AHEAD / 7) }, (_, i) => addDays(props.outlook.today, i * 7)).flatMap((day) => {
    const odds = props.outlook.sowing[indexOf(props.outlook, day)]
    return odds ? [{ day, ...odds }] : []
  }),
)
</script>

<template>
  <details>
    <summary>{{ t('sowingDay.theChartAsA') }}</summary>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('sowingDay.ifYouSow') }}</th>
          <th scope="col" class="right">{{ t('sowingDay.goodStandOf100') }}</th>
          <th v-for="{ code, head } in CAUSES" :key="code" scope="col" class="right">{{ t(head) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.day">
          <td>
            <button type="button" class="opens" @click="emit('look', row.day)">
              {{ shortDayWithWeekday(row.day, outlook.today) }}
            </button>
          </td>
          <td class="right">
            <b class="num">{{ row.chance.of100 }}</b>
            {{ t('sowingDay.to2', { low: row.chance.low, high: row.chance.high }) }}
          </td>
          <td v-for="{ code } in CAUSES" :key="code" class="right">
            {{ Math.round((row.causes[code] / outlook.years) * 100) }}
          </td>
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
