<script setup lang="ts">
import type { NearerLawns, Station } from '#contract/station'

/** Lawns that lie nearer to another station than to the one they read: they change only when somebody says so. */
const props = defineProps<{ stations: Station[] }>()
const emit = defineEmits<{ moved: [] }>()
const { data: nearer, refresh } = await useAsyncData('nearer-lawns', () =>
  $fetch<NearerLawns[]>('/api/nearer-lawns').catch(() => []),
)
watch(
  () => props.stations,
  () => refresh(),
)
const { busy, message, send } = useSend()
const nameOf = (id: string) => props.stations.find((station) => station.id === id)?.name ?? ''
const MOST_NAMED = 4
function lawnWords({ lawns }: NearerLawns): string {
  const named = lawns.slice(0, MOST_NAMED).map(({ client }) => client)
  const more = lawns.length - named.length
  return t('weather.andMoreLiesLie', { named: named.join(', '), hasMore: Boolean(more), more, lawns: lawns.length })
}
async function move({ stationId }: NearerLawns): Promise<void> {
  if (!(await send(() => $fetch(`/api/stations/${stationId}/lawns`, { method: 'POST', body: {} })))) return
  await refresh()
  emit('moved')
}
</script>

<template>
  <div v-for="one in nearer ?? []" :key="one.stationId" class="panel nearer" role="status">
    <p>
      {{ lawnWords(one) }} <b>{{ nameOf(one.stationId) }}</b>
      {{ t('weather.thanToTheStation', { lawns: one.lawns.length }) }}
    </p>
    <UButton variant="outline" :loading="busy" @click="move(one)">{{
      t('weather.read', { stationId: nameOf(one.stationId) })
    }}</UButton>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </div>
</template>

<style scoped>
.nearer {
  padding: 10px 14px;
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
