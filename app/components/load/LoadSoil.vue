<script setup lang="ts">
import { cubicYards, figure } from '#core/measure/figure'

/** Soil that hollows and low corners are filled with. */
const { load } = useBring()
const { text, system } = useUnits()
const { soils } = load
const bulk = (m3: number) =>
  system.value === 'us' ? t('load.yd', { m3: cubicYards(m3).toFixed(1) }) : `${m3.toFixed(1)} m³`
</script>

<template>
  <LoadCard :title="t('load.soil')">
    <p v-for="soil in soils" :key="soil.zones" class="wide">
      <b class="num">{{ text(figure('volumeM3', soil.nowM3)) }}</b>
      {{ t('load.ofFor15Of', { volumeM3: bulk(soil.nowM3), name: soil.name, zones: soil.zones }) }}
      <template v-if="soil.laterM3">{{
        t('load.moreForLaterLifts', { later: text(figure('volumeM3', soil.laterM3)) })
      }}</template>
    </p>
    <template #load>
      <p class="caution">
        {{ t('load.lookBeforeItIs') }}
      </p>
    </template>
  </LoadCard>
</template>
