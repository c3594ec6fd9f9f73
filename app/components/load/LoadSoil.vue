<script setup lang="ts">
import { cubicYards, figure } from '#core/measure/figure'

/** Soil that hollows and low corners are filled with. */
const { load } = useBring()
const { text, system } = useUnits()
const { soils } = load
const bulk = (m3: number) => (system.value === 'us' ? `${cubicYards(m3).toFixed(1)} yd³` : `${m3.toFixed(1)} m³`)
</script>

<template>
  <LoadCard title="Soil">
    <p v-for="soil in soils" :key="soil.zones" class="wide">
      <b class="num">{{ text(figure('volumeM3', soil.volumeM3)) }}</b> ({{ bulk(soil.volumeM3) }}) of
      {{ soil.name }} for {{ soil.zones }}, 15% of settling in it.
    </p>
    <template #load>
      <p class="caution">
        Look before it is tipped: stones, weeds, wet. Dry sand is dusty (silica): mask, damp it down.
      </p>
    </template>
  </LoadCard>
</template>
