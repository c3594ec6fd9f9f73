<script setup lang="ts">
import { daysBetween, shortDay, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { indexOf, type Outlook } from '#core/establishment/outlook'

/** A day that has passed and was not sown: what the record says of it and of the days since. */
const props = defineProps<{ outlook: Outlook; day: Day }>()
const { text } = useUnits()
const happened = computed(() => {
  const { outlook, day } = props
  const at = indexOf(outlook, day)
  const soilC = outlook.soilC.median[at]
  if (at < 0 || soilC === undefined) return []
  const rain = outlook.rainMm.slice(at, outlook.todayIndex)
  const known = rain.filter((mm) => mm !== null)
  const since = daysBetween(day, outlook.today)
  const up50 = outlook.sowing[at]?.up50
  return [
    ['Soil that day', text(figure('tempC', soilC, 2))],
    [
      'Rain since',
      known.length
        ? `${text(
            figure(
              'depthMm',
              known.reduce((sum, mm) => sum + mm, 0),
            ),
          )}${known.length < rain.length ? `, ${rain.length - known.length} days not recorded` : ''}`
        : 'not recorded',
    ],
    [
      'Seed sown then',
      up50 === null || up50 === undefined
        ? 'would not be up'
        : up50 <= since
          ? `50% emerged ${since - up50} days ago`
          : `50% emerged in ${up50 - since} days`,
    ],
  ]
})
</script>

<template>
  <p class="verdict">{{ shortDay(day, outlook.today) }} has passed and nothing was sown.</p>
  <table v-if="happened.length" class="ledger">
    <tbody>
      <tr v-for="[what, says] in happened" :key="what">
        <td>{{ what }}</td>
        <td class="right num">{{ says }}</td>
      </tr>
    </tbody>
  </table>
  <p v-else class="small">The record shown here begins {{ shortDay(outlook.first, outlook.today) }}.</p>
</template>

<style scoped>
.verdict {
  font-size: 21px;
}
</style>
