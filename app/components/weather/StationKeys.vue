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
const example = computed(() =>
  t('weather.curlXPostH', { origin: location.origin, path: path.value, secret: made.value?.secret }),
)
</script>

<template>
  <div class="keys">
    <p class="small">
      {{ t('weather.aLoggerOrA') }} <code>{{ path }}</code>{{ t('weather.withAKeyOf') }}
    </p>
    <table v-if="keys?.length" class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('weather.key') }}</th>
          <th scope="col">{{ t('weather.made') }}</th>
          <th scope="col">{{ t('weather.lastUsed') }}</th>
          <td />
        </tr>
      </thead>
      <tbody>
        <tr v-for="key in keys" :key="key.id">
          <td>{{ key.name }}</td>
          <td>{{ momentWords(key.madeAt) }}</td>
          <td>{{ key.usedAt ? momentWords(key.usedAt) : t('weather.never') }}</td>
          <td>
            <button type="button" class="opens" @click="revoke(key)">{{ t('weather.revoke') }}</button>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="made" class="made" role="status">
      <b>{{ t('weather.copyThisKeyNow') }}</b>
      <code>{{ made.secret }}</code>
      <pre>{{ example }}</pre>
    </div>
    <form class="row" novalidate @submit.prevent="make">
      <UFormField :label="t('weather.whatDelivers')" name="key-name" :error="errors.name"
        ><UInput id="field-key-name" v-model="name" maxlength="60" :placeholder="t('weather.yardLogger')"
      /></UFormField>
      <UButton type="submit" variant="outline" class="mt-6" :loading="busy">{{ t('weather.makeAKey') }}</UButton>
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
