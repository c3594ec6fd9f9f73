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
  return `${named.join(', ')}${more ? ` and ${more} more` : ''} ${lawns.length === 1 ? 'lies' : 'lie'} nearer to`
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
      {{ lawnWords(one) }} <b>{{ nameOf(one.stationId) }}</b> than to the station
      {{ one.lawns.length === 1 ? 'it reads' : 'they read' }}.
    </p>
    <UButton variant="outline" :loading="busy" @click="move(one)">Read {{ nameOf(one.stationId) }}</UButton>
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
