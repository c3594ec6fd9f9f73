<script setup lang="ts">
import type { SillData } from '#contract/context'
import type { SillScale } from '~/utils/sillScale'
import { lineOf, runsOfLine, pointsOf, readingsOf, ribbonOf } from '~/utils/sillPlot'

/** Soil temperature on the ledge: the line, its spread ahead, and what a probe has read. */
const props = defineProps<{ data: SillData; scale: SillScale; lipY: number }>()
const points = computed(() => pointsOf(props.data, props.scale))
const readings = computed(() => readingsOf(props.data, props.scale, props.lipY))
const paths = computed(() => ({
  outer: ribbonOf(
    points.value,
    props.scale,
    ({ p95 }) => p95,
    ({ p05 }) => p05,
  ),
  inner: ribbonOf(
    points.value,
    props.scale,
    ({ p75 }) => p75,
    ({ p25 }) => p25,
  ),
  model: lineOf(points.value, props.scale, ({ modelC }) => modelC),
  known: runsOfLine(points.value, props.scale, false),
  filled: runsOfLine(points.value, props.scale, true),
}))
</script>

<template>
  <g>
    <path :d="paths.outer" fill="#e9e0ce" opacity="0.16" />
    <path :d="paths.inner" fill="#e9e0ce" opacity="0.22" />
    <path v-if="readings.length" :d="paths.model" fill="none" stroke="#bfb197" stroke-dasharray="2 3" />
    <path :d="paths.known" fill="none" stroke="#e9e0ce" stroke-width="2.25" />
    <path
      :d="paths.filled"
      class="filled"
      fill="none"
      stroke="#bfb197"
      stroke-width="2"
      stroke-dasharray="1.5 4"
      stroke-linecap="round"
    />
    <template v-for="r in readings" :key="`${r.at}${r.depthMm}`">
      <circle v-if="r.used" :cx="r.x" :cy="r.y" r="1.7" fill="#fbfbf5" />
      <path v-else :d="`M${r.x - 3} ${r.y - 3}l6 6m0 -6l-6 6`" stroke="#e4bf52" stroke-width="1.6" />
    </template>
  </g>
</template>
