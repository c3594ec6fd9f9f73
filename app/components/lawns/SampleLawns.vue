<script setup lang="ts">
/** Made-up lawns for who wants to try first: an owner loads them while there is little else, and removes them. */
const list = useListStore()
const context = useContextStore()
const { busy, message, send } = useSend()
const count = computed(() => list.lawns.filter(({ sample }) => sample).length)
const asked = ref(false)
const offered = computed(() => !count.value && list.lawns.length < 3 && !list.reading)
async function act(method: 'POST' | 'DELETE'): Promise<void> {
  if (!(await send(() => $fetch('/api/firm/samples', { method })))) return
  asked.value = false
  await list.load()
}
</script>

<template>
  <div v-if="context.isOwner && (offered || count)" class="samples">
    <template v-if="count">
      <span>{{ t('lawns.samplesThere', { count }) }}</span>
      <template v-if="asked">
        <b>{{ t('lawns.removeSamplesAsk') }}</b>
        <UButton size="sm" color="error" :loading="busy" @click="act('DELETE')">{{ t('lawns.removeSamples') }}</UButton>
        <UButton size="sm" variant="outline" @click="asked = false">{{ t('lawns.keepSamples') }}</UButton>
      </template>
      <UButton v-else size="sm" variant="outline" @click="asked = true">{{ t('lawns.removeSamples') }}</UButton>
    </template>
    <template v-else>
      <span>{{ t('lawns.samplesLead') }}</span>
      <UButton size="sm" variant="outline" :loading="busy" @click="act('POST')">{{ t('lawns.loadSamples') }}</UButton>
    </template>
    <p v-if="message" role="alert" class="problem">{{ message }}</p>
  </div>
</template>

<style scoped>
.samples {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  padding: 4px 8px;
  color: var(--ink-2);
}
</style>
