<script setup lang="ts">
import { M_PER_FOOT } from '#core/measure/units'

/** A tape along the foot of the plan, in register with it: the scale that people know. */
const props = defineProps<{ left: number; mPerPx: number; width: number }>()
const { system } = useUnits()
const unitM = computed(() => (system.value === 'us' ? M_PER_FOOT : 1))
/** A labelled tick every so many units, far enough apart to read. */
const step = computed(
  () => [1, 2, 5, 10, 20, 50, 100, 200, 500].find((n) => (n * unitM.value) / props.mPerPx >= 42) ?? 1000,
)
const small = computed(
  () => step.value / (step.value % 2 === 0 && (step.value * unitM.value) / props.mPerPx < 90 ? 2 : 5),
)
const ticks = computed(() => {
  const from = Math.ceil(props.left / unitM.value / small.value)
  const to = Math.floor((props.left + props.width * props.mPerPx) / unitM.value / small.value)
  return Array.from({ length: Math.max(0, Math.min(400, to - from + 1)) }, (_, i) => {
    const value = (from + i) * small.value
    return {
      value: Math.round(value * 100) / 100,
      x: (value * unitM.value - props.left) / props.mPerPx,
      labelled: Math.abs(value / step.value - Math.round(value / step.value)) < 1e-6,
    }
  })
})
</script>

<template>
  <svg class="tape" :width="width" height="25" aria-hidden="true">
    <template v-for="tick in ticks" :key="tick.value">
      <line
        :x1="tick.x"
        :x2="tick.x"
        y1="0"
        :y2="tick.labelled ? 11 : 6"
        stroke="#172019"
        :stroke-width="tick.labelled ? 2 : 1"
      />
      <text v-if="tick.labelled" :x="tick.x" y="21" text-anchor="middle">
        {{ tick.value }}{{ tick.value === 0 ? (system === 'us' ? t('plan.ft') : ' m') : '' }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.tape {
  display: block;
  background: #ebd48c;
  border-block: 1.5px solid var(--ink);
  width: 100%;
}
text {
  font:
    600 11.5px 'Archivo Variable',
    sans-serif;
  fill: var(--ink);
}
</style>
