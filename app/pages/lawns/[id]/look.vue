<script setup lang="ts">
import type { Station } from '#contract/station'

const { id, lawn } = useLawn()
const { data: stations } = await useAsyncData('stations', () => $fetch<Station[]>('/api/stations').catch(() => []))
</script>

<template>
  <LookFormFields v-if="lawn" :id="id" :key="`${lawn.id}-${lawn.version}`" :lawn="lawn" :stations="stations ?? []" />
</template>
