<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import type { Waiting } from '~/utils/device'

/** Says what waits on this device to be sent, what the server did not take, and that what is shown is of before. */
const device = useDeviceStore()
const open = computed(() => device.waiting.filter(({ refused }) => !refused).length)
const refused = computed(() => device.waiting.filter(({ refused }) => refused))
const since = computed(() => device.heardAt && momentWords(new Date(device.heardAt).toISOString()))
const KIND: Record<Waiting['kind'], string> = {
  seen: t('device.seen'),
  mark: t('device.mark'),
  photo: t('device.photo'),
}
useEventListener(window, 'online', () => void device.hurry())
</script>

<template>
  <div v-if="since || open || refused.length" class="waiting panel" role="status">
    <p v-if="since">{{ t('device.shownAsOf', { since }) }}</p>
    <p v-if="open" class="row">
      <span>{{ t('device.waiting', { count: open }) }}</span>
      <UButton size="sm" variant="outline" :loading="device.sending" @click="device.flush">{{
        t('device.sendNow')
      }}</UButton>
    </p>
    <p v-for="one in refused" :key="one.id" class="row problem">
      <span>{{ t('device.refused', { kind: KIND[one.kind], why: one.refused }) }}</span>
      <UButton size="sm" variant="outline" @click="device.drop(one.id)">{{ t('device.drop') }}</UButton>
    </p>
  </div>
</template>

<style scoped>
.waiting {
  padding: 8px 12px;
  margin-bottom: 10px;
  display: grid;
  gap: 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}
@media (max-width: 700px) {
  .row button {
    min-height: 48px;
  }
}
@media print {
  .waiting {
    display: none;
  }
}
</style>
