<script setup lang="ts">
import type { Step } from '~/utils/lawnState'

/** The steps as blades on a lip: tall is settled, outlined is where the lawn stands, a stub is empty. */
const props = defineProps<{ steps: Step[]; held: boolean }>()
/** Pixels a step. */
const STEP = 10
const width = computed(() => 2 + STEP * props.steps.length)
const here = computed(() => props.steps.findIndex(({ state }) => state !== 'settled'))
</script>

<template>
  <svg :width="width" height="26" :viewBox="`0 0 ${width} 26`" aria-hidden="true">
    <g v-for="(step, i) in steps" :key="step.code">
      <rect v-if="step.state === 'settled'" :x="3 + i * STEP" y="3" width="4" height="15" fill="#3c6326" />
      <template v-else-if="i === here && held">
        <rect :x="3 + i * STEP" y="8" width="4" height="10" fill="#9a3e1b" />
        <path :d="`M${1 + i * STEP} 1h8l-4 5z`" fill="#9a3e1b" />
      </template>
      <template v-else-if="i === here">
        <rect :x="3 + i * STEP" y="3.500" width="5" height="15" fill="#f1f1e6" stroke="#172019" stroke-width="1.800" />
        <path :d="`M${1.5 + i * STEP} 22h8l-4 4z`" fill="#172019" />
      </template>
      <rect v-else :x="3 + i * STEP" y="14" width="4" height="4" fill="#9c9f8b" />
    </g>
    <path :d="`M0 19H${width - 2}`" stroke="#172019" stroke-width="1.800" />
  </svg>
</template>
