<script setup lang="ts">
import type { DryHours } from '#core/establishment/moisture'
import { emergenceWorked } from '#core/establishment/emergenceWorking'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import type { Grass } from '#core/grass/grasses'
import { addDays, shortDay, type Day } from '#core/measure/calendar'
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

const on = (days: number | null) => (days === null ? 'not this season' : shortDay(addDays(props.day, days)))
const between = (early: number, late: number) => `${on(early)} to ${on(late)}`
const hour = (h: number) => `${String(h).padStart(2, '0')}:00`
function dryWords({ hoursADay, between: hours }: DryHours): string {
  if (hoursADay < 0.1) return 'hardly ever'
  const mostly = hours && hoursADay < 23 ? `, mostly ${hour(hours[0])} to ${hour(hours[1])}` : ''
  return `${hoursADay.toFixed(1)} h a day${mostly}`
}
const halfWords = computed(() => {
  const { up50, up50Early, up50Late } = chosen.value ?? { up50: null, up50Early: null, up50Late: null }
  return up50Early === null || up50Late === null ? on(up50) : between(up50Early, up50Late)
})
const facts = computed<[string, string][]>(() => {
  const of = chosen.value
  if (!of) return []
  const { mow, stand, rootsMm, water, dry } = of
  const told: [string, string | null][] = [
    ['95% emerged', on(of.up95)],
    [
      'Water until up, a day',
      water && `${text(figure('depthMm', water.mmADay, 2))}, ${water.timesADay.toFixed(1)} times`,
    ],
    ['Seedbed dry, with the watering planned', dry && dryWords(dry)],
    ['Existing grass needs mowing again', stand?.oldMow ? on(stand.oldMow) : null],
    ['First mow', mow ? between(mow.early, mow.late) : 'not this season'],
    ['Roots after six weeks, about', rootsMm ? text(figure('depthMm', rootsMm, 2)) : null],
    ['Ground covered after six weeks', stand ? text(figure('share', stand.cover, 2)) : null],
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
        <td>Soil at the seed, at {{ text(figure('depthMm', 50)) }}</td>
        <td class="right num">{{ soil }}</td>
      </tr>
      <tr>
        <td>First seedlings</td>
        <td class="right num">{{ on(chosen?.up05 ?? null) }}</td>
      </tr>
      <tr>
        <td>
          50% emerged<template v-if="half">, <WorkedNumber :worked="half" /> after sowing</template>
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
