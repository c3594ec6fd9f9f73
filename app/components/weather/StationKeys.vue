<script setup lang="ts">
import { newKeySchema, type StationKey, type StationKeyMade } from '#contract/delivery'
import type { Station } from '#contract/station'
import { momentWords } from '~/utils/moments'

/** Keys by which a logger or a script delivers days to a station; a key's secret is shown once. */
const props = defineProps<{ station: Station }>()
const { data: keys, refresh } = await useAsyncData(
  () => `keys-${props.station.id}`,
  () => $fetch<StationKey[]>(`/api/stations/${props.station.id}/keys`),
)
const { busy, message, errors, judged, send } = useSend()
const name = ref('')
const made = ref<StationKeyMade>()
const path = computed(() => `/api/stations/${props.station.id}/days`)

async function make(): Promise<void> {
  const wanted = judged(newKeySchema, { name: name.value })
  if (!wanted) return
  const kept = await send(async () => {
    made.value = await $fetch<StationKeyMade>(`/api/stations/${props.station.id}/keys`, {
      method: 'POST',
      body: wanted,
    })
  })
  if (!kept) return
  name.value = ''
  await refresh()
}
async function revoke({ id }: StationKey): Promise<void> {
  if (await send(() => $fetch(`/api/stations/${props.station.id}/keys/${id}`, { method: 'DELETE' }))) {
    if (made.value?.id === id) made.value = undefined
    await refresh()
  }
}
const example = computed(
  () =>
    `curl -X POST ${location.origin}${path.value} \\\n  -H "Authorization: Bearer ${made.value?.secret}" \\\n  -H "Content-Type: text/csv" --data-binary @days.csv`,
)
</script>

<template>
  <div class="keys">
    <p class="small">
      A logger or a script can deliver days by itself, to <code>{{ path }}</code>, with a key of its own.
    </p>
    <table v-if="keys?.length" class="ledger">
      <thead>
        <tr>
          <th scope="col">Key</th>
          <th scope="col">Made</th>
          <th scope="col">Last used</th>
          <td />
        </tr>
      </thead>
      <tbody>
        <tr v-for="key in keys" :key="key.id">
          <td>{{ key.name }}</td>
          <td>{{ momentWords(key.madeAt) }}</td>
          <td>{{ key.usedAt ? momentWords(key.usedAt) : 'never' }}</td>
          <td><button type="button" class="opens" @click="revoke(key)">Revoke</button></td>
        </tr>
      </tbody>
    </table>
    <div v-if="made" class="made" role="status">
      <b>Copy this key now. It is not shown again.</b>
      <code>{{ made.secret }}</code>
      <pre>{{ example }}</pre>
    </div>
    <form class="row" novalidate @submit.prevent="make">
      <UFormField label="What delivers" name="key-name" :error="errors.name"
        ><UInput id="field-key-name" v-model="name" maxlength="60" placeholder="Yard logger"
      /></UFormField>
      <UButton type="submit" variant="outline" class="mt-6" :loading="busy">Make a key</UButton>
    </form>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </div>
</template>

<style scoped>
.keys {
  display: grid;
  gap: 8px;
  min-width: 0;
}
.row {
  display: flex;
  gap: 10px;
  align-items: flex-start;
  flex-wrap: wrap;
}
.made {
  display: grid;
  gap: 4px;
  padding: 10px;
  background: var(--straw-tint);
  min-width: 0;
}
code,
pre {
  font:
    12px/1.5 ui-monospace,
    monospace;
  overflow-wrap: anywhere;
  white-space: pre-wrap;
}
</style>
