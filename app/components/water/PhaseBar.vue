<script setup lang="ts">
import { figure } from '#core/measure/figure'
import type { Day } from '#core/measure/calendar'
import type { WateringProgramme } from '#core/water/programme'

/** Phases from sowing on: each watering a stroke, a post at each change, and the sign that ends the phase. */
const props = defineProps<{ watering: WateringProgramme; sowOn: Day }>()
const { text } = useUnits()
const { about, costOf, dayOf, endsOf, nameOf, oftenOf } = useWatering(() => props)
const [WIDTH, HEIGHT, TAIL_DAYS] = [700, 44, 28]
const span = computed(() => props.watering.phases.at(-1)!.from.middle + TAIL_DAYS)
const x = (days: number) => (days / span.value) * WIDTH
/** Drawn as deep as half an inch at the most. */
const DEEPEST_MM = 13
const strokes = computed(() =>
  props.watering.phases.flatMap((phase) => {
    const end = phase.to?.middle ?? span.value
    const each = phase.everyDays / Math.max(1, phase.timesADay)
    const count = phase.timesADay ? Math.min(400, Math.floor((end - phase.from.middle) / each)) : 0
    return Array.from({ length: count }, (_, i) => ({
      x: x(phase.from.middle + i * each),
      height: Math.max(6, Math.min(1, phase.depthMm / DEEPEST_MM) * (HEIGHT - 4)),
      ifDry: phase.code === 'established',
    }))
  }),
)
</script>

<template>
  <section>
    <ol class="names">
      <li v-for="phase in watering.phases" :key="phase.code">
        <b>{{ nameOf(phase) }}</b>
        <span>{{ oftenOf(phase) }}</span>
        <span class="small">{{ phase.from.middle ? about(phase.from) : dayOf(0) }}</span>
        <span class="small">{{ endsOf(phase) }}</span>
      </li>
    </ol>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" aria-hidden="true" class="bar">
      <rect :width="WIDTH" :height="HEIGHT" class="ground" />
      <rect :width="x(watering.phases[0]!.to!.middle)" :height="HEIGHT" class="wet" />
      <path
        v-for="(stroke, i) in strokes"
        :key="i"
        :d="`M${stroke.x + 1} ${HEIGHT}v${-stroke.height}`"
        :class="{ dashed: stroke.ifDry }"
        class="stroke"
      />
      <path
        v-for="phase in watering.phases.slice(1)"
        :key="phase.code"
        :d="`M${x(phase.from.middle)} 0V${HEIGHT}`"
        class="post"
      />
    </svg>
    <details>
      <summary>{{ t('water.phaseTable') }}</summary>
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">{{ t('water.phase') }}</th>
            <th scope="col">{{ t('water.begins') }}</th>
            <th scope="col">{{ t('water.howOften') }}</th>
            <th scope="col" class="right">{{ t('water.depthEach') }}</th>
            <th scope="col" class="right">{{ t('water.litres') }}</th>
            <th scope="col" class="right">{{ t('water.cost') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="phase in watering.phases" :key="phase.code">
            <th scope="row">{{ nameOf(phase) }}</th>
            <td>{{ phase.from.middle ? about(phase.from) : dayOf(0) }}</td>
            <td>{{ oftenOf(phase) }}</td>
            <td class="right">{{ text(figure('waterMm', phase.depthMm)) }}</td>
            <td class="right">{{ text(figure('waterL', phase.litres)) }}</td>
            <td class="right">{{ costOf(phase.litres) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </section>
</template>

<style scoped>
.names {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
  gap: 4px 14px;
  margin-bottom: 6px;
}
.names li {
  display: grid;
  align-content: start;
  border-top: 1.5px solid var(--ink);
  padding-top: 3px;
}
.names b {
  font:
    650 15.5px/1.3 'Besley Variable',
    serif;
}
.bar {
  width: 100%;
  height: 44px;
  display: block;
}
.ground {
  fill: var(--chalk);
  stroke: var(--rule-2);
}
.wet {
  fill: #d3e1ea;
}
.stroke {
  stroke: #2b5d87;
  stroke-width: 1.6;
}
.dashed {
  stroke-dasharray: 3 3;
}
.post {
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
