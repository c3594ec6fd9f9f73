<script setup lang="ts">
import { daysBetween, type Day } from '#core/measure/calendar'
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
    [t('sowingDay.soilThatDay'), text(figure('tempC', soilC, 2))],
    [
      t('sowingDay.rainSince'),
      known.length
        ? `${text(
            figure(
              'depthMm',
              known.reduce((sum, mm) => sum + mm, 0),
            ),
          )}${known.length < rain.length ? t('sowingDay.daysNotRecorded', { rain: rain.length - known.length }) : ''}`
        : t('sowingDay.notRecorded'),
    ],
    [
      t('sowingDay.seedSownThen'),
      up50 === null || up50 === undefined
        ? t('sowingDay.wouldNotBeUp')
        : up50 <= since
          ? t('sowingDay.n50EmergedDaysAgo', { since: since - up50 })
          : t('sowingDay.n50EmergedInDays', { up50: up50 - since }),
    ],
  ]
})
</script>

<template>
  <p class="verdict">{{ t('sowingDay.hasPassedAndNothing', { day: shortDay(day, outlook.today) }) }}</p>
  <table v-if="happened.length" class="ledger">
    <tbody>
      <tr v-for="[what, says] in happened" :key="what">
        <td>{{ what }}</td>
        <td class="right num">{{ says }}</td>
      </tr>
    </tbody>
  </table>
  <p v-else class="small">{{ t('sowingDay.theRecordShownHere', { first: shortDay(outlook.first, outlook.today) }) }}</p>
</template>

<style scoped>
.verdict {
  font-size: 21px;
}
</style>
