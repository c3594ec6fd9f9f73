<script setup lang="ts">
import type { DryHours } from '#core/establishment/moisture'
import { emergenceWorked } from '#core/establishment/emergenceWorking'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import type { Grass } from '#core/grass/grasses'
import { addDays, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/** What sowing on a day leads to: soil, emergence, water, mowing, cover. */
const props = defineProps<{ outlook: Outlook; day: Day; grass: Grass }>()
const { text } = useUnits()
const chosen = computed(() => props.outlook.sowing[indexOf(props.outlook, props.day)])
/** For one grass; a mixture tells of each of its own. */
const half = computed(() =>
  chosen.value && !chosen.value.parts.length
    ? emergenceWorked(props.grass, props.day, chosen.value, props.outlook.years)
    : undefined,
)

const on = (days: number | null) => (days === null ? t('sowingDay.notThisSeason') : shortDay(addDays(props.day, days)))
const between = (early: number, late: number) => t('sowingDay.to', { early: on(early), late: on(late) })
const hour = (h: number) => `${String(h).padStart(2, '0')}:00`
function dryWords({ hoursADay, between: hours }: DryHours): string {
  if (hoursADay < 0.1) return t('sowingDay.hardlyEver')
  const mostly =
    hours && hoursADay < 23 ? t('sowingDay.mostlyTo', { hours: hour(hours[0]), hours2: hour(hours[1]) }) : ''
  return t('sowingDay.hADay', { hoursADay: hoursADay.toFixed(1), mostly })
}
const halfWords = computed(() => {
  const { up50, up50Early, up50Late } = chosen.value ?? { up50: null, up50Early: null, up50Late: null }
  return up50Early === null || up50Late === null ? on(up50) : between(up50Early, up50Late)
})
const facts = computed<[string, string][]>(() => {
  const of = chosen.value
  if (!of) return []
  const { mow, fourthMow, stand, rootsMm, water, dry } = of
  const told: [string, string | null][] = [
    [t('sowingDay.n95Emerged'), on(of.up95)],
    [
      t('sowingDay.waterUntilUpA'),
      water &&
        t('sowingDay.times', {
          mmADay: text(figure('depthMm', water.mmADay, 2)),
          timesADay: water.timesADay.toFixed(1),
        }),
    ],
    [t('sowingDay.seedbedDryWithThe'), dry && dryWords(dry)],
    [t('sowingDay.existingGrassNeedsMowing'), stand?.oldMow ? on(stand.oldMow) : null],
    [t('sowingDay.firstMow'), mow ? between(mow.early, mow.late) : t('sowingDay.notThisSeason')],
    [t('sowingDay.fourthMow'), fourthMow === null ? null : on(fourthMow)],
    [t('sowingDay.rootsAfterSixWeeks'), rootsMm ? text(figure('depthMm', rootsMm, 2)) : null],
    [t('sowingDay.groundCoveredAfterSix'), stand ? text(figure('share', stand.cover, 2)) : null],
    [t('sowingDay.denseBy'), stand ? (stand.dense === null ? t('sowingDay.notThisSeason') : on(stand.dense)) : null],
  ]
  return told.flatMap(([what, says]) => (says ? [[what, says] as [string, string]] : []))
})
const soil = computed(() => {
  const median = props.outlook.soilC.median[indexOf(props.outlook, props.day)]
  if (!chosen.value || median === undefined) return ''
  return `${text(figure('tempC', chosen.value.seedbedC, 2))}, ${text(figure('tempC', median, 2))}`
})
</script>

<template>
  <table class="ledger facts">
    <tbody>
      <tr v-if="soil">
        <td>{{ t('sowingDay.soilAtTheSeed', { value: text(figure('depthMm', 50)) }) }}</td>
        <td class="right num">{{ soil }}</td>
      </tr>
      <tr>
        <td>{{ t('sowingDay.firstSeedlings') }}</td>
        <td class="right num">{{ on(chosen?.up05 ?? null) }}</td>
      </tr>
      <tr>
        <td>
          {{ t('sowingDay.n50Emerged')
          }}<template v-if="half">, <WorkedNumber :worked="half" /> {{ t('sowingDay.afterSowing') }}</template>
        </td>
        <td class="right num">{{ halfWords }}</td>
      </tr>
      <tr v-for="[what, says] in facts" :key="what">
        <td>{{ what }}</td>
        <td class="right num">{{ says }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
td {
  padding: 4px;
  vertical-align: middle;
  white-space: nowrap;
}
td:first-child {
  white-space: normal;
}
</style>
