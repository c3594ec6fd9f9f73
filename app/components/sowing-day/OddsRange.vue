<script setup lang="ts">
import { addDays, type Day } from '#core/measure/calendar'
import { indexOf, type Outlook } from '#core/establishment/outlook'

/** Where the chance of each day may lie, as a band about its line. */
const props = defineProps<{ outlook: Outlook; from: Day; days: number; perDay: number; width: number }>()
/** Height of the plot, and of its field of 0 to 100 within, px. */
const [HEIGHT, TOP, FOOT] = [258, 34, 234]
const y = (of100: number) => FOOT - (of100 / 100) * (FOOT - TOP)
const band = computed(() => {
  const at = Array.from({ length: props.days }, (_, i) => ({
    x: (CHART_LEFT + (i + 0.5) * props.perDay).toFixed(1),
    chance: props.outlook.sowing[indexOf(props.outlook, addDays(props.from, i))]?.chance,
  })).flatMap(({ x, chance }) => (chance ? [{ x, ...chance }] : []))
  if (at.length < 2) return ''
  const there = at.map(({ x, high }) => `${x} ${y(high).toFixed(1)}`)
  const back = at.reverse().map(({ x, low }) => `${x} ${y(low).toFixed(1)}`)
  return `M${[...there, ...back].join('L')}Z`
})
</script>

<template>
  <svg class="range" :width :height="HEIGHT" aria-hidden="true">
    <path :d="band" fill="#3c6326" opacity="0.22" />
  </svg>
</template>

<style scoped>
.range {
  position: absolute;
  left: 0;
  top: 0;
  pointer-events: none;
}
</style>
