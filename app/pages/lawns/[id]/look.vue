<script setup lang="ts">
import type { Station } from '#contract/station'

const { lawn } = useLawn()
const { data: stations } = await useAsyncData('stations', () => $fetch<Station[]>('/api/stations').catch(() => []))
</script>

<template>
  <TheSurvey v-if="lawn" :key="`${lawn.id}-${lawn.version}`" :lawn="lawn" :stations="stations ?? []" />
</template>
